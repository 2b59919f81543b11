/** When she is out of the water, and the water line of a drawing. */
import { gateDate } from '../plan/haulOutOf'
import { haulOutsAsPlanned, slingMs } from '../plan/schedule/haulOuts'
import type { StoredPlan } from '../model/stored'
import type { RefitRows } from '../model/refit'
import { dayNumber } from '../time/civil'
import type { ZoneClock } from '../time/zone'
import { xOf } from './ruler'
import type { Ruler } from './ruler'

/** A stretch ashore, from the strops going on to the launch, UTC ms. */
export interface AshoreSpan {
  readonly from: number
  readonly to: number
  /** Its launch happened, or the plan has it; else it is only aimed at. */
  readonly known: boolean
}

/** Ten in the morning, for launches of which only the date is known. */
const launchMinutes = 600

/** When she is ashore: launched when she was, else when the plan says, else when it is aimed at. */
export function ashoreSpans(
  rows: Pick<RefitRows, 'haulOut' | 'place' | 'refit' | 'tideStation'>,
  plan: Pick<StoredPlan, 'launches'> | null,
  clock: ZoneClock,
): AshoreSpan[] {
  return haulOutsAsPlanned(rows, plan, clock).map(({ haulOut, from, launchAt }) => {
    const aimed = gateDate(rows, { kind: 'launch', haulOutId: haulOut.id, on: null }) as string
    const known = launchAt !== Infinity
    return {
      from: from - slingMs,
      to: known ? launchAt : clock.at(dayNumber(aimed), launchMinutes),
      known,
    }
  })
}

/** A stretch in which she floats, or stands ashore; on the drawing where it is seen, UTC ms its true ends, infinite where none is known. */
export interface Stand {
  readonly afloat: boolean
  readonly x0: number
  readonly x1: number
  readonly from: number
  readonly to: number
  /** What it began with happened or is planned; else that is only aimed at. */
  readonly known: boolean
}

/** Stretches afloat and ashore from one end of a ruler to the other. */
export function standsOf(spans: readonly AshoreSpan[], ruler: Ruler): Stand[] {
  const inOrder = [...spans].sort((a, b) => a.from - b.from)
  const stands: Stand[] = []
  const add = (afloat: boolean, from: number, to: number, known: boolean): void => {
    const [x0, x1] = [xOf(ruler, from), xOf(ruler, to)]
    if (to > ruler.from && from < ruler.to && x1 - x0 > 0.5)
      stands.push({ afloat, x0, x1, from, to, known })
  }
  let [at, known] = [-Infinity, true]
  for (const one of inOrder) {
    if (one.from > at) add(true, at, one.from, known)
    add(false, Math.max(at, one.from), one.to, true)
    at = Math.max(at, one.to)
    known = one.known
  }
  add(true, at, Infinity, known)
  return stands
}

const [crest, waveLength] = [3, 22]
/** How far the water's edge runs out along the slip. */
const slope = 22

/** A wavy line from left to right at a height. */
export function wave(x0: number, x1: number, y: number): string {
  let path = `M${x0.toFixed(1)} ${y}`
  for (let x = x0; x + waveLength <= x1 + 0.01; x += waveLength)
    path += `q${waveLength / 4} ${-crest} ${waveLength / 2} 0t${waveLength / 2} 0`
  return `${path}L${x1.toFixed(1)} ${y}`
}

/** The water she floats in between two places, down to the hard; its ends slope where she goes in and comes out. */
export function waterFill(
  { x0, x1 }: Pick<Stand, 'x0' | 'x1'>,
  ruler: Ruler,
  top: number,
  bottom: number,
): string {
  const a = x0 > ruler.left + 1 ? Math.min(slope, (x1 - x0) / 2) : 0
  const b = x1 < ruler.right - 1 ? Math.min(slope, (x1 - x0) / 2) : 0
  const n = (value: number) => value.toFixed(1)
  return `${wave(x0, x1, top)}C${n(x1)} ${top + 40} ${n(x1 - b / 2)} ${bottom - 30} ${n(x1 - b)} ${bottom}L${n(x0 - a)} ${bottom}C${n(x0 - a / 2)} ${bottom - 30} ${n(x0)} ${top + 40} ${n(x0)} ${top}Z`
}
