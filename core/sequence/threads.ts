/** Each person as a thread through the places of two days, in order of time. */
import type { Placement } from '../model/stored'
import type { ZoneClock } from '../time/zone'
import type { Ruler } from './ruler'
import { xOf } from './ruler'

/** Marks of people, by shape as well as letter. */
const shapes = ['round', 'square', 'triangle', 'diamond'] as const

export interface Thread {
  readonly personId: string
  readonly shape: (typeof shapes)[number]
  readonly letter: string
  /** One path a day, from the ground up to the first place and back down from the last. */
  readonly paths: readonly string[]
  readonly marks: readonly { readonly x: number; readonly y: number }[]
}

export const markWidth = 18
const [markGap, lift] = [11, 52]

/** Threads of the people of two days, `yOf` a step's seam; steps that are not drawn are passed by. */
export function threadsOf(
  people: readonly { readonly id: string; readonly letter: string }[],
  placements: readonly Placement[],
  yOf: (stepId: string) => number | null,
  ruler: Ruler,
  clock: ZoneClock,
  ground: number,
): Thread[] {
  return people.map((person, index): Thread => {
    const visits = placements
      .filter((one) => one.personIds.includes(person.id))
      .flatMap((one) =>
        one.segments.map(([from, to]) => ({
          day: clock.dayOf(from),
          from,
          to,
          y: yOf(one.stepId),
          place: [...one.personIds].indexOf(person.id),
        })),
      )
      .filter((one) => one.to > ruler.from && one.from < ruler.to && one.y !== null)
      .sort((a, b) => a.from - b.from)
    const days = [...new Set(visits.map((one) => one.day))]
    const marks = visits.map((one) => ({
      x: xOf(ruler, one.from) - markGap - markWidth * one.place,
      y: one.y ?? 0,
    }))
    const paths = days.map((day) => {
      const own = visits
        .map((one, at) => ({ ...one, mark: marks[at] }))
        .filter((one) => one.day === day)
      let path = ''
      let last: { x: number; y: number } | null = null
      for (const { mark, to, y } of own) {
        const [x, at] = [mark?.x ?? 0, y ?? 0]
        path += last
          ? `C${last.x + 10} ${last.y + 18} ${x - 4} ${at - 22} ${x} ${at}`
          : `M${x - lift} ${ground}C${x - lift / 2} ${ground - 12} ${x - 6} ${(at + ground) / 2} ${x} ${at}`
        const end = xOf(ruler, to)
        path += `M${end} ${at}`
        last = { x: end, y: at }
      }
      if (last)
        path += `C${last.x + 22} ${last.y} ${last.x + 24} ${(last.y + ground) / 2} ${last.x + 34} ${ground}`
      return path
    })
    return {
      personId: person.id,
      shape: shapes[index % shapes.length] ?? 'round',
      letter: person.letter,
      paths,
      marks,
    }
  })
}
