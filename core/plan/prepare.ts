import type { Remark } from '../model/stored'
import { entityNames, kinds } from '../model/entities'
import type { RefitRows } from '../model/refit'
import { calibrated } from '../forecast/calibration'
import { zoneClock } from '../time/zone'
import { withHullNeeds } from './hullNeed'
import { cycleSentence, findCycle, plannedJobs } from './network'
import { fitFixedLaunches } from './overflow'
import type { Ranked } from './priority'
import { rankedJobs } from './ranking'
import { calendarsOf } from './schedule/calendars'
import { criticalPath, earliestLaunches } from './schedule/criticalPath'
import { openWork } from './schedule/openWork'
import type { OpenWork } from './schedule/openWork'
import { phasesOf } from './schedule/phases'
import { refitPass } from './schedule/refitPass'
import { relaying } from './schedule/relaying'
import type { Pass, PassInput, PassOptions } from './schedule/pass'
import { structureOf } from './schedule/structure'
import { standingOf, urgency } from './urgency'
import type { Order, Standing } from './urgency'

/** A refit made ready for passes: circles cut, work that misses a fixed launch moved on. */
export interface Prepared extends PassInput {
  readonly rows: RefitRows
  readonly ranked: readonly Ranked[]
  readonly standing: Standing
  readonly remarks: readonly Remark[]
  readonly moved: readonly Remark[]
}

/** Everything about a refit that does not depend on the order in which steps are placed. `now`: UTC ms. */
export function prepare(given: RefitRows, now: number): Prepared {
  const clock = zoneClock(given.refit[0]?.zone ?? 'UTC')
  const sorted = inOneOrder(calibrated(given))
  const { links, remarks } = withoutCircles(sorted)
  const rows = withHullNeeds(sorted)
  const open = { ...rows, link: links }
  // Work that is moved to another haul-out follows the same work, and is done by the same people.
  const structure = structureOf(open)
  const calendars = calendarsOf(open, clock, now)
  const weigh = (some: RefitRows) => weighed(openWork(some, clock, now, structure, calendars))
  const fitted = fitFixedLaunches(
    open,
    clock,
    scoresOf(() => weigh(open).ranked),
    (some, haulOutId) => {
      const work = openWork(some, clock, now, structure, calendars)
      const pass = layPass(
        { ...weighed(upTo(work, haulOutId)), rows, remarks, moved: [] },
        latestStartFirst,
      )
      return pass.launches.find((one) => one.haulOutId === haulOutId)?.at ?? 0
    },
  )
  return { rows, remarks, moved: fitted.moved, ...weigh(fitted.rows) }
}

/** Only what launches up to that of a haul-out wait for, and what is looked at in their slings. */
function upTo(work: OpenWork, haulOutId: string): OpenWork {
  const phases = phasesOf(work)
  const last = phases.findIndex((one) => one.launch?.haulOut.id === haulOutId)
  const early = phases.slice(0, last + 1)
  const kept = new Set(early.flatMap((phase) => phase.activities))
  const launches = new Set(early.map((phase) => phase.launch?.haulOut.id))
  return {
    ...work,
    activities: new Map(
      [...work.activities].filter(
        ([, one]) =>
          kept.has(one) ||
          (one.step.hullNeed === 'slings' && launches.has(one.ashore?.haulOut.id ?? '')),
      ),
    ),
  }
}

/** Rows by id, so that a plan is the same however they arrived. */
function inOneOrder(rows: RefitRows): RefitRows {
  const sorted = entityNames
    .filter((name) => kinds[name].planInput)
    .map((name) => [name, [...rows[name]].sort((a, b) => (a.id < b.id ? -1 : 1))] as const)
  return { ...rows, ...Object.fromEntries(sorted) }
}

/** What would be late first, whatever its slack. */
export const latestStartFirst: Order = { marginMs: Infinity }

function weighed(compiled: OpenWork) {
  const phases = phasesOf(compiled)
  const bounds = criticalPath(compiled, phases)
  const launchesFrom = earliestLaunches(compiled, phases)
  const ranked = rankedJobs(compiled.rows, bounds)
  const standing = standingOf(compiled, bounds, ranked)
  return { compiled, phases, launchesFrom, bounds, ranked, standing }
}

/** One pass in an order, as things are or supposing that something of them were otherwise. */
export const layPass = (prepared: Prepared, order: Order, options?: PassOptions): Pass =>
  refitPass(prepared, urgency(prepared.standing, order), options)

/** Passes in one order that suppose something else of some steps, none laid further back than need be. */
export const relay = (prepared: Prepared, order: Order): ReturnType<typeof relaying> =>
  relaying(prepared, urgency(prepared.standing, order))

/** Priority by job, worked out when first asked for. */
function scoresOf(rankedOf: () => readonly Ranked[]): (jobId: string) => number {
  let scores: ReadonlyMap<string, number> | null = null
  return (jobId) => {
    scores ??= new Map(rankedOf().map((one) => [one.job.id, one.score]))
    return scores.get(jobId) ?? 0
  }
}

/** Takes the closing link out of each circle, naming its jobs. */
function withoutCircles(rows: RefitRows): { links: RefitRows['link']; remarks: Remark[] } {
  const planned = new Set(plannedJobs(rows).map((job) => job.id))
  let links = rows.link.filter((one) => planned.has(one.fromJobId) && planned.has(one.toJobId))
  const remarks: Remark[] = []
  for (let cycle = findCycle(links); cycle; cycle = findCycle(links)) {
    const [first, last] = [cycle[0], cycle.at(-1)]
    links = links.filter((one) => !(one.fromJobId === last && one.toJobId === first))
    remarks.push({
      kind: 'cycle',
      message: cycleSentence(cycle, rows.job),
      jobIds: cycle,
      stepIds: [],
    })
  }
  return { links, remarks }
}
