/** Names that mean the same though they are not written the same. */
interface Named {
  readonly id: string
  readonly name: string
}

/** Words of a name, small, without marks, plural or order: "Through-hulls" and "through hull" are one. */
const wordsOf = (name: string): string[] =>
  name
    .toLowerCase()
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')
    .split(/[^a-z0-9]+/)
    .filter((word) => word !== '' && word !== 'the')
    .map((word) => (word.length > 3 ? word.replace(/(?<!s)s$/, '') : word))
    .sort()

const keyOf = (name: string): string => wordsOf(name).join(' ')

function pairsOf(text: string): Map<string, number> {
  const pairs = new Map<string, number>()
  for (let at = 0; at + 1 < text.length; at++) {
    const pair = text.slice(at, at + 2)
    pairs.set(pair, (pairs.get(pair) ?? 0) + 1)
  }
  return pairs
}

/** Likeness of two names, 0 to 1: pairs of letters they share (Dice's coefficient). */
export function likeness(a: string, b: string): number {
  const [left, right] = [pairsOf(keyOf(a)), pairsOf(keyOf(b))]
  let shared = 0
  for (const [pair, count] of left) shared += Math.min(count, right.get(pair) ?? 0)
  const all = [...left.values(), ...right.values()].reduce((sum, count) => sum + count, 0)
  return all === 0 ? 0 : (2 * shared) / all
}

/** Below this two names have little to do with each other. */
const leastLike = 0.4
const mostPicks = 4

export interface Match {
  /** The one that is meant; null: the person has to say. */
  readonly id: string | null
  /** What is nearest to it, best first, where none is meant for sure. */
  readonly picks: readonly Named[]
}

/** Finds a name among known ones: the same words in any order, or the one that begins so; else the nearest to pick from. */
export function matchName(said: string, list: readonly Named[]): Match {
  const key = keyOf(said)
  const low = said.trim().toLowerCase()
  const same =
    list.find((one) => one.name.toLowerCase() === low) ??
    list.find((one) => keyOf(one.name) === key)
  if (same) return { id: same.id, picks: [] }
  const begins = list.filter((one) => one.name.toLowerCase().startsWith(low))
  if (begins.length === 1) return { id: (begins[0] as Named).id, picks: [] }
  const picks = list
    .map((one) => ({ one, like: likeness(said, one.name) }))
    .filter(({ one, like }) => like >= leastLike || begins.includes(one))
    .sort(
      (a, b) => Number(begins.includes(b.one)) - Number(begins.includes(a.one)) || b.like - a.like,
    )
    .slice(0, mostPicks)
    .map(({ one }) => one)
  return { id: null, picks }
}
