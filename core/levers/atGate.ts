/** At the gate itself: what may come after it, what goes into the next haul-out, when the yard lifts, when it moves the stands. */
import { weekdayNames } from '../time/say'
import { patchOf } from '../model/removal'
import { weekdayOf } from '../time/civil'
import { linkOf } from './lever'
import type { ChainLever, LeverFacts } from './lever'

/** A step that proves or finishes and could come after the gate. */
export function afterGate({ rows }: LeverFacts, stepId: string): ChainLever[] {
  const step = rows.step.find((one) => one.id === stepId)
  const job = rows.job.find((one) => one.id === step?.jobId)
  if (!step || !job || step.afterGate || step.state !== 'open') return []
  // What keeps her afloat or people safe is not put off by a button.
  if (job.purpose === 'float' || job.purpose === 'safe') return []
  if (!['clean', 'label', 'finish', 'varnish', 'paint'].includes(step.operation)) return []
  const zone = rows.zone.find((one) => one.id === job.zoneId)
  if (zone?.belowWaterline || step.hullNeed === 'ashore') return []
  return [
    {
      key: `after ${step.id}`,
      stepId,
      label: `“${step.title}” after the gate`,
      does: 'The gate no longer waits for it.',
      items: () => [patchOf('step', step, { afterGate: true })],
    },
  ]
}

/** Work in the next haul-out instead of this one. */
export function nextHaulOut({ rows, plan }: LeverFacts, stepId: string): ChainLever[] {
  const step = rows.step.find((one) => one.id === stepId)
  const job = rows.job.find((one) => one.id === step?.jobId)
  if (!job || job.purpose === 'float' || job.purpose === 'safe') return []
  const begun = rows.step.some(
    (one) => one.jobId === job.id && (one.state === 'done' || one.state === 'doing'),
  )
  if (begun) return []
  const later = [...plan.launches].sort((a, b) => a.at - b.at)
  const own =
    rows.gate.find((one) => one.id === job.gateId)?.haulOutId ??
    job.haulOutId ??
    later[0]?.haulOutId
  const next = later[later.findIndex((one) => one.haulOutId === own) + 1]
  const gate = rows.gate.find((one) => one.kind === 'launch' && one.haulOutId === next?.haulOutId)
  const haulOut = rows.haulOut.find((one) => one.id === next?.haulOutId)
  if (!next || !haulOut) return []
  return [
    {
      key: `next ${job.id}`,
      stepId,
      label: `“${job.title}” in ${haulOut.name}`,
      does: `The whole job goes into ${haulOut.name}.`,
      items: () => [
        patchOf('job', job, { haulOutId: haulOut.id, gateId: gate?.id ?? null, placed: true }),
      ],
    },
  ]
}

/** The yard moving the stands while what is before it in the job goes on. */
export function standsEarlier(facts: LeverFacts, stepId: string): ChainLever[] {
  const link = linkOf(facts, stepId)
  if (!link || link.step.operation !== 'move' || link.step.parallel) return []
  const { binding } = link.placed
  const beforeId =
    binding.kind === 'yardHours'
      ? binding.after
      : binding.kind === 'after' || binding.kind === 'wait'
        ? binding.stepId
        : null
  const before = facts.rows.step.find((one) => one.id === beforeId)
  if (before?.jobId !== link.job.id) return []
  return [
    {
      key: `stands ${stepId}`,
      stepId,
      label: `“${link.step.title}” beside “${before.title}”`,
      does: `The yard no longer waits for “${before.title}”. The yard says whether she can stand elsewhere by then; what is still wet is not stood on.`,
      items: () => [patchOf('step', link.step, { parallel: true })],
    },
  ]
}

/** A launch that keeps its aimed day though all is ready, or waits for a day on which the yard lifts. */
export function otherLift({ rows, plan, clock }: LeverFacts, gateId: string): ChainLever[] {
  const planned = plan.gates.find((one) => one.gateId === gateId)
  if (planned?.binding.kind !== 'aim' && planned?.binding.kind !== 'liftDay') return []
  const { binding } = planned
  const haulOut = rows.haulOut.find((one) => one.id === binding.haulOutId)
  if (!haulOut) return []
  if (haulOut.launchBooked === null && haulOut.launchWhen === 'notBeforeAim')
    return [
      {
        key: `asReady ${haulOut.id}`,
        stepId: null,
        label: 'Launch as soon as all is ready',
        does: 'The aimed day is no longer waited for: she goes in on the first lift day after the last work for it.',
        items: () => [patchOf('haulOut', haulOut, { launchWhen: 'asReady' })],
      },
    ]
  const yard = rows.place.find((one) => one.id === haulOut.placeId)
  if (binding.kind !== 'liftDay' || binding.people || !yard || yard.liftWeekdays.length === 0)
    return []
  const weekday = weekdayOf(clock.dayOf(planned.at) - 1)
  if (yard.liftWeekdays.includes(weekday)) return []
  const name = weekdayNames[weekday - 1] ?? ''
  return [
    {
      key: `lift ${yard.id} ${weekday}`,
      stepId: null,
      label: `A lift on a ${name}`,
      does: `${name} is written down as a lift day of ${yard.name}. Ask the yard, and what a lift out of turn costs.`,
      items: () => [
        patchOf('place', yard, {
          liftWeekdays: [...yard.liftWeekdays, weekday].sort((a, b) => a - b),
        }),
      ],
    },
  ]
}
