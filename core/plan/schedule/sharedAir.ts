/** Dust and wet work in the same air: nothing is sanded where resin or paint is not touch-dry. */
import type { Step } from '../../model/entities'
import { byId } from '../../model/refit'
import type { RefitRows } from '../../model/refit'
import type { Operation } from '../../model/words'
import { hourMs, minuteMs } from '../../time/civil'
import { intersect } from '../../time/intervals'
import type { Interval } from '../../time/intervals'
import { openAround } from '../../weather/fit'
import { isWet, touchDryHours } from '../../weather/need'
import type { Waits } from '../waits'
import { factsOf } from '../facts'

/** Dust that drifts over all of the boat; of other cutting only the place itself gets any. */
const drifting: readonly Operation[] = ['grind', 'fair']
/** After the last of it dust needs so long to lie. Assumed. */
export const settleMs = 30 * minuteMs
/** Air that is reckoned with where nothing is known, °C. */
export const usualAirC = 15
const coldestC = -20

type Kind = 'wet' | 'dust'

interface Kept {
  readonly stepId: string
  readonly jobId: string
  readonly kind: Kind
  readonly place: string
  readonly spans: readonly Interval[]
}

/** What is wet and what throws dust where and when, as a pass lays it. */
export class SharedAir {
  private readonly kept = new Map<string, Kept>()
  private readonly zoneOf: (step: Step) => string | null
  private open = new Map<string, readonly Interval[]>()

  constructor(
    rows: Pick<RefitRows, 'job' | 'step'>,
    private readonly waits: Waits,
    now: number,
  ) {
    const jobs = byId(rows.job)
    this.zoneOf = (step) => jobs.get(step.jobId)?.zoneId ?? null
    // What was laid before and is wet still.
    for (const step of rows.step)
      if (step.state === 'done' && step.doneAt !== null && isWet(step)) {
        const until = step.doneAt + this.dryMs(step, step.doneAt)
        if (until > now) this.keep(step, [[step.doneAt, step.doneAt]])
      }
  }

  /** True for steps that others' dust or wet work has to do with. */
  concerns = (step: Step): boolean => isWet(step) || factsOf(step.operation).dusty

  /** Writes down where a step is placed; again where it is moved. */
  keep(step: Step, segments: readonly Interval[]): void {
    if (!this.concerns(step)) return
    const kind: Kind = isWet(step) ? 'wet' : 'dust'
    const tail = (to: number) => (kind === 'wet' ? this.dryMs(step, to) : settleMs)
    const spans = segments.map(([from, to]): Interval => [from, to + tail(to)])
    for (const place of this.placesOf(step, kind))
      this.kept.set(`${step.id} ${place}`, {
        stepId: step.id,
        jobId: step.jobId,
        kind,
        place,
        spans,
      })
    this.open = new Map()
  }

  /** A step that was kept has no place after all. */
  forget(step: Step): void {
    for (const key of this.kept.keys()) if (key.startsWith(`${step.id} `)) this.kept.delete(key)
    this.open = new Map()
  }

  /** When the air lets a step be done; the windows as they are where nothing concerns it. */
  within(step: Step, windows: readonly Interval[]): readonly Interval[] {
    if (!this.concerns(step) || this.kept.size === 0) return windows
    const open = this.openTo(step)
    return open ? intersect(windows, open) : windows
  }

  /** The step whose dust or wet work keeps another from an instant; null: none does. */
  heldBy(step: Step, at: number): string | null {
    if (!this.concerns(step)) return null
    const before = isWet(step) ? this.dryMs(step, at) : settleMs
    return (
      this.against(step).find((one) =>
        one.spans.some(([from, to]) => from - before <= at && at < to),
      )?.stepId ?? null
    )
  }

  private openTo(step: Step): readonly Interval[] | null {
    // Wet work must be touch-dry before the dust, and dust must lie before the wet work.
    const before = isWet(step) ? this.dryMs(step, null) : settleMs
    const key = `${isWet(step) ? `wet ${before}` : `dust ${drifting.includes(step.operation)}`} ${this.airOf(step)} ${this.zoneOf(step)} ${step.jobId}`
    const known = this.open.get(key)
    if (known) return known
    const closed = this.against(step).flatMap((one) =>
      one.spans.map(([from, to]): Interval => [from - before, to]),
    )
    if (closed.length === 0) return null
    const open = openAround(closed)
    this.open.set(key, open)
    return open
  }

  /** What stands against a step: wet work near dust, dust near wet work. In its own job it is wiped down in between. */
  private against(step: Step): Kept[] {
    const wanted: Kind = isWet(step) ? 'dust' : 'wet'
    const places =
      wanted === 'dust'
        ? [`air ${this.airOf(step)}`, `zone ${this.zoneOf(step)}`]
        : [
            drifting.includes(step.operation)
              ? `air ${this.airOf(step)}`
              : `zone ${this.zoneOf(step)}`,
          ]
    return [...this.kept.values()].filter(
      (one) => one.kind === wanted && one.jobId !== step.jobId && places.includes(one.place),
    )
  }

  /** Under what a step's dust or wet work is found by others. */
  private placesOf(step: Step, kind: Kind): string[] {
    const [air, zone] = [this.airOf(step), this.zoneOf(step)]
    const ofZone = zone === null ? [] : [`zone ${zone}`]
    if (kind === 'wet') return [`air ${air}`, ...ofZone]
    return drifting.includes(step.operation) ? [`air ${air}`] : ofZone
  }

  /** The deck and hull share one air, below is another, and each roof has its own. */
  private airOf(step: Step): string {
    const site = this.waits.weather.siteOf(step)
    return site.exposure === 'roof' ? site.key : site.exposure
  }

  /** Until touch-dry, ms, at the air of an instant; null: the longest it may take, for looking ahead. */
  private dryMs(step: Step, at: number | null): number {
    const site = this.waits.weather.siteOf(step)
    const airC = at === null ? coldestC : this.waits.weather.airAt(site, at)
    return touchDryHours(step, airC ?? usualAirC) * hourMs
  }
}
