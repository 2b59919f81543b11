/** The accepted plan laid again and again, each time with all that is not known drawn. */
import type { InParts } from '../inParts'
import type { StoredPlan } from '../model/stored'
import type { RefitRows } from '../model/refit'
import { moneyOf } from '../money/accounts'
import { yardAhead } from '../money/yardAhead'
import { laidGates } from '../plan/finishPlan'
import { gateDate } from '../plan/haulOutOf'
import { plannedHours } from '../plan/planned'
import { prepare } from '../plan/prepare'
import { samplePasses } from '../plan/sample'
import type { OpenWork } from '../plan/schedule/openWork'
import type { Pass } from '../plan/schedule/pass'
import { inSequence } from '../plan/inSequence'
import { derive } from '../progress/derive'
import { createRandom } from '../random'
import { addDays, dayMs } from '../time/civil'
import { startOfDate } from '../time/zone'
import { chainCounter, heldSteps } from './chainOf'
import { costDraws } from './costDraws'
import { drawsOf } from './draws'
import type { Driver } from './draws'

/** What runs gave, a list a run. Runs of one seed come out the same however they are shared out among workers. */
export interface Runs {
  readonly drivers: readonly Driver[]
  readonly gateIds: readonly string[]
  readonly stepIds: readonly string[]
  /** By run, then gate: UTC ms at which it is, and at which all for it is ready. Infinity: it has no day. */
  readonly at: readonly (readonly number[])[]
  readonly readyAt: readonly (readonly number[])[]
  /** By run, then gate: share of the open hours done by the end of the day it is aimed at; 0 without one. */
  readonly doneBy: readonly (readonly number[])[]
  /** By run: hours of work it still took, what it cost in the end in minor units, how each driver came out. */
  readonly hours: readonly number[]
  readonly costMinor: readonly number[]
  readonly values: readonly (readonly number[])[]
  /** By step: runs in which it was on the chain to some gate. */
  readonly onChain: readonly number[]
}

export interface RunsAsked {
  readonly seed: number
  /** Runs `from` until before `to`, of 0 and more. */
  readonly from: number
  readonly to: number
}

/** A gate that is ready for longer before it comes waits for its date. */
const idleMs = 14 * dayMs
/** Runs laid before anything else is let in. */
const runsAPart = 4

/** A stream of its own for each run of a seed. */
export const randomOf = (seed: number, run: number) =>
  createRandom(Math.imul(seed ^ 0x5bd1e995, 0x9e3779b1) ^ Math.imul(run + 1, 0x85ebca6b))

/**
 * Runs of an accepted plan in its own sequence. Gates fall on days on which they can happen, as the passes lay them.
 * Null: nothing is open, or the plan is of other work. Can be left after every fourth.
 */
