/** Dust and wet work in the same air: nothing is sanded where resin or paint is not touch-dry. */
import type { Step } from '../../model/entities'
import { byId } from '../../model/refit'
import type { RefitRows } from '../../model/refit'
import { hourMs, minuteMs } from '../../time/civil'
import { intersect } from '../../time/intervals'
import type { Interval } from '../../time/intervals'
import { isWet, touchDryHours } from '../../weather/need'
import type { Waits } from '../waits'
import { ceilTick } from './tick'
import { factsOf } from '../facts'

/** After the last of it dust needs so long to lie. Assumed. */
export const settleMs = 30 * minuteMs
/** Air that is reckoned with where nothing is known, °C. */
export const usualAirC = 15
const coldestC = -20

type AirKind = 'wet' | 'dust'
const [wetOnly, dustOnly]: [readonly AirKind[], readonly AirKind[]] = [['wet'], ['dust']]
const [both, neither]: [readonly AirKind[], readonly AirKind[]] = [['wet', 'dust'], []]

/** What of a step others have to do with. Most have nothing: this is asked often, and makes no lists. */
function kindsOf(step: Step): readonly AirKind[] {
  const { wet, dusty } = factsOf(step)
  if (wet) return dusty ? both : wetOnly
  return dusty ? dustOnly : neither
}

/** A stretch for which a step keeps others from its air. */
interface Kept {
  readonly from: number
  readonly to: number
  readonly stepId: string
  readonly jobId: string
}

/** All wet work, or all dust, of one air or place. */
class Layer {
  /** By when they begin. */
  readonly kept: Kept[]
  /** Stretches of each job. */
  private readonly many: Map<string, number>
  private longestMs: number

  constructor(from?: Layer) {
    this.kept = [...(from?.kept ?? [])]
    this.many = new Map(from?.many)
    this.longestMs = from?.longestMs ?? 0
  }

  set({ id, jobId }: Step, spans: readonly Interval[]): void {
    if (this.has(jobId)) this.delete(id)
    for (const [from, to] of spans) {
      const one: Kept = { from, to, stepId: id, jobId }
      this.kept.splice(this.positionOf(from), 0, one)
      this.longestMs = Math.max(this.longestMs, to - from)
    }
    this.many.set(jobId, (this.many.get(jobId) ?? 0) + spans.length)
  }

  delete(stepId: string): void {
    for (let at = this.kept.length - 1; at >= 0; at--) {
      const one = this.kept[at] as Kept
      if (one.stepId !== stepId) continue
      this.kept.splice(at, 1)
      this.many.set(one.jobId, (this.many.get(one.jobId) ?? 1) - 1)
    }
  }

  /**
   * Time from an instant on that is free of it and of so much before it, a job's own left out. Nothing is said of the
   * time before that: work is looked for in thousands of stretches, most of which are over.
   */
  openTo(from: number, beforeMs: number, ownJobId: string): readonly Interval[] {
    const open: Interval[] = []
    let free = -Infinity
    for (let at = this.positionOf(from - this.longestMs - 1); at < this.kept.length; at++) {
      const one = this.kept[at] as Kept
      if (one.jobId === ownJobId) continue
      if (one.from - beforeMs > free) open.push([free, one.from - beforeMs])
      if (one.to > free) free = one.to
    }
    open.push([free, Infinity])
    return open
  }

  private has(jobId: string): boolean {
    return (this.many.get(jobId) ?? 0) > 0
  }

  /** Where a stretch that begins then has its place: after all that begin no later. */
  private positionOf(from: number): number {
    let low = 0
    let high = this.kept.length
    while (low < high) {
      const middle = (low + high) >> 1
      if ((this.kept[middle] as Kept).from <= from) low = middle + 1
      else high = middle
    }
    return low
  }
}

/** Layers by the air they are in, and by the place on the boat. */
interface AirLayers {
  readonly air: Map<string, Layer>
  readonly zone: Map<string, Layer>
}

const layersLike = (from?: AirLayers): AirLayers => ({
  air: copied(from?.air),
  zone: copied(from?.zone),
})
const copied = (layers: ReadonlyMap<string, Layer> = new Map()): Map<string, Layer> =>
  new Map([...layers].map(([key, layer]) => [key, new Layer(layer)]))

/** What is wet and what throws dust where and when, as a pass lays it. */
export class SharedAir {
  private readonly layers: Readonly<Record<AirKind, AirLayers>>
  private isClear: boolean

