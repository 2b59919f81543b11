/** A stream of numbers in [0, 1), the same for the same seed. */
export type Random = () => number

/**
 * Mulberry32: 32-bit state, period 2^32, passes the usual small-sample tests; enough for picking and
 * sampling, not for secrecy.
 */
export function createRandom(seed: number): Random {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let mixed = Math.imul(state ^ (state >>> 15), state | 1)
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61)
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296
  }
}

/** 32 bits of a text, the same for the same text. FNV-1a. */
export function hashOf(text: string): number {
  let hash = 0x811c9dc5
  for (let at = 0; at < text.length; at++) hash = Math.imul(hash ^ text.charCodeAt(at), 0x01000193)
  return hash >>> 0
}

/** A seed of its own for each key of a seed: what one draws leaves the others as they are. Both 32 bits. */
export function seedFor(seed: number, key: number): number {
  let mixed = seed ^ key
  for (let round = 0; round < 2; round++) mixed = Math.imul(mixed ^ (mixed >>> 16), 0x45d9f3b)
  return (mixed ^ (mixed >>> 16)) >>> 0
}