export function* forecastRuns(
  rows: RefitRows,
  plan: StoredPlan,
  { seed, from, to }: RunsAsked,
): InParts<Runs | null> {
  const prepared = prepare(rows, plan.now)
  const { compiled } = prepared
  const known = inSequence(prepared, plan, null)
  if (!known || compiled.activities.size === 0) return null
  const derived = derive(rows, plan, plan.now)
  const money = moneyOf(rows, plan, derived)
  const lay = samplePasses(prepared, known.order)
  const { drivers, draw } = drawsOf(prepared)
  const cost = costDraws(rows, money)
  const gates = plan.gates.flatMap(({ gateId }) => {
    const gate = rows.gate.find((one) => one.id === gateId)
    if (!gate) return []
    const aimedOn = gateDate(rows, gate)
    const by = aimedOn === null ? null : startOfDate(derived.clock, addDays(aimedOn, 1))
    return [{ gateId, by, held: heldSteps(compiled, gate) }]
  })
  const planned = new Set(plan.placements.map((one) => one.stepId))
  const stepIds = [...compiled.activities.keys()]
  const onChain = stepIds.map(() => 0)
  const doneBy = hoursDone(compiled)
  const runs: { [Key in 'at' | 'readyAt' | 'doneBy' | 'values']: number[][] } & {
    [Key in 'hours' | 'costMinor']: number[]
  } = { at: [], readyAt: [], doneBy: [], values: [], hours: [], costMinor: [] }
  for (let run = from; run < to; run++) {
    if ((run - from) % runsAPart === 0) yield (run - from) / (to - from)
    const random = randomOf(seed, run)
    const drawn = draw(random)
    const pass = lay(drawn.sample)
    const laid = new Map(laidGates(compiled, pass).map((one) => [one.gateId, one]))
    const count = chainCounter(compiled, pass)
    const chain = new Set<number>()
    const dated = gates.map((gate) => {
      // What had a place in the plan and found none in the run: the gate is not reached.
      const isShort = gate.held.some(
        ({ step }) => planned.has(step.id) && !pass.placements.has(step.id),
      )
      const found = isShort ? undefined : laid.get(gate.gateId)
      // A gate that waits for its date is held by no work.
      if (found && found.at - found.readyAt < idleMs) count(gate.held, (index) => chain.add(index))
      return found
    })
    for (const index of chain) onChain[index] = (onChain[index] ?? 0) + 1
    runs.at.push(dated.map((one) => one?.at ?? Infinity))
    runs.readyAt.push(dated.map((one) => one?.readyAt ?? Infinity))
    runs.doneBy.push(
      doneBy(
        pass,
        gates.map((one) => one.by),
      ),
    )
    const yard = yardAhead(rows, { launches: launchesOf(pass), gates: datesOf(laid) }, derived)
    const price = cost.draw(random, drawn.foundFactor, yard.toComeMinor)
    runs.costMinor.push(price.minor)
    runs.values.push([...drawn.values, ...price.values])
    runs.hours.push(sum(drawn.sample.workHours?.values() ?? []))
  }
  return {
    ...runs,
    drivers: [...drivers, ...cost.drivers],
    gateIds: gates.map((one) => one.gateId),
    stepIds,
    onChain,
  }
}

const sum = (values: Iterable<number>): number => {
  let all = 0
  for (const one of values) all += one
  return all
}

const launchesOf = ({ launches, ashore }: Pass) =>
  launches.map(({ haulOutId, at }) => ({
    haulOutId,
    at,
    from: ashore.find((one) => one.haulOut.id === haulOutId)?.from ?? at,
  }))

const datesOf = (laid: ReadonlyMap<string, { readonly at: number }>) =>
  [...laid.values()].map(({ at }) => ({ at }))

/** Reader of the share of open hours, as planned, that a pass has done by some instants; 0 for null. */
function hoursDone({ activities }: OpenWork) {
  const hours = new Map([...activities].map(([id, one]) => [id, plannedHours(one.step)]))
  const all = sum(hours.values())
  return (pass: Pass, by: readonly (number | null)[]): number[] => {
    const done = by.map(() => 0)
    for (const { stepId, segments } of pass.placements.values()) {
      const end = segments.at(-1)?.[1] ?? Infinity
      by.forEach((until, at) => {
        if (until !== null && end < until) done[at] = (done[at] ?? 0) + (hours.get(stepId) ?? 0)
      })
    }
    return all > 0 ? done.map((one) => one / all) : done
  }
}

/** Runs of two stretches of one seed as one. Precondition: of the same refit and plan. */
export function joined(parts: readonly Runs[]): Runs {
  const [first, ...rest] = parts
  if (!first) throw new RangeError('joined: there are no runs')
  return rest.reduce(
    (all, one): Runs => ({
      ...all,
      at: [...all.at, ...one.at],
      readyAt: [...all.readyAt, ...one.readyAt],
      doneBy: [...all.doneBy, ...one.doneBy],
      hours: [...all.hours, ...one.hours],
      costMinor: [...all.costMinor, ...one.costMinor],
      values: [...all.values, ...one.values],
      onChain: all.onChain.map((many, at) => many + (one.onChain[at] ?? 0)),
    }),
    first,
  )
}
