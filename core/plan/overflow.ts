import { reachable } from '../graph'
import type { Job, Step } from '../model/entities'
import type { Remark } from '../model/stored'
import { byId, groupBy } from '../model/refit'
import type { RefitRows } from '../model/refit'
import type { ZoneClock } from '../time/zone'
import { sayFullDate } from '../time/say'
import { factsOf } from './facts'
import { launchHeldBy } from './haulOutOf'
import { plannedJobs, stepsByJob } from './network'
import { isOpen, plannedHours } from './planned'
import { haulOutsInTime } from './schedule/haulOuts'
import type { Ashore } from './schedule/haulOuts'

/** Jobs tried one by one on the way back into a haul-out, at most. */
const mostTriedBack = 24

/** Rows in which what does not fit before a fixed launch is put into the next haul-out, and what was. */
export interface Fitted {
  readonly rows: RefitRows
  readonly moved: readonly Remark[]
}

/**
 * For every launch on a fixed date: keeps the work with the most purpose and the best score per hour and moves the
 * rest, with all that follows it, to the next haul-out; nothing is moved where that does not keep the date. `readyAt` plans rows as if no launch were fixed
 * and says when a haul-out's launch could be; `scoreOf` is the priority of a job.
 */
export function fitFixedLaunches(
  rows: RefitRows,
  clock: ZoneClock,
  scoreOf: (jobId: string) => number,
  readyAt: (rows: RefitRows, haulOutId: string) => number,
): Fitted {
  const coming = haulOutsInTime(rows, clock).filter((one) => one.launchAt === Infinity)
  let now = rows
  const moved: Remark[] = []
  coming.forEach((own, index) => {
    if (own.haulOut.launchWhen !== 'fixed') return
    const aim = own.haulOut.launchBooked ?? own.haulOut.launchAimed
    const fits = (some: RefitRows) => clock.dateOf(readyAt(some, own.haulOut.id)) <= aim
    if (fits(now)) return
    const next = coming[index + 1]
    const { order, staying } = byWorth(now, own, coming, scoreOf)
    if (!next || order.length === 0) {
      moved.push(stuck(own, aim, next === undefined, staying))
      return
    }
    const to = (ids: ReadonlySet<string>) => moveTo(now, ids, own, next)
    const kept = new Set(staying.map((job) => job.id))
    const withTheirs = (ids: readonly string[]) => withFollowers(now, ids, kept)
    const most = order.map((one) => one.job.id)
    let [low, high] = [1, most.length]
    while (low < high) {
      const middle = (low + high) >> 1
      if (fits(to(withTheirs(most.slice(0, middle))))) high = middle
      else low = middle + 1
    }
    let ids = withTheirs(most.slice(0, low))
    // What does not help the date is not moved for it.
    if (!fits(to(ids))) {
      moved.push(stuck(own, aim, false, staying))
      return
    }
    // Some of them may fit after all once dearer ones are gone: the best first.
    for (const { job } of order.slice(0, low).reverse().slice(0, mostTriedBack)) {
      const fewer = withTheirs([...ids].filter((id) => id !== job.id))
      if (fewer.size < ids.size && fits(to(fewer))) ids = fewer
    }
    const worth = new Map(order.map((one) => [one.job.id, one.worth]))
    for (const job of now.job)
      if (ids.has(job.id))
        moved.push({
          kind: 'moved',
          message: `“${job.title}” does not fit before the launch of ${sayFullDate(aim)} and moves to ${next.haulOut.name}${sayWorth(worth.get(job.id))}.`,
          jobIds: [job.id],
          stepIds: [],
        })
    now = to(ids)
  })
  return { rows: now, moved }
}

const sayWorth = (worth: number | undefined): string =>
  worth === undefined
    ? ', with what it waits for'
    : `: ${Math.round(worth * 10) / 10} points an hour`

