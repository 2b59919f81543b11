/** A job as it grows: every step a layer that begins on its day and stays. */
import type { Job, Step } from '../model/entities'
import { byId, inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'
import type { Placement, StoredPlan } from '../model/stored'
import { plannedHours } from '../plan/planned'
import type { Waits } from '../plan/waits'
import { dayMs, hourMs } from '../time/civil'
import { figured } from '../units/counted'
import { sayGap } from './sayGap'

/** A step of the job, or several of one kind folded into one. */
export interface Layer {
  readonly key: string
  readonly title: string
  /** More than one: they are folded. */
  readonly steps: readonly Step[]
  readonly state: 'done' | 'doing' | 'open'
  /** Start and end of the work and end of its wait, UTC ms; null: it has no place in the plan, or nobody knows when. */
  readonly from: number | null
  readonly to: number | null
  readonly readyAt: number | null
  readonly personIds: readonly string[]
  /** Planned hours of all its steps. */
  readonly hours: number
  /** When what follows it must be on it without a mend; null: no window. */
  readonly shutsAt: number | null
  /** Peel ply is planned on it. */
  readonly hasPeelPly: boolean
  /** What the plan does because a window shuts before it. */
  readonly mends: Placement['mends']
  /** Why nobody works before it; '': it follows at once. */
  readonly gap: string
}

/** More rows than this fold. */
const mostRows = 9
/** Of what is done so many stand by themselves. */
const mostDone = 3
/** A pause shorter than a night is no gap. */
const leastGapMs = 20 * hourMs

/** The layers of a job from the first, each by itself. `waits` gives when what is done is cured. */
export function layersOf(
  rows: RefitRows,
  plan: Pick<StoredPlan, 'placements'> | null,
  job: Pick<Job, 'id'>,
  waits: Pick<Waits, 'afterDone'>,
  sayDate: (at: number) => string,
): Layer[] {
  const placed = new Map((plan?.placements ?? []).map((one) => [one.stepId, one]))
  const steps = inOrder(rows.step.filter((step) => step.jobId === job.id)).filter(
    (step) => step.state !== 'dropped',
  )
  const mends = steps.flatMap((step) => placed.get(step.id)?.mends ?? [])
  let before: number | null = null
  return steps.map((step, at): Layer => {
    const placement = placed.get(step.id)
    const isDone = step.state === 'done'
    const from = isDone ? step.doneAt : (placement?.segments[0]?.[0] ?? null)
    const to = isDone ? step.doneAt : (placement?.segments.at(-1)?.[1] ?? null)
    const readyAt = isDone ? (to === null ? null : waits.afterDone(step, to)) : placement?.readyAt
    // Once the next is on it, no window is open any more.
    const next = steps[at + 1]
    const shuts = next && next.state !== 'done' ? step.maxWaitHours : null
    const gapMs = from !== null && before !== null && !isDone ? from - before : 0
    const layer: Layer = {
      key: step.id,
      title: step.title,
      steps: [step],
      state: isDone ? 'done' : step.state === 'doing' ? 'doing' : 'open',
      from,
      to,
      readyAt: readyAt ?? null,
      personIds: isDone || step.state === 'doing' ? step.byIds : (placement?.personIds ?? []),
      hours: plannedHours(step),
      shutsAt: shuts === null || to === null ? null : to + shuts * hourMs,
      hasPeelPly: mends.some((one) => one.kind === 'peelPly' && one.fromStepId === step.id),
      mends: placement?.mends ?? [],
      gap:
        placement && gapMs >= leastGapMs
          ? sayGap(placement.binding, Math.round(gapMs / dayMs), rows, sayDate)
          : '',
    }
    before = Math.max(before ?? -Infinity, layer.readyAt ?? layer.to ?? -Infinity)
    return layer
  })
}

/** Layers folded to a number that can be read: what is done first, then runs of one kind, then the last of them. */
export function folded(layers: readonly Layer[], unfolded: boolean): Layer[] {
  if (unfolded || layers.length <= mostRows) return [...layers]
  const done = layers.filter((one) => one.state === 'done')
  const old = done.length > mostDone + 1 ? done.slice(0, done.length - mostDone) : []
  const left = layers.filter((one) => !old.includes(one))
  const rows =
    old.length > 0 ? [foldOf(old, `${figured(old.length, 'step')} done before`), ...left] : left
  while (rows.length > mostRows) {
    const at = rows.findIndex(
      (one, index) => index > 0 && one.state === 'open' && isOneKind(rows[index - 1] as Layer, one),
    )
    const first = at > 0 ? at - 1 : rows.length - 2
    const pair = rows.slice(first, first + 2)
    const steps = pair.flatMap((one) => one.steps)
    const title =
      at > 0 ? `${steps.length} × ${sharedName(steps)}` : `${steps.length} steps at the end`
    rows.splice(first, 2, foldOf(pair, title))
  }
  return rows
}

const isOneKind = (a: Layer, b: Layer): boolean =>
  a.state === 'open' && a.steps[0]?.operation === b.steps[0]?.operation

/** What the titles of steps begin with alike, up to a comma; else the first of them. */
function sharedName(steps: readonly Step[]): string {
  const names = steps.map((step) => (step.title.split(/[,:(]/)[0] ?? step.title).trim())
  return names[0] ?? ''
}

function foldOf(layers: readonly Layer[], title: string): Layer {
  const [first, last] = [layers[0] as Layer, layers.at(-1) as Layer]
  return {
    ...last,
    key: `${first.key} to ${last.key}`,
    title,
    steps: layers.flatMap((one) => one.steps),
    from: first.from,
    gap: first.gap,
    mends: first.mends,
    personIds: [...new Set(layers.flatMap((one) => one.personIds))],
    hours: layers.reduce((sum, one) => sum + one.hours, 0),
  }
}

/** What waits on a job: jobs that follow it, with the start of their work in the plan, soonest first. */
export function waitingOn(
  rows: Pick<RefitRows, 'link' | 'job' | 'step'>,
  plan: Pick<StoredPlan, 'placements'> | null,
  jobId: string,
): { readonly job: Job; readonly at: number | null }[] {
  const jobs = byId(rows.job)
  const jobOf = new Map(rows.step.map((step) => [step.id, step.jobId]))
  const starts = new Map<string, number>()
  for (const one of plan?.placements ?? []) {
    const id = jobOf.get(one.stepId)
    const start = one.segments[0]?.[0]
    if (id && start !== undefined) starts.set(id, Math.min(start, starts.get(id) ?? Infinity))
  }
  const next = new Set(
    rows.link.filter((link) => link.fromJobId === jobId).map((link) => link.toJobId),
  )
  return [...next]
    .flatMap((id) => {
      const job = jobs.get(id)
      return job?.decision === 'plan' ? [{ job, at: starts.get(id) ?? null }] : []
    })
    .sort((a, b) => (a.at ?? Infinity) - (b.at ?? Infinity))
}
