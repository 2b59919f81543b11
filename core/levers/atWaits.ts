/** What a link waits for: a cure that is warmed, weather that a shed keeps off, a delivery or a trade that is asked to hurry. */
import type { Operation } from '../model/words'
import type { Step } from '../model/entities'
import { patchOf } from '../model/removal'
import { isOpen } from '../plan/planned'
import { dateOf, dayNumber } from '../time/civil'
import { sayDay } from '../time/say'
import { formatWait } from '../units/hours'
import { linkOf } from './lever'
import type { ChainLever, LeverFacts } from './lever'

/** Warmer by so much under a heated cover. */
const heatC = 8

const isOrdered = (step: Step): boolean => step.operation === 'buy' || step.placeNeed === 'away'

/** What a cure, a drying or a delivery before a link could be helped by. */
export function shorterWaits({ rows, plan, clock }: LeverFacts, stepId: string): ChainLever[] {
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

/** A day about half way from today to another; null: there is none between. */
function halfWay({ plan, clock }: LeverFacts, on: string): string | null {
  const today = clock.dayOf(plan.now)
  const day = today + Math.ceil((dayNumber(on) - today) / 2)
  return day > today && day < dayNumber(on) ? dateOf(day) : null
}

/** A part on its way, or a trade that is booked, asked to come in half the time. */
export function sooner(facts: LeverFacts, stepId: string): ChainLever[] {
  const { rows } = facts
  const binding = linkOf(facts, stepId)?.placed.binding
  if (binding?.kind === 'part') {
    const part = rows.part.find((one) => one.id === binding.partId)
    const by = part?.arrivesOn ? halfWay(facts, part.arrivesOn) : null
    if (!part || by === null) return []
    const seller = rows.supplier.find((one) => one.id === part.supplierId)?.name
    return [
      {
        key: `part ${part.id}`,
        stepId,
        label: `${part.name} by ${sayDay(by)}`,
        does: `It is written down as arriving on ${sayDay(by)}. Ask ${seller ?? 'who sells it'} first whether it can come express, and at what price.`,
        items: () => [patchOf('part', part, { arrivesOn: by })],
      },
    ]
  }
  if (binding?.kind === 'trade') {
    const booking = rows.tradeBooking.find((one) => one.id === binding.bookingId)
    const by = booking ? halfWay(facts, booking.from) : null
    if (!booking || by === null) return []
    const length = dayNumber(booking.to) - dayNumber(booking.from)
    return [
      {
        key: `booking ${booking.id}`,
        stepId,
        label: `${booking.trade} from ${sayDay(by)}`,
        does: `They are written down as booked from ${sayDay(by)}. Ask them first.`,
        items: () => [
          patchOf('tradeBooking', booking, { from: by, to: dateOf(dayNumber(by) + length) }),
        ],
      },
    ]
  }
  return []
}

/** Work of a piece that may come off the boat, and that weather or cold air holds up out of doors. */
const benchWork: readonly Operation[] = ['fair', 'fill', 'laminate', 'prime', 'paint', 'varnish']

/** What is coated, filled and laminated of a job, in the shed. */
export function inTheShed(facts: LeverFacts, stepId: string): ChainLever[] {
  const { rows } = facts
  const link = linkOf(facts, stepId)
  const shed = rows.place.find((one) => one.kind === 'shed')
  if (!link || !shed || link.step.placeNeed !== 'boat') return []
  if (!['weather', 'forecast', 'season', 'wait'].includes(link.placed.binding.kind)) return []
  const zone = rows.zone.find((one) => one.id === link.job.zoneId)
  if (zone?.belowWaterline || zone?.strake === 'underwater') return []
  const moved = rows.step.filter(
    (one) =>
      one.jobId === link.job.id &&
      isOpen(one) &&
      one.placeNeed === 'boat' &&
      one.hullNeed !== 'ashore' &&
      benchWork.includes(one.operation),
  )
  if (moved.length === 0) return []
  return [
    {
      key: `shed ${link.job.id}`,
      stepId,
      label: `“${link.job.title}”: ${moved.length === 1 ? 'its coat' : 'its coats'} in the shed`,
      does: `${moved.length === 1 ? `“${moved[0]?.title ?? ''}” is` : `${moved.length} steps are`} planned for ${shed.name}. Only where the piece comes off the boat: taking it off and putting it back are not in these hours.`,
      items: () => moved.map((one) => patchOf('step', one, { placeNeed: 'shed' })),
    },
  ]
}
