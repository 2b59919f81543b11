/** Places where work is done and what they ask for. */
import { choice, clockTime, flag, integer, maybe, ref, text, record } from '../field'
import { kind } from '../kind'

export const place = kind(
  'place',
  {
    name: text('Place'),
    kind: choice('Kind of place', ['yard', 'berth', 'shed', 'home']),
    /** Mean air there by month, January first; null: as in the open. */
    monthMeanC: maybe(record<number[]>('Its mean air by month')),
    /** One way, minutes. */
    travelMin: integer('Travel one way in minutes', { min: 0, max: 1440, unit: 'min' }, 0),
    setUpMin: integer('Set-up in minutes', { min: 0, max: 480, unit: 'min' }, 30),
    packUpMin: integer('Pack-up in minutes', { min: 0, max: 480, unit: 'min' }, 30),
    /** Weekdays on which the yard lifts, 1 Monday to 7 Sunday; empty when it is not a yard. */
    liftWeekdays: record<number[]>('Lift days', []),
    liftFrom: clockTime('First lift', '09:00'),
    /** False: a launch goes to a day on which somebody of the boat is there. */
    launchesWithoutYou: flag('The yard launches her without you', false),
  },
  { planInput: true },
)

export const yardTariff = kind(
  'yard price',
  {
    placeId: ref('Yard', 'place', { onDelete: 'goes' }),
    /** Minor units of the refit's currency, a day ashore. */
    perDayMinor: integer('A day ashore', { min: 0, max: 1e9, unit: 'minor' }, 0),
    liftMinor: integer('A lift', { min: 0, max: 1e9, unit: 'minor' }, 0),
    berthPerDayMinor: integer('A day at the berth', { min: 0, max: 1e9, unit: 'minor' }, 0),
  },
  { planInput: true },
)
