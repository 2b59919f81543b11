/** Putting her back in: when, and who is there for it. */
import type { CureStage } from '../../model/words'
import { dayNumber, hourMs } from '../../time/civil'
import type { Binding } from './binding'
import { slingMs } from './haulOuts'
import type { Ashore } from './haulOuts'
import { enoughCome } from './inSlings'
import { launchDay } from './launchDay'
import type { WhoLaunches } from './launchDay'
import type { Laying } from './laying'
import type { OpenStep } from './openWork'
import type { LaidLaunch } from './pass'
import { isInSlings } from './phases'
import type { Phase } from './phases'

/** The steps that are done in the slings of a launch. */
export const watchesOf = (laying: Laying, own: Ashore): OpenStep[] =>
  [...laying.compiled.activities.values()].filter((one) => isInSlings(one, own))

/**
 * The first day on which a haul-out's launch can be, by all that it waits for and its people. `aboardUntil`: she is
 * not lifted while people work aboard, also where work without a place made the launch look later.
 */
export function laidLaunch(
  laying: Laying,
  phase: Phase,
  own: Ashore,
  aboardUntil: number,
): LaidLaunch {
  const { compiled } = laying
  const watches = watchesOf(laying, own)
  const { readyAt, binding } = readyFor(laying, phase, own, watches, aboardUntil)
  const day = launchDay(own, readyAt, binding, compiled.clock, whoLaunches(laying, own, watches))
  const gate = compiled.rows.gate.find(
    (one) => one.kind === 'launch' && one.haulOutId === own.haulOut.id,
  )
  return {
    gateId: gate?.id ?? '',
    haulOutId: own.haulOut.id,
    at: day.at,
    readyAt,
    binding: day.binding,
  }
}

/** When all that a launch waits for is ready, and what is last. */
function readyFor(
  { compiled, placements }: Laying,
  phase: Phase,
  own: Ashore,
  watches: readonly OpenStep[],
  aboardUntil: number,
): { readonly readyAt: number; readonly binding: Binding } {
  const { now, waits } = compiled
  let readyAt = Math.max(now, own.from, aboardUntil)
  let binding: Binding =
    own.from > now ? { kind: 'liftOut', haulOutId: own.haulOut.id } : { kind: 'now' }
  const later = (stepId: string, at: number, finish: number, once?: CureStage) => {
    if (at <= readyAt) return
    readyAt = at
    binding =
      at > finish
        ? { kind: 'wait', stepId, until: at, ...(once ? { once } : {}) }
        : { kind: 'after', stepId }
  }
  for (const activity of phase.activities) {
    const placed = placements.get(activity.step.id)
    const finish = placed?.segments.at(-1)?.[1] ?? 0
    // What only leads to a step that holds it is done before it too, also where that step found no place.
    if (!placed) continue
    const isHeld = activity.holds === phase.launch
    const at = isHeld ? waits.forWater(activity.step, finish) : finish
    later(placed.stepId, at, finish, isHeld && at > placed.readyAt ? 'water' : undefined)
  }
  for (const stepId of compiled.doneHolding.get(own.haulOut.id) ?? []) {
    const at = compiled.waterReadyAfterDone.get(stepId) ?? 0
    later(stepId, at, 0, at > (compiled.readyAfterDone.get(stepId) ?? 0) ? 'water' : undefined)
  }
  for (const arc of watches.flatMap((watch) => watch.before)) {
    const placed = placements.get(arc.from)
    const ready = compiled.readyBy(arc, placed)
    if (ready === undefined) continue
    later(arc.from, ready + arc.minWaitHours * hourMs, placed?.segments.at(-1)?.[1] ?? ready)
  }
  return { readyAt, binding }
}

/** Whether those who are wanted at a launch are there anyway on a day, or at least can come. */
function whoLaunches(
  { sites, diary }: Laying,
  own: Ashore,
  watches: readonly OpenStep[],
): WhoLaunches {
  const liftAt = (day: number) => own.lifts.at(day)
  const free = (person: number, day: number) =>
    diary.isFree(person, 'boat', liftAt(day), liftAt(day) + slingMs)
  const isThere = (person: number, day: number) =>
    sites
      .presence(person, 'boat', day)
      .some(([from, to]) => from < liftAt(day) + slingMs && to > liftAt(day))
  // People come for the day that is booked with the yard; missed, the next has to suit them again.
  const { launchBooked } = own.haulOut
  const setDay = launchBooked === null ? null : dayNumber(launchBooked)
  const somebody = (day: number) => sites.people.some((_, person) => isThere(person, day))
  const enough = (day: number, counts: (person: number) => boolean) =>
    watches.every((one) => enoughCome(one, day, sites, counts))
  return {
    areThere: (day) =>
      (day === setDay || own.yard?.launchesWithoutYou === true || somebody(day)) &&
      enough(day, (person) => (day === setDay || isThere(person, day)) && free(person, day)),
    canCome: (day) => enough(day, (person) => free(person, day)),
  }
}
