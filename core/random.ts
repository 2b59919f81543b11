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
