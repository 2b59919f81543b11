const rounds = 15
const warmUps = 5

/** Median of some runs after warming up, in ms. */
export function medianMs(work: () => unknown): number {
  const times: number[] = []
  for (let i = 0; i < rounds + warmUps; i++) {
    const started = performance.now()
    work()
    if (i >= warmUps) times.push(performance.now() - started)
  }
  times.sort((a, b) => a - b)
  return Math.round((times[Math.floor(rounds / 2)] as number) * 10) / 10
}
