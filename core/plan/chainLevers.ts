/** What could be done about a link of a chain, each as the changes it would take; what it wins is found by planning with them. */
import type { ChangeItem } from '../model/changes'
import type { Step } from '../model/entities'
import { byId } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { patchOf } from '../model/removal'
import type { StoredPlan } from '../model/stored'
import { dateOf, hourMs } from '../time/civil'
import { sayDay } from '../time/say'
import { formatWait } from '../units/hours'
import type { ZoneClock } from '../time/zone'
import { handsOn } from './handsOn'
import { dayLevers } from './levers'

export interface ChainLever {
  readonly key: string
  /** The link it stands at; null: it is about days as a whole. */
  readonly stepId: string | null
  /** "Ida comes on Thu 13 May". */
  readonly label: string
  /** What pressing it writes down. */
  readonly does: string
  readonly items: (newId: () => string) => readonly ChangeItem[]
}

/** An extra day is offered for work that stands so long at least with nobody to do it. */
const leastIdleMs = 6 * hourMs
/** Warmer by so much under a heated cover. */
const heatC = 8
const extraHours = { from: '08:30', to: '17:00' } as const

/** When a step could begin if somebody were there: what holds it besides people is over. */
function couldBegin(stepId: string, plan: StoredPlan): number | null {
  const placed = plan.placements.find((one) => one.stepId === stepId)
  const { binding } = placed ?? {}
  const readyOf = (id: string) => plan.placements.find((one) => one.stepId === id)?.readyAt ?? null
  switch (binding?.kind) {
    case 'wait':
      return binding.until
    case 'after':
    case 'people':
      return readyOf(binding.stepId)
    case 'calendar':
      return plan.now
    case 'bondWindow':
      return binding.after === null ? null : readyOf(binding.after)
    default:
      return null
  }
}

/** People of a step coming on the first day on which it could be done and nobody is there. */
function extraDays(
  rows: RefitRows,
  plan: StoredPlan,
  clock: ZoneClock,
  stepId: string,
  hands: ReturnType<typeof handsOn>,
): ChainLever[] {
  const placed = plan.placements.find((one) => one.stepId === stepId)
  const from = couldBegin(stepId, plan)
  const start = placed?.segments[0]?.[0]
  if (!placed || placed.personIds.length === 0 || from === null || start === undefined) return []
  if (start - from < leastIdleMs) return []
  const firstDay = Math.max(clock.dayOf(from), clock.dayOf(plan.now) + 1)
  const people = byId(rows.person)
  for (let day = firstDay; day < clock.dayOf(start); day++) {
    const { personIds, awayIds } = hands(day)
    // In the evening of a day nothing begins that was only ready then.
    if (clock.at(day, 12 * 60) < from || personIds.length > 0) continue
    const coming = placed.personIds.filter((id) => !awayIds.includes(id))
    if (coming.length < placed.personIds.length) continue
    const names = coming.map((id) => people.get(id)?.name ?? '').join(' and ')
    const on = dateOf(day)
    return [
      {
        key: `day ${stepId} ${on}`,
        stepId,
        label: `${names} ${coming.length > 1 ? 'come' : 'comes'} on ${sayDay(on)}`,
        does: `An extra day, ${extraHours.from} to ${extraHours.to}, is written down for ${names}.`,
        items: (newId) =>
          coming.map((personId) => ({
            op: 'create',
            entity: 'personDay',
            id: newId(),
            patch: { personId, on, kind: 'extraDay', ...extraHours },
          })),
      },
    ]
  }
  return []
}

/** What a cure, a drying or a delivery before a link could be helped by. */
function shorterWaits(
  rows: RefitRows,
  plan: StoredPlan,
  clock: ZoneClock,
  stepId: string,
): ChainLever[] {
  const binding = plan.placements.find((one) => one.stepId === stepId)?.binding
  if (binding?.kind !== 'wait') return []
  const before = rows.step.find((one) => one.id === binding.stepId)
  const placed = plan.placements.find((one) => one.stepId === binding.stepId)
  if (!before || before.state === 'done' || !placed) return []
  const job = rows.job.find((one) => one.id === before.jobId)
  const end = placed.segments.at(-1)?.[1] ?? binding.until
  if (before.waitKind === 'chem' && before.placeNeed === 'boat' && job?.zoneId)
    return [
      {
        key: `heat ${before.id}`,
        stepId,
        label: `Cover and warm it by ${heatC} °C`,
        does: `A heated cover is written down from ${sayDay(clock.dateOf(end))} to ${sayDay(clock.dateOf(binding.until))}. Heat is never left alone; its sheet says how warm it may be.`,
        items: (newId) => [
          {
            op: 'create',
            entity: 'cover',
            id: newId(),
            patch: {
              title: `Heated cover: ${job.title}`.slice(0, 200),
              kind: 'heat',
              zoneIds: [job.zoneId],
              upOn: clock.dateOf(end),
              downOn: clock.dateOf(binding.until),
              addsC: heatC,
            },
          },
        ],
      },
    ]
  if (before.waitKind === 'calendar' && isOrdered(before))
    return [
      {
        key: `express ${before.id}`,
        stepId,
        label: `Express: “${before.title}” in half the time`,
        does: `Its wait becomes ${formatWait(before.waitHours / 2)} instead of ${formatWait(before.waitHours)}. Ask first whether they can, and at what price.`,
        items: () => [patchOf('step', before, { waitHours: before.waitHours / 2 })],
      },
    ]
  return []
}

const isOrdered = (step: Step): boolean => step.operation === 'buy' || step.placeNeed === 'away'

/** A step that proves or finishes and could come after the gate. */
function afterGate(rows: RefitRows, stepId: string): ChainLever[] {
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
function nextHaulOut(rows: RefitRows, plan: StoredPlan, stepId: string): ChainLever[] {
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

/** Levers at the links of a chain (steps from the gate back), the nearest to the gate first; each once. */
export function chainLevers(
  rows: RefitRows,
  plan: StoredPlan,
  clock: ZoneClock,
  stepIds: readonly string[],
): ChainLever[] {
  const hands = handsOn(rows, plan, clock)
  const atLinks = stepIds.flatMap((stepId) => [
    ...extraDays(rows, plan, clock, stepId, hands),
    ...shorterWaits(rows, plan, clock, stepId),
    ...afterGate(rows, stepId),
    ...nextHaulOut(rows, plan, stepId),
  ])
  const days = dayLevers(rows)
    .filter((one) => !one.isOn)
    .map((one): ChainLever => ({
      key: one.key,
      stepId: null,
      label: one.what,
      does: one.key.startsWith('nights')
        ? 'Everybody who comes on days in a row is planned to stay from now on.'
        : 'From now on a day may be planned at both places.',
      items: () => one.items,
    }))
  const seen = new Set<string>()
  return [...atLinks, ...days].filter((one) => {
    const isNew = !seen.has(one.key)
    seen.add(one.key)
    return isNew
  })
}
