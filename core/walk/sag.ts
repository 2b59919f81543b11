/** A deflection test: how far a known weight at a point presses something down, before it is mended and after. Source: handbook-2 F2. */
import type { Row } from '../model/entities'

export interface SagTest {
  /** The weight, and where it stood: "80 kg, mid-panel"; '': not said. */
  readonly under: string
  /** In time, mm. */
  readonly readings: readonly { readonly at: number; readonly mm: number }[]
}

/** Readings of one weight at one point are one test; by the first of each. */
export function sagTests(
  evidence: readonly Pick<Row<'evidence'>, 'kind' | 'value' | 'meter' | 'at'>[],
): SagTest[] {
  const tests = new Map<string, { under: string; readings: { at: number; mm: number }[] }>()
  for (const { kind, value, meter, at } of [...evidence].sort((a, b) => a.at - b.at)) {
    if (kind !== 'sag' || value === null) continue
    const under = meter.trim()
    const test = tests.get(under.toLowerCase()) ?? { under, readings: [] }
    test.readings.push({ at, mm: value })
    tests.set(under.toLowerCase(), test)
  }
  return [...tests.values()]
}

/** "Under 80 kg, mid-panel: 6 mm on 4 Oct, 1.5 mm on 17 Apr, 75 % less." `date` of an instant as views say it. */
export function saySagTest({ under, readings }: SagTest, date: (at: number) => string): string {
  const [first, last] = [readings[0], readings.at(-1)]
  if (!first || !last) return ''
  const head = under === '' ? 'Under a weight nobody wrote down' : `Under ${under}`
  const before = `${head}: ${first.mm} mm on ${date(first.at)}`
  if (readings.length === 1)
    return `${before}. Measure again after the mend, the same weight at the same point.`
  const after = `${before}, ${last.mm} mm on ${date(last.at)}`
  if (first.mm <= 0 || first.mm === last.mm) return `${after}.`
  const share = Math.round((Math.abs(last.mm - first.mm) / first.mm) * 100)
  return last.mm < first.mm
    ? `${after}, ${share} % less.`
    : `${after}, ${share} % more: it gives way further.`
}
