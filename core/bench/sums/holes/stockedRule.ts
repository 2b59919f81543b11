/** A rule beside a bolt: the lengths that are stocked, the one that is taken as a flag, what is wanted as a band. */
import { stockedLengthsMm } from '../../../fastening/boltLength'
import type { Thread } from '../../../fastening/threads'
import type { Shape, Tone } from '../../drawing'
import { box, path, shape, text } from '../../parts'

/**
 * Shapes of the rule, mm. `x`: where it stands; `from`: where lengths begin, under the head; `buyMm`: the one that is taken, stocked;
 * `needMm`: wanted at least. The band is the two turns that have to stand out; its lower edge is what is wanted.
 */
export function stockedRule(
  thread: Thread,
  { x, from, needMm, buyMm }: { x: number; from: number; needMm: number; buyMm: number },
  say: (value: number, unit: string) => string,
): Shape[] {
  const all = stockedLengthsMm(thread)
  const at = all.findIndex((one) => Math.abs(one - buyMm) < 1e-6)
  const [before, next] = [all[at - 1], all[at + 1]]
  const until = next ?? buyMm
  const tick = thread.sizeMm * 0.35
  const turns = 2 * thread.pitchMm
  // On a rule a metric length is its bare number, as on the box of bolts.
  const size = (value: number) => (thread.inch ? say(value, 'mm') : String(value))
  const beside = (value: number | undefined, tone: Tone): Shape[] =>
    value === undefined
      ? []
      : [
          text([x + 1.4 * tick, from + value], size(value), {
            tone,
            size: 'small',
            room: [1e3, Math.abs(buyMm - value)],
          }),
        ]
  return [
    path([
      [x, from],
      [x, from + until],
    ]),
    ...all
      .filter((one) => one <= until)
      .map((one): Shape =>
        path([
          [x, from + one],
          [x + tick, from + one],
        ]),
      ),
    box(x - tick, from + needMm - turns, tick, turns, { fill: 'short', edge: 'red' }),
    shape(
      [
        [x, from + buyMm],
        [x + tick, from + buyMm - tick * 0.7],
        [x + 2.4 * tick, from + buyMm - tick * 0.7],
        [x + 2.4 * tick, from + buyMm + tick * 0.7],
        [x + tick, from + buyMm + tick * 0.7],
      ],
      { fill: 'brass' },
    ),
    ...beside(before, 'red'),
    text([x + 2.8 * tick, from + buyMm], `${size(buyMm)} take`, { tone: 'good', bold: true }),
    ...beside(next, 'soft'),
  ]
}
