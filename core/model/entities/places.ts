/** Places where work is done and what they ask for. */
import {
  aside,
  choice,
  clockTime,
  date,
  flag,
  integer,
  maybe,
  note,
  real,
  record,
  ref,
  text,
} from '../field'
import { kind } from '../kind'
import * as said from '../said'
import * as words from '../words'

/** Days, both included, on which a yard lifts nothing. */
export interface ClosedDates {
  readonly from: string
  readonly to: string
  readonly why: string
}

export const place = kind(
  'place',
  {
    name: text('Place'),
    kind: choice('Kind of place', ['yard', 'berth', 'shed', 'home', 'shop']),
    /** The first of a kind is the usual one; '' comes before all others. */
    order: note('Order', 80),
    /** Mean air there by month, January first; null: as in the open. */
    monthMeanC: maybe(record<number[]>('Its mean air by month')),
    /** One way, minutes. */
    travelMin: integer('Travel one way in minutes', { min: 0, max: 1440, unit: 'min' }, 0),
    setUpMin: integer('Set-up in minutes', { min: 0, max: 480, unit: 'min' }, 30),
    packUpMin: integer('Pack-up in minutes', { min: 0, max: 480, unit: 'min' }, 30),
    /** Weekdays on which the yard lifts, 1 Monday to 7 Sunday; empty when it is not a yard. */
    liftWeekdays: record<number[]>('Lift days', []),
    liftFrom: clockTime('First lift', '09:00'),
    liftUntil: clockTime('Last lift over by', '17:00'),
    /** Where the tide at the slip is reckoned from; null: a lift asks for no water. */
    tideStationId: maybe(ref('Tide from', 'tideStation')),
    /** Against the station: minutes later, metres higher. */
    tideMinutes: integer('Minutes after the station', { min: -360, max: 360, unit: 'min' }, 0),
    tideHigherM: real('Higher than the station', { min: -10, max: 10, unit: 'm' }, 0),
    /** Charted at the slip; where it dries, negative. */
    slipDepthM: real('Charted depth at the slip', { min: -10, max: 30, unit: 'm' }, 0),
    underKeelM: real('Wanted under the keel', { min: 0, max: 5, unit: 'm' }, 0.3),
    /** From afloat at the slip to away. */
    launchMin: integer('From afloat to away', { min: 10, max: 360, unit: 'min' }, 40),
    /** When nothing is lifted or launched there: insurer, ice, storms, holidays. */
    noLifts: record<readonly ClosedDates[]>('No lifts', []),
    /** False: a launch goes to a day on which somebody of the boat is there. */
    launchesWithoutYou: flag('The yard launches her without you', false),
    /** Its gate is open between these; null: at any hour. */
    opensAt: maybe(clockTime('Opens at')),
    shutsAt: maybe(clockTime('Shuts at')),
    /** Weekdays on which it is shut, 1 Monday to 7 Sunday. */
    shutWeekdays: record<number[]>('Shut on', []),
    /** Whether people who come on days in a row stay there for the night, while she lies there. */
    nights: choice('Nights away', words.nightKinds, 'none', said.nights),
    /** Nights there are only from this day on; null: from now on. */
    nightsFrom: maybe(date('Nights from')),
    /** A person and night. */
    nightMinor: maybe(integer('A night costs', { min: 0, max: 1e8, unit: 'minor' })),
  },
  { planInput: true },
)

/** The way between two places, either way round. Without one, people go by home. */
export const drive = kind(
  'way between places',
  {
    fromPlaceId: ref('From', 'place', { onDelete: 'goes' }),
    toPlaceId: ref('To', 'place', { onDelete: 'goes' }),
    minutes: integer('Minutes between them', { min: 0, max: 1440, unit: 'min' }, 15),
  },
  { planInput: true },
)

/** Where she lies afloat, from a day to a day; on days without one at the first berth. Ashore the haul-out says. */
export const lying = kind(
  'berth for a time',
  {
    placeId: ref('Berth', 'place', { onDelete: 'goes' }),
    from: date('From'),
    to: date('To'),
  },
  { planInput: true },
)

/** Days on which she is wanted whole. */
export const wantedDays = kind(
  'wanted days',
  {
    from: date('From'),
    to: date('To'),
    why: choice('What for', words.wantedFor, 'sails', said.wantedFor),
    note: aside(note('Note', 200)),
  },
  { planInput: true },
)

export const yardTariff = kind(
  'yard price',
  {
    placeId: ref('Yard', 'place', { onDelete: 'goes' }),
    /** Minor units of the refit's currency, a day ashore. */
    perDayMinor: integer('A day ashore', { min: 0, max: 1e9, unit: 'minor' }, 0),
    /** Days ashore that cost nothing, from the lift-out on. */
    freeDays: integer('Days free', { min: 0, max: 1000 }, 0),
    /** From so many days ashore on a day has another price; null: it has not. */
    laterFromDay: maybe(integer('Another price from day', { min: 1, max: 5000 })),
    laterPerDayMinor: integer('A day from then on', { min: 0, max: 1e9, unit: 'minor' }, 0),
    /** The prices of a day are for each metre of her. */
    byMetre: flag('A day is priced by the metre', false),
    powerPerDayMinor: integer('Power a day', { min: 0, max: 1e9, unit: 'minor' }, 0),
    liftMinor: integer('A lift', { min: 0, max: 1e9, unit: 'minor' }, 0),
    blockMinor: integer('Blocking', { min: 0, max: 1e9, unit: 'minor' }, 0),
    washMinor: integer('Wash', { min: 0, max: 1e9, unit: 'minor' }, 0),
    /** For putting off a lift that is booked. */
    changeMinor: integer('Changing a booked lift', { min: 0, max: 1e9, unit: 'minor' }, 0),
    /** Until so many days before, that costs nothing; and it is so long until the next can be had. */
    noticeDays: integer('Notice for a lift in days', { min: 0, max: 120 }, 7),
    berthPerDayMinor: integer('A day at the berth', { min: 0, max: 1e9, unit: 'minor' }, 0),
  },
  { planInput: true },
)
