/** The undertaking: the refit itself, its seasons, haul-outs and gates. */
import {
  aside,
  byServer,
  choice,
  choices,
  clockTime,
  date,
  flag,
  integer,
  maybe,
  real,
  ref,
  text,
  record,
} from '../field'
import { kind } from '../kind'
import * as said from '../said'
import * as words from '../words'

/** The undertaking itself; its id is the refit's id. */
export const refit = kind(
  'refit',
  {
    name: text('Name of the refit'),
    boatName: text('Name of the boat'),
    /** Length overall, metres: the whole Tape. 480 in = 12.192 m. */
    loaM: real('Length overall', { min: 2, max: 60, unit: 'm' }),
    lwlM: maybe(real('Waterline length', { min: 1, max: 60, unit: 'm' })),
    beamM: maybe(real('Beam', { min: 0.5, max: 20, unit: 'm' })),
    draughtM: maybe(real('Draught', { min: 0.1, max: 10, unit: 'm' })),
    weightT: maybe(real('Weight in tonnes', { min: 0.1, max: 500, unit: 't' })),
    /** Highest point over the waterline, masts as they stand. */
    airDraughtM: maybe(real('Height over the water', { min: 0.2, max: 80, unit: 'm' })),
    /** What stays open to her whatever is taken out: the companionway, or a larger hatch. */
    wayWideMm: aside(maybe(real('Companionway, clear width', { min: 100, max: 5000, unit: 'mm' }))),
    wayHighMm: aside(
      maybe(real('Companionway, clear height', { min: 100, max: 5000, unit: 'mm' })),
    ),
    boatType: choice(
      'Kind of boat',
      ['sail', 'cutter', 'ketch', 'motor', 'catamaran'],
      'sail',
      said.boatType,
    ),
    keel: choice('Keel', words.keels, 'fin', said.keel),
    pilothouse: flag('She has a pilothouse', false),
    /** Null: not said; nothing is guessed from it. */
    hullMaterial: maybe(choice('Hull', words.hullMaterials, undefined, said.hullMaterial)),
    builtYear: maybe(integer('Built in', { min: 1800, max: 2200 })),
    /** What she would bring as she lies. */
    worthNowMinor: maybe(integer('Worth as she lies', { min: 0, max: 1e12, unit: 'minor' })),
    /** Litres in the bilge at which water reaches the sole. */
    litresToSole: maybe(real('Litres to the sole', { min: 1, max: 100_000, unit: 'L' })),
    /** What the bilge pumps really lift, litres a minute. */
    pumpLMin: maybe(real('Pumps lift, L a minute', { min: 0, max: 10_000 })),
    /** Degrees, north and east positive; null: not said, and no weather is reckoned from it. */
    latitudeDeg: maybe(real('Latitude', { min: -90, max: 90, unit: '°' })),
    longitudeDeg: maybe(real('Longitude', { min: -180, max: 180, unit: '°' })),
    /** True for the demo alone: its weather comes from the made-up station. */
    madeUpWeather: flag('Made-up weather', false),
    /** Inches earned by finished steps that were removed since: what is earned never shrinks. Set by the server alone. */
    earnedKeptIn: byServer(
      real('Inches of removed steps', { min: 0, max: 10_000, unit: 'inch' }, 0),
    ),
    zone: text('Time zone of the yard'),
    currency: text('Currency', 3),
    units: choice('Units', ['metric', 'us', 'mixed'], 'metric', said.units),
    /** Air mean °C by month, January first. */
    monthMeanC: record<number[]>('Mean air by month', [7, 7, 8, 9, 12, 14, 16, 16, 14, 12, 9, 7]),
    /** Share of days that suit laminating and painting, by month, January first. */
    workableShare: record<number[]>(
      'Workable days by month',
      [0.3, 0.35, 0.45, 0.55, 0.65, 0.7, 0.7, 0.7, 0.6, 0.5, 0.35, 0.3],
    ),
    /** Of all that is planned, for what nobody thought of. */
    contingencyPercent: integer('Contingency, per cent of the plan', { min: 0, max: 100 }, 20),
    calibrate: flag('Use what past steps really took', false),
    startedOn: date('Started on'),
    /** Changes made by people whose before and after are kept: as far back undo and history reach. */
    historyKept: integer('Changes kept in the history', { min: 50, max: 100_000 }, 2000),
    /** Minor units; what an hour of our own is reckoned at against a trade's price. Null: not reckoned. */
    ownHourMinor: maybe(
      integer('An hour of our own is worth', { min: 0, max: 1e7, unit: 'minor' }),
    ),
    /** Work that takes a licensed person where she lies. The local code decides. */
    licensedHere: choices('Takes a licensed person here', words.licensedKinds, [
      'mains',
      'gas',
      'lithium',
    ]),
    /** People may go on from one place to another within a day, where the time there beats the way. */
    twoPlaces: flag('Two places in a day', false),
  },
  { planInput: true },
)

export const season = kind('season', {
  name: text('Season'),
  from: date('From'),
  to: date('To'),
})

export const haulOut = kind(
  'haul-out',
  {
    seasonId: maybe(ref('Season', 'season')),
    name: text('Haul-out'),
    placeId: maybe(ref('Yard', 'place')),
    liftOutAimed: date('Lift-out aimed'),
    liftOutBooked: maybe(date('Lift-out booked')),
    liftOutActual: maybe(date('Lifted out on')),
    launchAimed: date('Launch aimed'),
    launchBooked: maybe(date('Launch booked')),
    /** On the day it is booked for: when she is lowered. Null: the first there is. */
    launchTime: maybe(clockTime('Launch booked at')),
    launchActual: maybe(date('Launched on')),
    launchWhen: choice(
      'Launch',
      ['notBeforeAim', 'asReady', 'fixed'],
      'notBeforeAim',
      said.launchWhen,
    ),
  },
  { planInput: true },
)

/** Something jobs must be finished before. A launch gate takes its date from its haul-out. */
export const gate = kind(
  'gate',
  {
    name: text('Gate'),
    kind: choice('Kind of gate', ['launch', 'dated', 'asap']),
    haulOutId: maybe(ref('Haul-out', 'haulOut', { onDelete: { goesWhen: 'kind', is: 'launch' } })),
    on: maybe(date('Date')),
  },
  { planInput: true },
)
