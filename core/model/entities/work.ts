/** The jobs and their steps. */
import {
  aside,
  byServer,
  choice,
  choices,
  date,
  flag,
  fresh,
  instant,
  integer,
  maybe,
  note,
  real,
  record,
  ref,
  refs,
  states,
  text,
} from '../field'
import { kind } from '../kind'
import * as said from '../said'
import * as words from '../words'
import type { InputSources, RecipeInputs } from '../../recipes/recipe'

export const job = kind(
  'job',
  {
    title: text('Job', 300),
    /** For drawings in which the whole name has no room. */
    shortName: aside(fresh(note('Short name', 24))),
    detail: aside(note('Detail')),
    zoneId: maybe(ref('Where', 'zone')),
    systemId: maybe(ref('System', 'system')),
    purpose: choice('Purpose', words.purposes, 'go'),
    severity: integer('How bad', { min: 1, max: 4 }, 2),
    spreading: flag('Gets worse on its own', false),
    gateId: maybe(ref('Gate', 'gate')),
    haulOutId: maybe(ref('Haul-out', 'haulOut')),
    decision: choice('Decision', words.jobDecisions, 'plan', said.decision),
    reason: aside(note('Reason', 1000)),
    /** When what was accepted as it is wants another look. */
    lookAgainOn: aside(maybe(date('Look again on'))),
    /** The job during which this one was found; null when it was planned. */
    parentJobId: maybe(ref('Found during', 'job')),
    /** Key of the recipe it was made by: one of the book, or the id of an own one. Null: written by hand. */
    recipeKey: maybe(text('Recipe', 80)),
    recipeInputs: record<RecipeInputs>('Dimensions', {}),
    /** Who measured which of them, or wants it so. */
    inputSources: fresh(record<InputSources>('How the dimensions are known', {})),
    /** Somebody looked at it and said where it belongs; also true of a job meant to have no gate. */
    placed: flag('Placed', false),
    doBy: choice('Who does it', words.doers, 'undecided'),
    doByReason: aside(note('Why they do it', 1000)),
    /** A trade’s price for the whole job, minor units; null: nobody was asked. */
    tradePriceMinor: fresh(maybe(integer('A trade’s price', { min: 0, max: 1e11, unit: 'minor' }))),
    /** What she weighs more, and how much higher she is, once it is done; negative: less. */
    addsKg: aside(fresh(maybe(real('Adds weight in kg', { min: -50_000, max: 50_000 })))),
    /** The two smaller sides of the largest piece of it that goes aboard: what has to pass. */
    pieceWideMm: aside(
      fresh(maybe(real('Largest piece, smallest side', { min: 1, max: 10_000, unit: 'mm' }))),
    ),
    pieceHighMm: aside(
      fresh(maybe(real('Largest piece, middle side', { min: 1, max: 10_000, unit: 'mm' }))),
    ),
    addsHeightM: aside(fresh(maybe(real('Adds height', { min: -50, max: 50, unit: 'm' })))),
    /** Said on closing it, and shown at the next job of its kind. */
    nextTime: aside(fresh(note('Next time I would', 500))),
    /** Rank pinned by hand; null: computed. */
    pinnedRank: fresh(maybe(integer('Pinned rank', { min: 1, max: 10_000 }))),
    order: text('Order', 80),
  },
  { planInput: true },
)

