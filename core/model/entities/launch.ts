/** Going back in: the water at the slip, her openings, how she is lifted, who signed and who looked. */
import {
  aside,
  choice,
  date,
  instant,
  integer,
  maybe,
  note,
  real,
  record,
  ref,
  refs,
  text,
} from '../field'
import { kind } from '../kind'
import * as said from '../said'
import * as words from '../words'

/** One constituent of a tide: its usual name, amplitude in metres, phase lag in degrees against UTC (Greenwich). */
export interface TideConstituent {
  readonly name: string
  readonly amplitudeM: number
  readonly phaseDeg: number
}
/** A high or low water of a typed table: UTC ms and metres over chart datum. */
export interface TideTurn {
  readonly at: number
  readonly heightM: number
}

/** Where heights of the tide are known for. */
export const tideStation = kind(
  'tide station',
  {
    name: text('Tide station'),
    basis: choice('Heights from', words.tideBases, 'constituents', said.tideBasis),
    /** Mean level over chart datum. */
    meanM: real('Mean level over chart datum', { min: -20, max: 20, unit: 'm' }, 0),
    constituents: record<readonly TideConstituent[]>('Constituents', []),
    turns: record<readonly TideTurn[]>('High and low waters', []),
    source: aside(note('Where they are from', 300)),
  },
  { planInput: true },
)

/** A hole in her hull, or what goes through it. */
export const hullOpening = kind('opening', {
  title: text('Opening', 120),
  kind: choice('Kind of opening', words.openingKinds, 'valve', said.openingKind),
  zoneId: maybe(ref('Where', 'zone')),
  side: choice('Side', words.sides, 'both'),
  /** Share of the length, 0 the stern to 1 the bow; null: as its place. */
  along: maybe(real('How far forward', { min: 0, max: 1 })),
  /** Over the waterline she floats at; under it negative. */
  heightM: real('Height over the waterline', { min: -10, max: 5, unit: 'm' }, -0.3),
  boreMm: maybe(real('Bore', { min: 1, max: 1000, unit: 'mm' })),
  plug: choice('Plug', words.plugKinds, 'none', said.plugKind),
  plugMm: maybe(real('Plug for', { min: 1, max: 1000, unit: 'mm' })),
  /** How it is shut: "lever athwart"; '': it cannot be. */
  shutBy: note('Shut by', 120),
  /** How one gets at it. */
  reach: note('How to reach it', 300),
  /** The work on it, of any season. */
  jobIds: refs('Jobs', 'job'),
  order: text('Order', 80),
})

/** Somebody's word on a line of readiness, for one launch. */
export const readySign = kind('signature', {
  haulOutId: ref('Launch of', 'haulOut', { onDelete: 'goes' }),
  /** Key of the line, as the program makes it; 'launch': she goes in all the same. */
  item: text('Line', 120),
  as: choice('Signed as', words.signedAs, 'proven', said.signedAs),
  /** What was seen, why it is skipped, or what stood open. */
  because: note('What was seen, or why', 1000),
  personId: ref('Signed by', 'person', { onDelete: 'holds' }),
  at: instant('Signed at'),
})

/** One look at one thing once she floats. */
export const watchLook = kind('look afloat', {
  haulOutId: ref('Launch of', 'haulOut', { onDelete: 'goes' }),
  moment: choice('When', words.watchMoments, 'slack', said.watchMoment),
  /** What is looked at, as the program names it: 'opening …', 'bilge', 'gland'. */
  what: text('What', 120),
  outcome: choice('Outcome', words.watchOutcomes, 'dry', said.watchOutcome),
  value: maybe(real('Reading', { min: -1e6, max: 1e6 })),
  unit: note('Read in', 40),
  note: note('Note', 500),
  at: instant('Looked at'),
  personId: maybe(ref('By', 'person')),
})

/** A row of a crane's chart: at this radius so many tonnes. */
export type CraneRow = readonly [radiusM: number, loadT: number]

/** How she is lifted: what she weighs and where, the slings, the crane. One row a haul-out. */
export const liftSheet = kind('lift', {
  haulOutId: ref('Haul-out', 'haulOut', { onDelete: 'goes' }),
  /** A start that is known: what she weighed when she was last on a hook or a scale. */
  weightT: maybe(real('Weight at the start', { min: 0.1, max: 500, unit: 't' })),
  weighedOn: maybe(date('Weighed on')),
  knownAs: choice('The weight is', words.weighedAs, 'guessed', said.weighedAs),
  /** Along the boat from the stem, metres. */
  centreM: maybe(real('Centre of gravity from the stem', { min: 0, max: 60, unit: 'm' })),
  slingForeM: maybe(real('Fore sling from the stem', { min: 0, max: 60, unit: 'm' })),
  slingAftM: maybe(real('Aft sling from the stem', { min: 0, max: 60, unit: 'm' })),
  legDeg: real('Slings lean from the vertical', { min: 0, max: 60, unit: '°' }, 25),
  gearT: real('Hook, spreader and slings', { min: 0, max: 20, unit: 't' }, 0.3),
  craneName: note('Crane', 120),
  chart: record<readonly CraneRow[]>('Chart of the crane', []),
  cranes: integer('Cranes', { min: 1, max: 2 }, 1),
  /** From the crane's turning centre to the edge of the quay. */
  setBackM: maybe(real('Crane set back', { min: 0, max: 60, unit: 'm' })),
  fenderM: real('Fender between quay and her', { min: 0, max: 5, unit: 'm' }, 0.3),
  /** What the crane firm was told, and when. */
  askedOn: maybe(date('Firm asked on')),
  askedT: maybe(real('Weight they were told', { min: 0.1, max: 500, unit: 't' })),
  /** Under the keel, wanted at the next lift-out. */
  blockHeightM: maybe(real('Block height wanted', { min: 0, max: 10, unit: 'm' })),
})

/** What came off her or went on since the known start. Negative: off. */
export const weightLine = kind('weight', {
  what: text('What', 200),
  kg: real('Weight in kg', { min: -50_000, max: 50_000 }),
  /** From the stem, and from the centreline to starboard. */
  alongM: maybe(real('From the stem', { min: 0, max: 60, unit: 'm' })),
  acrossM: real('To starboard', { min: -10, max: 10, unit: 'm' }, 0),
  knownAs: choice('The weight is', words.weighedAs, 'guessed', said.weighedAs),
  on: date('On'),
})

/** A piece of metal that is eaten in place of others. */
export const anode = kind('anode', {
  title: text('Anode', 120),
  zoneId: maybe(ref('Where', 'zone')),
  metal: choice('Metal', words.anodeMetals, 'zinc', said.anodeMetal),
  newG: integer('Weight when new', { min: 1, max: 100_000, unit: 'g' }),
  fittedOn: date('Fitted on'),
  order: text('Order', 80),
})

/** What an anode weighed, cleaned and dry. */
export const anodeWeighing = kind('weighing of an anode', {
  anodeId: ref('Anode', 'anode', { onDelete: 'goes' }),
  on: date('On'),
  weightG: integer('Weighs', { min: 0, max: 100_000, unit: 'g' }),
})
