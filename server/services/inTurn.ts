const turns = new Map<string, Promise<unknown>>()

/** Runs work on a key one after the other: SQLite has one writer, and a change sees the one before it. */
export function inTurn<Result>(key: string, work: () => Promise<Result>): Promise<Result> {
  const before = turns.get(key) ?? Promise.resolve()
  // The next waits for this one however it ends; its error goes to its own caller.
  const mine = before.then(work, work)
  turns.set(key, mine)
  return mine
}
