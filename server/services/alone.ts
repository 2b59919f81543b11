let last: Promise<unknown> = Promise.resolve()

/**
 * The one queue of everything that writes, for all refits: SQLite has one writer, and each change sees
 * the ones before it. A failure goes to its own caller and holds up nobody.
 */
export function alone<Result>(work: () => Promise<Result>): Promise<Result> {
  const mine = last.then(work, work)
  last = mine
  return mine
}
