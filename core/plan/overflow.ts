import { reachable } from '../graph'
import type { Job } from '../model/entities'
import type { Remark } from '../model/stored'
import { byId, groupBy } from '../model/refit'
import type { RefitRows } from '../model/refit'
import type { ZoneClock } from '../time/zone'
import { sayFullDate } from '../time/say'
import { haulOutOf, launchHeldBy } from './haulOutOf'
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
 * For every launch on a fixed date: keeps the work with the best score per ashore hour and moves the
 * rest, with all that follows it, to the next haul-out. `readyAt` plans rows as if no launch were fixed
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
    const order = byWorth(now, own, coming, scoreOf)
    const to = next ? (ids: ReadonlySet<string>) => moveTo(now, ids, own, next) : null
    if (!to || !next || order.length === 0) {
      moved.push(stuck(own, aim))
      return
    }
    const most = order.map((one) => one.job.id)
    let [low, high] = [1, most.length]
    while (low < high) {
      const middle = (low + high) >> 1
      if (fits(to(withFollowers(now, most.slice(0, middle))))) high = middle
      else low = middle + 1
    }
    let ids = withFollowers(now, most.slice(0, low))
    if (!fits(to(ids))) moved.push(stuck(own, aim))
    // Some of them may fit after all once dearer ones are gone: the best first.
    for (const { job } of order.slice(0, low).reverse().slice(0, mostTriedBack)) {
      const fewer = withFollowers(
        now,
        [...ids].filter((id) => id !== job.id),
      )
      if (fewer.size < ids.size && fits(to(fewer))) ids = fewer
    }
    const worth = new Map(order.map((one) => [one.job.id, one.worth]))
    for (const job of now.job)
      if (ids.has(job.id))
        moved.push({
          kind: 'moved',
          message: `"${job.title}" does not fit before the launch of ${sayFullDate(aim)} and moves to ${next.haulOut.name}${sayWorth(worth.get(job.id))}.`,
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
    : `: ${Math.round(worth * 10) / 10} points an hour ashore`

const stuck = ({ haulOut }: Ashore, aim: string): Remark => ({
  kind: 'deadline',
  message: `The launch of ${sayFullDate(aim)} is fixed, and what must be done before it does not fit. Add a later haul-out, or let the launch of ${haulOut.name} follow the work.`,
  jobIds: [],
  stepIds: [],
})

/** Open jobs that the launch waits for, least score per ashore hour first. Jobs without ashore hours are not moved. */
function byWorth(
  rows: RefitRows,
  own: Ashore,
  coming: readonly Ashore[],
  scoreOf: (jobId: string) => number,
): { job: Job; worth: number }[] {
  const steps = stepsByJob(rows)
  return plannedJobs(rows)
    .flatMap((job) => {
      if (haulOutOf(job, rows, coming)?.haulOut.id !== own.haulOut.id) return []
      const held = (steps.get(job.id) ?? []).filter(
        (step) =>
          isOpen(step) && launchHeldBy(job, step, rows, coming)?.haulOut.id === own.haulOut.id,
      )
      const ashoreHours = held
        .filter((step) => step.hullNeed === 'ashore')
        .reduce((sum, step) => sum + plannedHours(step), 0)
      return ashoreHours > 0 ? [{ job, worth: scoreOf(job.id) / ashoreHours }] : []
    })
    .sort((a, b) => a.worth - b.worth || (a.job.id < b.job.id ? -1 : 1))
}

/** Jobs with all that wait for them, over links. */
function withFollowers(rows: RefitRows, ids: readonly string[]): Set<string> {
  const after = groupBy(rows.link, (link) => link.fromJobId)
  const jobs = byId(rows.job)
  return reachable(ids, (id) =>
    (after.get(id) ?? []).flatMap(({ toJobId }) => (jobs.has(toJobId) ? [toJobId] : [])),
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
