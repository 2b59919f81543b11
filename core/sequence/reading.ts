/** The rope read back from the gate, knot by knot, in the numbers and groups of the drawing. */
import type { ChainLink } from '../plan/chain'
import { sayDate } from '../time/say'
import type { ZoneClock } from '../time/zone'
import type { Piece } from './pieces'
import type { Knot } from './rope'

export interface KnotReading {
  readonly label: string
  /** "Antifoul, Stands moved, and 2 more". */
  readonly title: string
  /** "Sun 23 May", "22–23 May"; '' for a link without a place in the plan. */
  readonly dates: string
  /** Why the first of them is not earlier. */
  readonly why: string
  readonly stepIds: readonly string[]
  readonly links: readonly ChainLink[]
}

const mostTitles = 2

function titlesOf(titles: readonly string[]): string {
  const all = [...new Set(titles)]
  const shown = all.slice(0, mostTitles)
  const more = all.length - shown.length
  if (more > 0) return `${shown.join(', ')} and ${more} more`
  return shown.join(', ')
}

/** Civil dates of a stretch: "22 May", "22–23 May", "30 Apr – 2 May". */
export function sayStretch(from: string, to: string, year?: string): string {
  if (from === to) return sayDate(from, year)
  const same = from.slice(0, 7) === to.slice(0, 7)
  return same
    ? `${Number(from.slice(8))}–${sayDate(to, year)}`
    : `${sayDate(from, year)} – ${sayDate(to, year)}`
}

/** The title of a link without its job. */
const stepTitle = (link: ChainLink): string => link.title.split(' · ')[0] ?? link.title

/** Links in the groups of the knots; the gate first, links that are not on the drawing by themselves. */
export function ropeReading(
  links: readonly ChainLink[],
  knots: readonly Knot[],
  pieces: readonly Piece[],
  clock: ZoneClock,
  year: string,
): KnotReading[] {
  const at = new Map(pieces.map((one) => [one.step.id, one]))
  const knotOf = new Map(knots.flatMap((knot) => knot.numbers.map((number) => [number, knot])))
  const groups: { label: string; links: ChainLink[] }[] = []
  const known = new Map<Knot, { label: string; links: ChainLink[] }>()
  links.forEach((link, index) => {
    const knot = knotOf.get(index + 1)
    const group = knot && known.get(knot)
    if (group) {
      group.links.push(link)
      return
    }
    const fresh = { label: knot?.label ?? String(index + 1), links: [link] }
    groups.push(fresh)
    if (knot) known.set(knot, fresh)
  })
  return groups.map(({ label, links: own }): KnotReading => {
    const stepIds = own.flatMap((link) => link.stepId ?? [])
    const placed = stepIds.flatMap((id) => at.get(id) ?? [])
    const days = placed.map((one) => clock.dateOf(one.from)).sort()
    const [first, last] = [days[0], days.at(-1)]
    const isGate = own.length === 1 && own[0]?.stepId === null
    return {
      label,
      title: isGate ? (own[0]?.title ?? '') : titlesOf(own.map(stepTitle)),
      dates: first && last ? sayStretch(first, last, year) : '',
      why: own.at(-1)?.why ?? '',
      stepIds,
      links: own,
    }
  })
}
