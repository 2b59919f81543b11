import type { Job, RefitRow } from '../../model/entities'
import { does, named, speaksOf } from '../facts'
import type { OrderStep } from '../facts'
import { firstThen } from '../mending'
import { found } from '../rule'
import type { OrderRule } from '../rule'

const large = /\b(tank|engine|generator|boiler|gearbox|bunk board|large board)\b/i

type Piece = Pick<Job, 'pieceWideMm' | 'pieceHighMm'>
type Way = Pick<RefitRow, 'wayWideMm' | 'wayHighMm'>

/**
 * True when the largest piece passes what stays open, by the sides that are not its longest, upright or on its side; null
 * while one of the four sizes is not known.
 */
export function passes({ pieceWideMm, pieceHighMm }: Piece, way: Way): boolean | null {
  const { wayWideMm, wayHighMm } = way
  if (pieceWideMm === null || pieceHighMm === null || wayWideMm === null || wayHighMm === null)
    return null
  const [small, middle] = [pieceWideMm, pieceHighMm].sort((a, b) => a - b) as [number, number]
  const [narrow, high] = [wayWideMm, wayHighMm].sort((a, b) => a - b) as [number, number]
  return small <= narrow && middle <= high
}

/** Put aside, it comes back when a size is written down that says it does not pass. */
const evidenceOf = (piece: Piece, way: Way): string =>
  passes(piece, way) === false
    ? [piece.pieceWideMm, piece.pieceHighMm, way.wayWideMm, way.wayHighMm].join('x')
    : ''

/** What is known of the sizes, or where they are still to be written down. */
function sizes(piece: Piece, way: Way): string {
  if (passes(piece, way) === false)
    return ` Its largest piece of ${piece.pieceWideMm} × ${piece.pieceHighMm} mm does not pass the companionway of ${way.wayWideMm} × ${way.wayHighMm} mm.`
  return ' If it passes the companionway, measure both: its largest piece on the job, the companionway under Settings.'
}

/**
 * Something large goes in after what it comes in by was shut: the same place, or another behind the same way in. What
 * passes the companionway by both sizes is no matter. Source: handbook 7 rule 19.
 */
export const tooBigForTheWay: OrderRule = {
  number: 19,
  title: 'Shut before the large item is in',
  find: (facts) => {
    const [refit] = facts.rows.refit
    const isLarge = (item: OrderStep) =>
      refit !== undefined &&
      (passes(item.job, refit) === false ||
        (passes(item.job, refit) === null && speaksOf(item, large)))
    return facts.steps.flatMap((item) => {
      if (item.done || item.zone === null || item.step.placeNeed !== 'boat') return []
      if (!does(item, 'fit', 'move', 'lift') || !refit || !isLarge(item)) return []
      const way = item.zone.wayInId
      const shut = facts.steps.find(
        (one) =>
          does(one, 'close') &&
          one.job.id !== item.job.id &&
          one.step.placeNeed === 'boat' &&
          one.to <= item.from &&
          (one.zone?.id === item.zone?.id || (way !== null && one.zone?.wayInId === way)),
      )
      if (!shut) return []
      const wayIn = facts.rows.wayIn.find((one) => one.id === way)
      const by = wayIn ? ` Its way in is ${wayIn.title.toLowerCase()}.` : ''
      return [
        found(
          19,
          'stop',
          [shut, item],
          `${named(shut)} on ${facts.date(shut.from)} shuts what ${named(item)} on ${facts.date(item.from)} comes in by.${by}${sizes(item.job, refit)}`,
          firstThen(facts.rows, item, shut, 'The large item first'),
          evidenceOf(item.job, refit),
        ),
      ]
    })
  },
}
