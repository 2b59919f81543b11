/** Pictures of one spot in time: as it was, opened, and afterwards. */
import type { Row } from '../model/entities'

export type Picture = Pick<Row<'picture'>, 'id' | 'spot' | 'moment' | 'takenAt' | 'jobId'>
export type Moment = Row<'picture'>['moment']

/** How far the work is in a picture; a drawing shows no state of it. */
const stage: Readonly<Record<Moment, number | null>> = {
  found: 0,
  before: 0,
  open: 1,
  after: 2,
  drawing: null,
}

/** What a picture shows, as it is said beside it. */
export const momentSaid: Readonly<Record<Moment, string>> = {
  before: 'before',
  open: 'open',
  after: 'after',
  found: 'as found',
  drawing: 'drawing',
}

export interface Spot<Of extends Picture = Picture> {
  readonly name: string
  /** In the order in which they were taken. */
  readonly pictures: readonly Of[]
  /** What the next one is likely to show. */
  readonly next: Moment
}

const keyOf = (name: string): string => name.trim().toLowerCase()
const inTime = <Of extends Picture>(pictures: readonly Of[]): Of[] =>
  [...pictures].sort((a, b) => a.takenAt - b.takenAt)

/** Spots that have a name, by their first picture; one name however it is written. */
export function spotsOf<Of extends Picture>(pictures: readonly Of[]): Spot<Of>[] {
  const spots = new Map<string, Of[]>()
  for (const one of inTime(pictures))
    if (keyOf(one.spot) !== '')
      spots.set(keyOf(one.spot), [...(spots.get(keyOf(one.spot)) ?? []), one])
  return [...spots.values()].map((own) => ({
    name: own[0]?.spot.trim() ?? '',
    pictures: own,
    next: Math.max(...own.map((one) => stage[one.moment] ?? 0)) === 0 ? 'open' : 'after',
  }))
}

/** What a picture is laid beside: that of its spot in which the work stands farthest from it. Null: there is none. */
export function besideOf<Of extends Picture>(picture: Of, others: readonly Of[]): Of | null {
  const own = stage[picture.moment]
  if (own === null || keyOf(picture.spot) === '') return null
  let best: { readonly one: Of; readonly apart: number } | null = null
  for (const one of inTime(others)) {
    const its = stage[one.moment]
    if (one.id === picture.id || its === null || keyOf(one.spot) !== keyOf(picture.spot)) continue
    const apart = Math.abs(its - own)
    if (apart > (best?.apart ?? 0)) best = { one, apart }
  }
  return best?.one ?? null
}

/**
 * Two pictures that show what became of something: of one spot, or else of one job; the one in which the work is further
 * is the newest there is. Null: nothing was taken both before and after.
 */
export function beforeAndAfter<Of extends Picture>(
  pictures: readonly Of[],
): readonly [Of, Of] | null {
  const newest = inTime(pictures.filter((one) => one.moment === 'after')).reverse()
  for (const after of newest) {
    const same = besideOf(after, pictures)
    if (same) return [same, after]
  }
  for (const after of newest) {
    const same = inTime(pictures).find(
      (one) => one.jobId !== null && one.jobId === after.jobId && (stage[one.moment] ?? 2) < 2,
    )
    if (same) return [same, after]
  }
  return null
}