function stuck({ haulOut }: Ashore, aim: string, isLast: boolean, staying: readonly Job[]): Remark {
  const open = staying.map((job) => `“${job.title}”`).join(', ')
  const why =
    staying.length > 0
      ? ` ${open} ${staying.length === 1 ? 'has' : 'have'} the hull open and must be closed before she floats.`
      : ''
  return {
    kind: 'deadline',
    message: `The launch of ${sayFullDate(aim)} is fixed, and what must be done before it does not fit${isLast ? '' : ', whatever is moved to the next haul-out'}.${why} ${isLast ? 'Add a later haul-out, or let' : 'Let'} the launch of ${haulOut.name} follow the work.`,
    jobIds: staying.map((job) => job.id),
    stepIds: [],
  }
}

/** From what only looks to what keeps her afloat: nothing is put off for something of less purpose. */
const purposeOrder: readonly Job['purpose'][] = ['shine', 'live', 'go', 'safe', 'float']

/** True for a job that has begun to open the hull below the waterline and is not through: she cannot float with it. */
function hasHullOpen(job: Job, steps: readonly Step[], rows: RefitRows): boolean {
  const below =
    rows.zone.some((zone) => zone.id === job.zoneId && zone.belowWaterline) ||
    steps.some((step) => step.hullNeed === 'ashore')
  const begun = steps.some(
    (step) => factsOf(step).opens && (step.state === 'done' || step.state === 'doing'),
  )
  return below && begun && steps.some((step) => isOpen(step) && step.hullNeed === 'ashore')
}

/**
 * Open jobs that the launch waits for, those of least purpose first, and among them least score per hour ashore (work
 * with the hull either way counts its own hours). Those that have the hull open stay.
 */
function byWorth(
  rows: RefitRows,
  own: Ashore,
  coming: readonly Ashore[],
  scoreOf: (jobId: string) => number,
): { order: { job: Job; worth: number }[]; staying: Job[] } {
  const steps = stepsByJob(rows)
  const staying: Job[] = []
  const order = plannedJobs(rows).flatMap((job) => {
    const held = (steps.get(job.id) ?? []).filter(
      (step) =>
        isOpen(step) && launchHeldBy(job, step, rows, coming)?.haulOut.id === own.haulOut.id,
    )
    const hours = (list: readonly Step[]) => list.reduce((sum, step) => sum + plannedHours(step), 0)
    const ashoreHours = hours(held.filter((step) => step.hullNeed === 'ashore'))
    const all = ashoreHours > 0 ? ashoreHours : hours(held)
    if (all === 0) return []
    if (hasHullOpen(job, steps.get(job.id) ?? [], rows)) {
      staying.push(job)
      return []
    }
    return [{ job, worth: scoreOf(job.id) / all }]
  })
  const purpose = ({ job }: { job: Job }) => purposeOrder.indexOf(job.purpose)
  order.sort(
    (a, b) => purpose(a) - purpose(b) || a.worth - b.worth || (a.job.id < b.job.id ? -1 : 1),
  )
  return { order, staying }
}

/** Jobs with all that wait for them, over links; those that stay are not among them. */
function withFollowers(
  rows: RefitRows,
  ids: readonly string[],
  staying: ReadonlySet<string>,
): Set<string> {
  const after = groupBy(rows.link, (link) => link.fromJobId)
  const jobs = byId(rows.job)
  return reachable(ids, (id) =>
    (after.get(id) ?? []).flatMap(({ toJobId }) =>
      jobs.has(toJobId) && !staying.has(toJobId) ? [toJobId] : [],
    ),
  )
}

function moveTo(rows: RefitRows, ids: ReadonlySet<string>, from: Ashore, to: Ashore): RefitRows {
  const gateOf = (one: Ashore) =>
    rows.gate.find((gate) => gate.kind === 'launch' && gate.haulOutId === one.haulOut.id)?.id ??
    null
  const [old, next] = [gateOf(from), gateOf(to)]
  return {
    ...rows,
    job: rows.job.map((job) =>
      ids.has(job.id)
        ? { ...job, haulOutId: to.haulOut.id, gateId: job.gateId === old ? next : job.gateId }
        : job,
    ),
  }
}