  private constructor(
    private readonly zoneOf: (step: Step) => string | null,
    private readonly waits: Waits,
    from?: SharedAir,
  ) {
    this.layers = { wet: layersLike(from?.layers.wet), dust: layersLike(from?.layers.dust) }
    this.isClear = from?.isClear ?? true
  }

  /** With what was laid before now and is wet still. */
  static at(now: number, rows: Pick<RefitRows, 'job' | 'step'>, waits: Waits): SharedAir {
    const jobs = byId(rows.job)
    const air = new SharedAir((step) => jobs.get(step.jobId)?.zoneId ?? null, waits)
    for (const step of rows.step)
      if (step.state === 'done' && step.doneAt !== null && isWet(step)) {
        const until = step.doneAt + air.dryMs(step, step.doneAt)
        if (until > now) air.keep(step, [[step.doneAt, step.doneAt]])
      }
    return air
  }

  /** The same air, to be written in on its own from now on. */
  copy(): SharedAir {
    return new SharedAir(this.zoneOf, this.waits, this)
  }

  /** True for steps that others' dust or wet work has to do with. */
  concerns = (step: Step): boolean => kindsOf(step).length > 0

  /** Writes down where a step is placed; again where it is moved. */
  keep(step: Step, segments: readonly Interval[]): void {
    for (const kind of kindsOf(step)) {
      const tail = (to: number) => (kind === 'wet' ? this.dryMs(step, to) : settleMs)
      const spans = segments.map(([from, to]): Interval => [from, ceilTick(to + tail(to))])
      for (const [layers, key] of this.ownLayers(step, kind)) {
        const layer = layers.get(key) ?? new Layer()
        layers.set(key, layer)
        layer.set(step, spans)
      }
      this.isClear = false
    }
  }

  /** A step that was kept has no place after all. */
  forget(step: Step): void {
    for (const kind of kindsOf(step))
      for (const [layers, key] of this.ownLayers(step, kind)) layers.get(key)?.delete(step.id)
  }

  /** When the air lets a step be done from an instant on; the windows as they are where nothing concerns it. */
  within(step: Step, windows: readonly Interval[], from: number): readonly Interval[] {
    if (this.isClear) return windows
    let left = windows
    for (const kind of kindsOf(step)) {
      const before = this.beforeMs(step, kind, null)
      for (const layer of this.against(step, kind))
        left = intersect(left, layer.openTo(from, before, step.jobId))
    }
    return left
  }

  /** The step whose dust or wet work keeps another from an instant; null: none does. */
  heldBy(step: Step, at: number): string | null {
    for (const kind of kindsOf(step)) {
      const before = this.beforeMs(step, kind, at)
      for (const layer of this.against(step, kind))
        for (const one of layer.kept)
          if (one.jobId !== step.jobId && one.from - before <= at && at < one.to) return one.stepId
    }
    return null
  }

  /** Wet work must be touch-dry before the dust, and dust must lie before the wet work. */
  private beforeMs(step: Step, kind: AirKind, at: number | null): number {
    return kind === 'wet' ? this.dryMs(step, at) : settleMs
  }

  /** What stands against a step: wet work near dust, dust near wet work. In its own job it is wiped down in between. */
  private against(step: Step, kind: AirKind): Layer[] {
    const { wet, dust } = this.layers
    const zone = this.zoneOf(step)
    const inAir = (layers: AirLayers) => layers.air.get(this.airOf(step))
    const inZone = (layers: AirLayers) => (zone === null ? undefined : layers.zone.get(zone))
    const found =
      kind === 'wet'
        ? [inAir(dust), inZone(dust)]
        : [factsOf(step).drifts ? inAir(wet) : inZone(wet)]
    return found.filter((layer) => layer !== undefined)
  }

  /** Where a step's dust or wet work is found by others: among which layers, under what. */
  private ownLayers(step: Step, kind: AirKind): [Map<string, Layer>, string][] {
    const { air, zone } = this.layers[kind]
    const zoneId = this.zoneOf(step)
    const ofZone: [Map<string, Layer>, string][] = zoneId === null ? [] : [[zone, zoneId]]
    if (kind === 'wet') return [[air, this.airOf(step)], ...ofZone]
    return factsOf(step).drifts ? [[air, this.airOf(step)]] : ofZone
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