export const step = kind(
  'step',
  {
    jobId: ref('Job', 'job', { onDelete: 'goes', copied: true }),
    title: text('Step', 300),
    operation: choice('Operation', words.operations, 'fit', said.operation),
    /** Person-hours for one skilled amateur with open access; 0 for work that takes nobody. */
    hoursLow: maybe(real('Low hours', { min: 0.05, max: 2000, unit: 'h' })),
    hoursLikely: real('Likely hours', { min: 0, max: 2000, unit: 'h' }, 1),
    hoursHigh: maybe(real('High hours', { min: 0.05, max: 4000, unit: 'h' })),
    crewMin: integer('Least people', { min: 1, max: 8 }, 1),
    crewMax: integer('Most people', { min: 1, max: 8 }, 1),
    access: choice('Access', words.accessKinds, 'open', said.access),
    skill: choice('Skill', words.skills, 'general', said.skill),
    placeNeed: choice('Done where', words.placeNeeds, 'boat', said.placeNeed),
    hullNeed: choice('Hull', words.hullNeeds, 'byPlace', said.hullNeed),
    /** Comes after the gate: the gate never waits for it. */
    afterGate: flag('After the gate', false),
    /** For a step after the gate: its last day. Null: its wait alone says when. */
    dueBy: maybe(date('To be done by')),
    /** Somebody it is kept for; null: whoever can. */
    wantedPersonId: maybe(ref('Kept for', 'person')),
    /** Null: by operation. */
    splittable: maybe(flag('May be left and taken up again', true)),
    dusty: maybe(flag('Throws dust', true)),
    wet: maybe(flag('Wet until touch-dry', true)),
    opens: maybe(flag('Leaves her open', true)),
    closes: maybe(flag('Closes what is open', true)),
    parallel: flag('Beside the step before, not after it', false),
    needsDry: flag('Needs dry weather or cover', false),
    minTempC: maybe(real('Coldest air in °C', { min: -20, max: 50, unit: '°C' })),
    maxTempC: maybe(real('Warmest surface in °C', { min: 0, max: 80, unit: '°C' })),
    /** What is counted off: bolts, holes, plies; '': done at once. */
    unitName: note('Counted in', 40),
    unitCount: maybe(integer('How many of them', { min: 1, max: 100_000 })),
    unitsDone: fresh(integer('Done of them', { min: 0, max: 100_000 }, 0)),
    /** The first one is made and checked before the others. */
    proveOnOne: flag('Prove on one first', false),
    /** No two beside each other are open at once. */
    noNeighbours: flag('No two neighbours at once', false),
    /** What is read at it, and within which limits it passes; '': nothing. */
    readWhat: note('Read at it', 120),
    readUnit: note('Read in', 20),
    readLow: maybe(real('Passes from', { min: -1e6, max: 1e6 })),
    readHigh: maybe(real('Passes up to', { min: -1e6, max: 1e6 })),
    /** Beyond the passing value, up to here: to be watched. Beyond this it fails. */
    readFailAt: maybe(real('Fails beyond', { min: -1e6, max: 1e6 })),
    readSource: aside(note('Limit from', 200)),
    /** What sound, dry stuff of the same make reads; with it readings say when it will be dry. */
    readDry: maybe(real('Reads when dry', { min: -1e6, max: 1e6 })),
    /** A group repeated until it is good enough: rounds to be expected, and the most. */
    roundsLikely: integer('Rounds likely', { min: 1, max: 40 }, 1),
    roundsMost: integer('Rounds at most', { min: 1, max: 40 }, 1),
    /** What its group of rounds is until: "1 m batten shows under 1 mm". */
    untilGood: aside(note('Until', 200)),
    /** Who accepts that it stopped short of its count, and why; '': it did not. */
    shortBecause: fresh(note('Stopped short because', 300)),
    shortById: aside(fresh(maybe(ref('Accepted by', 'person')))),
    /** Which round of its group it is. */
    round: fresh(integer('Round', { min: 1, max: 40 }, 1)),
    /** The step this one makes good, or does again. */
    redoesStepId: maybe(ref('Does again', 'step')),
    /** Good enough only for now: what is missing; '': it is not provisional. */
    provisionalFor: note('For the time being: what is missing', 300),
    provisionalNot: aside(note('Not to be trusted with', 300)),
    rightBeforeGateId: maybe(ref('Made right before', 'gate')),
    /** The job that makes it right. */
    rightByJobId: maybe(ref('Made right by', 'job')),
    waitKind: choice('Wait after it', words.waitKinds, 'none', said.waitKind),
    /** Hours, round the clock, before the next step; for a chem wait at waitRefC. */
    waitHours: real('Wait in hours', { min: 0, max: 9000, unit: 'hRound' }, 0),
    waitRefC: real('Wait is for this temperature in °C', { min: -20, max: 60, unit: '°C' }, 20),
    /** Below this nothing cures; null: the product's data sheet was not read yet. */
    waitMinC: maybe(real('No cure below °C', { min: -20, max: 60, unit: '°C' })),
    /** Longest gap before the next step, hours; null: none. */
    maxWaitHours: maybe(
      real('Bond window closes after hours', { min: 0.1, max: 20_000, unit: 'hRound' }),
    ),
    windowKind: choice('The window is', words.windowKinds, 'bond', said.windowKind),
    productId: maybe(ref('Product', 'product')),
    /** How far what is before it has to have cured. */
    beginsOnce: choice('Begins once what is before it', words.cureStages, 'cured', said.cureStage),
    /** Moisture gets in from the air: how deep the bed lies at its deepest. */
    bedDepthMm: maybe(real('Deepest from the air', { min: 0.1, max: 200, unit: 'mm' })),
    notBefore: maybe(date('Not before')),
    notAfter: maybe(date('Not after')),
    /** The day on which somebody wants it begun: it is given its people then before all else. */
    pinnedOn: fresh(maybe(date('Pinned to'))),
    /** Months in which it may be done; none: any. */
    months: choices('Only in', words.months),
    caution: aside(note('Caution', 1000)),
    /** Kind of work that may take a licensed person; null: none. */
    licensedKind: maybe(choice('Licensed work', words.licensedKinds, undefined, said.licensed)),
    /** Step of the recipe it was made from; '' when written by hand. */
    recipeStep: note('Step of the recipe', 80),
    /** The values the recipe gave it: what differs now was edited by hand and is kept. */
    recipeMade: record<Record<string, unknown>>('As the recipe made it', {}),
    forHelpers: flag('Good for a helper', false),
    state: fresh(
      states(words.stepStates, 'open', {
        open: ['doing', 'done', 'dropped'],
        doing: ['open', 'done', 'dropped'],
        done: ['open', 'doing', 'dropped'],
        dropped: ['open'],
      }),
    ),
    /** Who was at it when it was begun. */
    byIds: fresh(refs('Done by', 'person')),
    /** When it was begun, so that ticking it off gives its hours. */
    startedAt: fresh(maybe(instant('Begun at'))),
    doneAt: fresh(maybe(instant('Done at'))),
    /** Inches stored when it was finished; null while it is not. Set by the server alone. */
    earnedIn: byServer(fresh(maybe(real('Inches earned', { min: 0, max: 10_000, unit: 'inch' })))),
    order: text('Order', 80),
  },
  { planInput: true },
)

/** One job comes before another: its last step, or the named one, before the first that is open, or the named one. */
export const link = kind(
  'link',
  {
    fromJobId: ref('First', 'job', { onDelete: 'goes' }),
    toJobId: ref('Then', 'job', { onDelete: 'goes' }),
    /** Null: the whole of the first job. */
    fromStepId: maybe(ref('Once this step is done', 'step')),
    /** Null: all of the second job that is still to be done. */
    toStepId: maybe(ref('This step may begin', 'step')),
    /** How far the first has to have cured for the second. */
    once: choice('Once the first', words.cureStages, 'cured', said.cureStage),
    minWaitHours: real('At least hours between', { min: 0, max: 20_000, unit: 'hRound' }, 0),
    maxWaitHours: maybe(real('At most hours between', { min: 0, max: 20_000, unit: 'hRound' })),
  },
  { planInput: true },
)
