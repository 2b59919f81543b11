/** Days as people changed them, and what the program works out. */
import {
  choice,
  clockTime,
  date,
  flag,
  instant,
  integer,
  maybe,
  note,
  real,
  ref,
  refs,
  text,
  record,
} from '../field'
import { kind } from '../kind'
import * as said from '../said'
import * as words from '../words'
import type { StoredOdds } from '../odds'
import type { StoredPlan, SnapshotFigures } from '../stored'

/** A day as its people changed it: who, where, from when to when, in what order. */
export const dayPlan = kind(
  'day plan',
  {
    on: date('Date'),
    placeNeed: choice('Place', words.placeNeeds, 'boat', said.placeNeed),
    personIds: refs('People', 'person'),
    from: clockTime('From', '08:30'),
    to: clockTime('To', '17:00'),
    stepOrder: refs('Order of steps', 'step'),
    rain: flag('Rain', false),
    lowC: maybe(real('Coldest air in °C', { min: -30, max: 50, unit: '°C' })),
    highC: maybe(real('Warmest air in °C', { min: -30, max: 60, unit: '°C' })),
  },
  { planInput: true },
)

/** A line of the list before leaving her, ticked off; or who said that she is left all the same. */
export const leaving = kind('leaving line', {
  on: date('Date'),
  /** What is ticked: a line of the list as the program makes it. '': she was left. */
  line: note('Line', 120),
  /** Stops that stood when she was left. */
  stops: note('Left with', 1000),
  at: instant('At'),
  personId: maybe(ref('By', 'person')),
})

/** Something out of order that somebody lets be, with a reason. It counts while its evidence is the same. */
export const orderKept = kind('thing left out of order', {
  rule: integer('Rule', { min: 1, max: 99 }),
  evidence: text('What it rests on', 600),
  because: text('Why it is left', 300),
  personId: maybe(ref('By', 'person')),
  at: instant('At'),
})

/** A step that is to be finished by the end of a week. */
export const weekPromise = kind('promise', {
  /** Monday of the week. */
  week: date('Week'),
  stepId: ref('Step', 'step', { onDelete: 'goes' }),
  at: instant('Given at'),
})

/** An accepted plan; every screen, print and calendar reads it. One live row a refit. */
export const plan = kind(
  'plan',
  {
    inputsHash: text('Inputs', 80),
    seed: integer('Seed', { min: 0, max: 2 ** 31 }, 1),
    iterations: integer('Iterations', { min: 0, max: 1e9 }, 0),
    at: instant('Made at'),
    result: record<StoredPlan>('Plan'),
  },
  { computed: true },
)

/** What many runs of the accepted plan said. One live row a refit. */
export const odds = kind(
  'forecast of dates and cost',
  {
    inputsHash: text('Inputs', 80),
    seed: integer('Seed', { min: 0, max: 2 ** 31 }, 1),
    at: instant('Made at'),
    result: record<StoredOdds>('Odds'),
  },
  { computed: true },
)

export const weekSnapshot = kind(
  'weekly snapshot',
  {
    /** Monday of the week. */
    week: date('Week'),
    at: instant('Taken at'),
    figures: record<SnapshotFigures>('Figures'),
  },
  { computed: true },
)
