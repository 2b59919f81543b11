import { hourMs } from '../time/civil'
import type { Waits } from '../plan/waits'
import type { Step } from '../model/entities'
import { actingOn } from '../forecast/calibration'
import { accessFactor, plannedHours } from '../plan/planned'
import { formatHours, formatWait } from '../units/hours'
import type { UnitSystem } from '../units/length'
import { formatTemp } from '../units/quantity'
import type { How } from './how'

const ticksPerHour = 12
/** Hours by the clock of so much work for so many people: up to full five minutes, as the plan lays it. */
export const byTheClock = (hours: number, people: number): number =>
  Math.ceil((hours / people) * ticksPerHour - 1e-6) / ticksPerHour

/** Hours a step is planned with. `crew` is who the plan gives it; 0: not placed. */
export function howHours(step: Step, crew: number): How {
  const factor = accessFactor[step.access]
  const planned = plannedHours(step)
  const really = actingOn(step)
  const times = `${really === 1 ? '' : ` × ${really.toFixed(2)}`}${step.roundsLikely > 1 ? ` × ${step.roundsLikely} rounds` : ''}`
  return {
    title: `Hours of “${step.title}”`,
    result: formatHours(planned),
    inputs: [
      { name: 'Likely, one skilled amateur, open access', value: formatHours(step.hoursLikely) },
      { name: `Access: ${step.access}`, value: `× ${factor}` },
      ...(really === 1
        ? []
        : [
            {
              name: 'What such work takes you against your guess',
              value: `× ${really.toFixed(2)}`,
            },
          ]),
      ...(step.roundsLikely > 1
        ? [{ name: 'Rounds that are likely', value: `× ${step.roundsLikely}` }]
        : []),
      ...(crew > 0 ? [{ name: 'People', value: String(crew) }] : []),
    ],
    working: [
      `${formatHours(step.hoursLikely)} × ${factor}${times} = ${formatHours(planned)} of work`,
      ...(crew > 1
        ? [
            `${formatHours(planned)} ÷ ${crew} people = ${formatHours(byTheClock(planned, crew))} by the clock, up to full five minutes`,
          ]
        : []),
    ],
    source:
      'Access factors: rule of thumb of refit work (open 1, awkward 1.3, cramped 1.7, blind 2.2).',
    distrust:
      really === 1
        ? 'The likely hours are a guess until they have been done once. What past steps really took is not worked in.'
        : 'What past steps of this kind took is worked in: Money has the switch, and says on how many steps it rests.',
  }
}

/** How long the wait after a step is planned; `finish` in UTC ms, null when it is not placed yet. */
export function howWait(
  step: Step,
  finish: number | null,
  waits: Waits,
  units: UnitSystem,
): How | null {
  if (step.waitKind === 'none') return null
  const title = `Wait after “${step.title}”`
  const site = waits.weather.siteOf(step)
  const air = finish === null ? null : waits.weather.meanAt(site, finish)
  if (step.waitKind !== 'chem' || finish === null || air === null)
    return {
      title,
      result: formatWait(step.waitHours),
      inputs: [
        {
          name: step.waitKind === 'chem' ? `At ${formatTemp(step.waitRefC, units)}` : 'As given',
          value: formatWait(step.waitHours),
        },
      ],
      working: [
        step.waitKind === 'chem'
          ? 'The month it falls in is not known before the step has its place in the plan.'
          : 'Taken as it stands, round the clock: warmth does not shorten it.',
      ],
      source: 'The data sheet or the recipe it came from.',
      distrust: 'The product’s data sheet decides; a reading decides where something has to dry.',
    }
  const whole = (waits.endsAt(step, finish) - finish) / hourMs
  const known = waits.weather.knownAirAt(site, finish) !== null
  const how = known ? byForecast(step, finish, waits, units) : byMonth(step, air, whole, units)
  return {
    title,
    result: formatWait(whole),
    source: 'Ten-degree rule for reaction rates (van ’t Hoff), in everyday use for epoxy.',
    ...how,
    inputs: [
      {
        name: `By the data sheet, at ${formatTemp(step.waitRefC, units)}`,
        value: formatWait(step.waitHours),
      },
      ...how.inputs,
    ],
  }
}

/** A wait that begins in the hours of the forecast. */
function byForecast(
  step: Step,
  finish: number,
  waits: Waits,
  units: UnitSystem,
): Pick<How, 'inputs' | 'working' | 'distrust'> {
  const site = waits.weather.siteOf(step)
  const end = waits.endsAt(step, finish)
  const hours = waits.weather.feltAt(site).filter((hour) => hour.at + hourMs > finish)
  const within = hours.filter((hour) => hour.at < end)
  const airs = within.map((hour) => Math.round(hour.airC))
  const cold = within.filter((hour) => step.waitMinC !== null && hour.airC < step.waitMinC).length
  const isCut = (hours.at(-1)?.at ?? end) + hourMs < end
  return {
    inputs: [
      {
        name: 'Air by the forecast',
        value: `${formatTemp(Math.min(...airs), units)} to ${formatTemp(Math.max(...airs), units)}`,
      },
      ...(cold > 0
        ? [
            {
              name: `Hours under ${formatTemp(step.waitMinC ?? 0, units)}`,
              value: `${cold} h, which count nothing`,
            },
          ]
        : []),
    ],
    working: [
      `Hour by hour: an hour at T counts as 2^((T − ${step.waitRefC}) ÷ 10) hours of the data sheet (in °C), until ${formatWait(step.waitHours)} are earned.`,
      ...(isCut ? ['Where the forecast ends it goes on at the mean air of the month.'] : []),
    ],
    distrust:
      'A forecast is not a reading. Readings on its clock take its place once it runs; the data sheet decides.',
  }
}

function byMonth(
  step: Step,
  air: number,
  whole: number,
  units: UnitSystem,
): Pick<How, 'inputs' | 'working' | 'distrust'> {
  const floor = step.waitMinC !== null && step.waitMinC > air ? step.waitMinC : null
  const used = floor ?? air
  const power = (step.waitRefC - used) / 10
  const planned = step.waitHours * 2 ** power
  // A wait that runs into another month is read at that month's mean from there on.
  const crosses = Math.abs(whole - planned) > 0.05
  return {
    inputs: [
      { name: 'Mean air of the month it falls in', value: formatTemp(air, units) },
      ...(floor === null ? [] : [{ name: 'Kept at least at', value: formatTemp(floor, units) }]),
    ],
    working: [
      `Ten degrees colder takes twice as long: ${formatWait(step.waitHours)} × 2^((${step.waitRefC} − ${used}) ÷ 10) = ${formatWait(step.waitHours)} × ${(2 ** power).toFixed(2)} = ${formatWait(planned)} (in °C)`,
      ...(crosses
        ? [
            `It runs into the next month, which is read at its own mean: ${formatWait(whole)} in all.`,
          ]
        : []),
    ],
    distrust:
      floor === null
        ? 'A mean is not a night. Readings on its clock take its place once it runs; the data sheet decides.'
        : 'It holds only with a cover or heat that keeps that temperature; below it nothing cures.',
  }
}
