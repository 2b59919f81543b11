/** What a plan does when something of its refit changes: shares over random refits. */
import type { StoredPlan } from '#core/model/stored'
import type { RefitRows } from '#core/model/refit'
import { bindingChain } from '#core/plan/chain'
import { atOnce } from '#core/inParts'
import { dragsOn, holds } from '#core/plan/drag'
import { bestPlan } from '#core/plan/improve'
import { makePlan } from '#core/plan/makePlan'
import { zoneClock } from '#core/time/zone'
import { createRandom } from '#core/random'
import { bigRefit } from '~~/demo/bigRefit'
import { demoNow, sableWren } from '~~/demo/sableWren'
import { oddNow, oddRefit } from '~~/tests/judge/oddRefit'

const now = Date.UTC(2027, 3, 16, 12)
const dayMs = 86_400_000
/** Between two lift days at most a week. */
const liftDaysMs = 7 * dayMs

const share = (part: number, all: number): string =>
  all === 0 ? 'none' : `${((100 * part) / all).toFixed(1)} % of ${all}`

/** More work, a longer wait, or a day away, in a random place. */
function worse(rows: RefitRows, random: () => number): RefitRows {
  const open = rows.step.filter((one) => one.state === 'open' && one.hoursLikely > 0)
  const chosen = open[Math.floor(random() * open.length)]
  const kind = Math.floor(random() * 3)
  if (kind === 2 || !chosen) {
    const person = rows.person[Math.floor(random() * rows.person.length)]
    const on = new Date(now + Math.floor(random() * 60) * dayMs).toISOString().slice(0, 10)
    const first = rows.personDay[0]
    const away = {
      ...(first ?? { version: 1, reason: '', from: '08:00', to: '17:00' }),
      ...{ id: 'away', personId: person?.id ?? '', on, kind: 'cannotCome', wholeDay: true },
    } as RefitRows['personDay'][number]
    return { ...rows, personDay: [...rows.personDay, away] }
  }
  const more =
    kind === 0
      ? { hoursLikely: chosen.hoursLikely * 1.5 }
      : { waitKind: 'calendar' as const, waitHours: 48, maxWaitHours: null }
  return {
    ...rows,
    step: rows.step.map((one) => (one.id === chosen.id ? { ...one, ...more } : one)),
  }
}

const startsOf = (plan: StoredPlan) =>
  new Map(plan.placements.map((one) => [one.stepId, one.segments[0]?.[0] ?? 0]))

/** How many steps start elsewhere than before, to the minute or as `as` reads an instant. */
function moved(
  before: StoredPlan,
  after: StoredPlan,
  as: (at: number) => number = (at) => at,
): number {
  const was = startsOf(before)
  return [...startsOf(after)].filter(([id, at]) => {
    const earlier = was.get(id)
    return earlier !== undefined && as(earlier) !== as(at)
  }).length
}

const dayOf = (at: number): number => Math.floor(at / dayMs)
/** Steps made longer, of those that come next. */
const mostLonger = 60

/** Share of gates that something worse makes earlier by more than a lift day, and of refits with priority kept. */
export function truth(count: number, seed: number) {
  const random = createRandom(seed)
  let [gates, earlier, far, jobs, sooner, links, held] = [0, 0, 0, 0, 0, 0, 0]
  for (let done = 0; done < count; done++) {
    const rows = bigRefit(Math.floor(random() * 1e6), 12, 3, 2)
    const before = makePlan(rows, now).plan
    const after = makePlan(worse(rows, random), now, before).plan
    for (const gate of before.gates) {
      const next = after.gates.find((one) => one.gateId === gate.gateId)
      if (!next) continue
      gates++
      if (next.at < gate.at) earlier++
      if (next.at < gate.at - liftDaysMs) far++
    }
    const job = rows.job[Math.floor(random() * rows.job.length)]
    const as = (purpose: 'shine' | 'float', severity: number) => ({
      ...rows,
      job: rows.job.map((one) => (one.id === job?.id ? { ...one, purpose, severity } : one)),
    })
    const low = makePlan(as('shine', 1), now).plan
    const high = makePlan(as('float', 4), now, low).plan
    const first = (plan: StoredPlan) =>
      Math.min(
        ...plan.placements
          .filter((one) => one.stepId.startsWith(`step${job?.id.slice(3)}-`))
          .map((one) => one.segments[0]?.[0] ?? Infinity),
      )
    jobs++
    if (first(high) <= first(low)) sooner++
    const odd = oddRefit(done, 12)
    const plan = makePlan(odd, oddNow).plan
    for (const gate of plan.gates) {
      const clock = zoneClock(odd.refit[0]?.zone ?? 'UTC')
      const ids = bindingChain(plan, odd, gate.gateId, clock).flatMap((one) => one.stepId ?? [])
      const drags = atOnce(dragsOn(odd, plan, gate.gateId, ids))
      links += drags.length
      held += drags.filter(holds).length
    }
  }
  return {
    refits: count,
    'gates made earlier by something worse': share(earlier, gates),
    'by more than a week': share(far, gates),
    'Float 4 starts no later than Shine 1': share(sooner, jobs),
    'links of chains that hold by themselves': share(held, links),
  }
}

/** Steps that stand elsewhere on the demo after small things. */
export function stability() {
  const rows = sableWren('r')
  const effort = { seed: 1, iterations: 12, stop: () => false }
  const plan = bestPlan(rows, demoNow, effort).plan
  const [first] = plan.placements.filter((one) => one.personIds.length > 0)
  const done = {
    ...rows,
    step: rows.step.map((one) =>
      one.id === first?.stepId
        ? { ...one, state: 'done' as const, doneAt: first.segments.at(-1)?.[1] ?? demoNow }
        : one,
    ),
  }
  const longer = (id: string) => ({
    ...rows,
    step: rows.step.map((one) =>
      one.id === id ? { ...one, hoursLikely: one.hoursLikely + 1 / 6 } : one,
    ),
  })
  const laterBy = (some: RefitRows, at: number) =>
    moved(plan, bestPlan(some, at, effort, plan).plan)
  // Each of the steps that come next is ten minutes longer, one after the other.
  const next = plan.placements.filter((one) => one.personIds.length > 0).slice(0, mostLonger)
  const after = next.map((one) => bestPlan(longer(one.stepId), demoNow, effort, plan).plan)
  const onDays = after.map((one) => moved(plan, one, dayOf)).sort((a, b) => a - b)
  const mean = (all: readonly number[]) =>
    Number((all.reduce((sum, one) => sum + one, 0) / all.length).toFixed(1))
  return {
    'open steps': plan.placements.length,
    'moved: nothing changed': laterBy(rows, demoNow),
    'moved: a step done as planned': laterBy(done, first?.segments.at(-1)?.[1] ?? demoNow),
    'ten minutes more, asked of steps': next.length,
    'moved to another day: mean': mean(onDays),
    'moved to another day: median': onDays[onDays.length >> 1],
    'moved to another day: most': onDays.at(-1),
    'moved by any minute: mean': mean(after.map((one) => moved(plan, one))),
  }
}
