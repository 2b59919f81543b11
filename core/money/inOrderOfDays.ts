import { groupBy } from '../model/refit'

/** After every civil date. */
const someDay = '9999'

/**
 * Things by their civil date, those without one last; on one day by `compare`, else as they came. Days are put in order
 * once, not thing by thing: books have thousands of lines on a few hundred days.
 */
export function inOrderOfDays<Thing extends { readonly on: string | null }>(
  things: readonly Thing[],
  compare?: (a: Thing, b: Thing) => number,
): Thing[] {
  const days = groupBy(things, (one) => one.on ?? someDay)
  return [...days]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .flatMap(([, one]) => (compare ? one.sort(compare) : one))
}
