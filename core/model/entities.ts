import {
  choice,
  choices,
  clockTime,
  date,
  flag,
  instant,
  integer,
  maybe,
  note,
  real,
  record,
  ref,
  refs,
  text,
} from './field'
import type { RowOf } from './field'
import type { Recipe, RecipeInputs } from '../recipes/recipe'
import type { StoredPlan, SnapshotFigures } from './stored'
import * as words from './words'

/** Every kind of row a refit is made of. Order: a row's references point to kinds above it. */
export const entities = {
  /** The undertaking itself; its id is the refit's id. */
  refit: {
    name: text('Name of the refit'),
    boatName: text('Name of the boat'),
    /** Length overall, metres: the whole Tape. 480 in = 12.192 m. */
    loaM: real('Length overall', { min: 2, max: 60 }),
    lwlM: maybe(real('Waterline length', { min: 1, max: 60 })),
    beamM: maybe(real('Beam', { min: 0.5, max: 20 })),
    draughtM: maybe(real('Draught', { min: 0.1, max: 10 })),
    weightT: maybe(real('Weight in tonnes', { min: 0.1, max: 500 })),
    boatType: choice('Kind of boat', ['sail', 'ketch', 'motor', 'catamaran'], 'sail'),
    /** Degrees, north and east positive; null: not said, and no weather is reckoned from it. */
    latitudeDeg: maybe(real('Latitude', { min: -90, max: 90 })),
    longitudeDeg: maybe(real('Longitude', { min: -180, max: 180 })),
    /** True for the demo alone: its weather comes from the made-up station. */
    madeUpWeather: flag('Made-up weather', false),
    /** Inches earned by finished steps that were removed since: what is earned never shrinks. Set by the server alone. */
    earnedKeptIn: real('Inches of removed steps', { min: 0, max: 10_000 }, 0),
    zone: text('Time zone of the yard'),
    currency: text('Currency', 3),
    units: choice('Units', ['metric', 'us', 'mixed'], 'metric'),
    /** Air mean °C by month, January first. */
    monthMeanC: record<number[]>('Mean air by month', [7, 7, 8, 9, 12, 14, 16, 16, 14, 12, 9, 7]),
    /** Share of days that suit laminating and painting, by month, January first. */
    workableShare: record<number[]>(
      'Workable days by month',
      [0.3, 0.35, 0.45, 0.55, 0.65, 0.7, 0.7, 0.7, 0.6, 0.5, 0.35, 0.3],
    ),
    calibrate: flag('Use what past steps really took', false),
    startedOn: date('Started on'),
    /** Minor units; what an hour of our own is reckoned at against a trade's price. Null: not reckoned. */
    ownHourMinor: maybe(integer('An hour of our own is worth', { min: 0, max: 1e7 })),
    /** Work that takes a licensed person where she lies. The local code decides. */
    licensedHere: choices('Takes a licensed person here', words.licensedKinds, [
      'mains',
      'gas',
      'lithium',
    ]),
  },
  system: {
    name: text('System'),
    kind: choice('Kind of system', words.systemKinds),
    order: text('Order', 80),
  },
  zone: {
    name: text('Place on the boat'),
    side: choice('Side', ['port', 'starboard', 'both', 'centre'], 'both'),
    belowWaterline: flag('Below the waterline', false),
    strake: choice('Strake', words.strakes, 'deck'),
    order: text('Order', 80),
  },
  place: {
    name: text('Place'),
    kind: choice('Kind of place', ['yard', 'berth', 'shed', 'home']),
    /** One way, minutes. */
    travelMin: integer('Travel one way in minutes', { min: 0, max: 1440 }, 0),
    setUpMin: integer('Set-up in minutes', { min: 0, max: 480 }, 30),
    packUpMin: integer('Pack-up in minutes', { min: 0, max: 480 }, 30),
    /** Weekdays on which the yard lifts, 1 Monday to 7 Sunday; empty when it is not a yard. */
    liftWeekdays: record<number[]>('Lift days', []),
    liftFrom: clockTime('First lift', '09:00'),
  },
  yardTariff: {
    placeId: ref('Yard', 'place'),
    /** Minor units of the refit's currency, a day ashore. */
    perDayMinor: integer('A day ashore', { min: 0, max: 1e9 }, 0),
    liftMinor: integer('A lift', { min: 0, max: 1e9 }, 0),
    berthPerDayMinor: integer('A day at the berth', { min: 0, max: 1e9 }, 0),
  },
  person: {
    name: text('Name', 80),
    role: choice('Role', ['lead', 'partner', 'helper', 'trade'], 'helper'),
    skills: choices('Skills', words.skills),
    gone: flag('No longer with us', false),
    order: text('Order', 80),
  },
  /** One weekly stretch of hours; a person has as many as they work days. */
  weekSlot: {
    personId: ref('Person', 'person'),
    /** 1 Monday to 7 Sunday. */
    weekday: integer('Weekday', { min: 1, max: 7 }),
    from: clockTime('From', '08:30'),
    to: clockTime('To', '17:00'),
    /** 1 every week, 2 every other week. */
    everyWeeks: integer('Every how many weeks', { min: 1, max: 4 }, 1),
    /** A week in which it holds, any date of it. Null: the week of the epoch. */
    anchor: maybe(date('A week in which it holds')),
  },
  /** A dated exception: cannot come, or comes as an extra day. */
  personDay: {
    personId: ref('Person', 'person'),
    on: date('Date'),
    kind: choice('Kind', ['cannotCome', 'extraDay']),
    from: clockTime('From', '08:30'),
    to: clockTime('To', '17:00'),
    reason: note('Reason', 200),
  },
  season: {
    name: text('Season'),
    from: date('From'),
    to: date('To'),
  },
  haulOut: {
    seasonId: maybe(ref('Season', 'season')),
    name: text('Haul-out'),
    placeId: maybe(ref('Yard', 'place')),
    liftOutAimed: date('Lift-out aimed'),
    liftOutBooked: maybe(date('Lift-out booked')),
    liftOutActual: maybe(date('Lifted out on')),
    launchAimed: date('Launch aimed'),
    launchBooked: maybe(date('Launch booked')),
    launchActual: maybe(date('Launched on')),
    launchWhen: choice('Launch', ['notBeforeAim', 'asReady', 'fixed'], 'notBeforeAim'),
  },
  /** Something jobs must be finished before. A launch gate takes its date from its haul-out. */
  gate: {
    name: text('Gate'),
    kind: choice('Kind of gate', ['launch', 'dated', 'asap']),
    haulOutId: maybe(ref('Haul-out', 'haulOut')),
    on: maybe(date('Date')),
  },
  finding: {
    title: text('What was found', 500),
    zoneId: maybe(ref('Where', 'zone')),
    severity: integer('How bad', { min: 1, max: 4 }, 2),
    when: choice('When', ['now', 'gate', 'later', 'unplaced'], 'unplaced'),
    state: choice('State', words.findingStates, 'new'),
    reason: note('Reason', 1000),
    lookAgainOn: maybe(date('Look again on')),
    duringJobId: maybe(ref('Found during', 'job')),
    foundAt: instant('Found at'),
    foundBy: maybe(ref('Found by', 'person')),
  },
  job: {
    title: text('Job', 300),
    detail: note('Detail'),
    zoneId: maybe(ref('Where', 'zone')),
    systemId: maybe(ref('System', 'system')),
    purpose: choice('Purpose', words.purposes, 'go'),
    severity: integer('How bad', { min: 1, max: 4 }, 2),
    spreading: flag('Gets worse on its own', false),
    gateId: maybe(ref('Gate', 'gate')),
    haulOutId: maybe(ref('Haul-out', 'haulOut')),
    decision: choice('Decision', words.jobDecisions, 'plan'),
    reason: note('Reason', 1000),
    /** When what was accepted as it is wants another look. */
    lookAgainOn: maybe(date('Look again on')),
    /** The job during which this one was found; null when it was planned. */
    parentJobId: maybe(ref('Found during', 'job')),
    /** Key of the recipe it was made by: one of the book, or the id of an own one. Null: written by hand. */
    recipeKey: maybe(text('Recipe', 80)),
    recipeInputs: record<RecipeInputs>('Dimensions', {}),
    /** Somebody looked at it and said where it belongs; also true of a job meant to have no gate. */
    placed: flag('Placed', false),
    doBy: choice('Who does it', words.doers, 'undecided'),
    doByReason: note('Why they do it', 1000),
    /** A trade's price for the whole job, minor units; null: nobody was asked. */
    tradePriceMinor: maybe(integer("A trade's price", { min: 0, max: 1e11 })),
    /** Rank pinned by hand; null: computed. */
    pinnedRank: maybe(integer('Pinned rank', { min: 1, max: 10_000 })),
    order: text('Order', 80),
  },
  product: {
    name: text('Product'),
    maker: note('Maker', 200),
    kind: choice('Kind of product', ['resin', 'coating', 'antifoul', 'sealant', 'other'], 'other'),
    /** Data-sheet reference temperature, °C, for every time below. */
    refC: real('Reference temperature in °C', { min: -20, max: 60 }, 20),
    minC: maybe(real('Lowest working temperature in °C', { min: -20, max: 60 })),
    maxC: maybe(real('Highest working temperature in °C', { min: -20, max: 80 })),
    /** Hours at refC; null where the data sheet gives none. */
    potLifeH: maybe(real('Pot life in hours', { min: 0.01, max: 100 })),
    potMassG: maybe(real('Pot life is for this mass in grams', { min: 1, max: 100_000 })),
    cureH: maybe(real('Cure in hours', { min: 0.1, max: 5000 })),
    overcoatOpensH: maybe(real('Overcoat opens after hours', { min: 0, max: 5000 })),
    overcoatClosesH: maybe(real('Bond window closes after hours', { min: 0.1, max: 20_000 })),
    immersionMinH: maybe(real('Earliest immersion in hours', { min: 0, max: 5000 })),
    immersionMaxH: maybe(real('Latest immersion in hours', { min: 0.1, max: 20_000 })),
  },
  step: {
    jobId: ref('Job', 'job'),
    title: text('Step', 300),
    operation: choice('Operation', words.operations, 'fit'),
    /** Person-hours for one skilled amateur with open access; 0 for work that takes nobody. */
    hoursLow: maybe(real('Low hours', { min: 0.05, max: 2000 })),
    hoursLikely: real('Likely hours', { min: 0, max: 2000 }, 1),
    hoursHigh: maybe(real('High hours', { min: 0.05, max: 4000 })),
    crewMin: integer('Least people', { min: 1, max: 8 }, 1),
    crewMax: integer('Most people', { min: 1, max: 8 }, 1),
    access: choice('Access', words.accessKinds, 'open'),
    skill: choice('Skill', words.skills, 'general'),
    placeNeed: choice('Done where', words.placeNeeds, 'boat'),
    hullNeed: choice('Hull', words.hullNeeds, 'byPlace'),
    /** Comes after the gate: the gate never waits for it. */
    afterGate: flag('After the gate', false),
    /** For a step after the gate: its last day. Null: its wait alone says when. */
    dueBy: maybe(date('To be done by')),
    /** Somebody it is kept for; null: whoever can. */
    wantedPersonId: maybe(ref('Kept for', 'person')),
    /** Null: by operation. */
    splittable: maybe(flag('May be left and taken up again', true)),
    parallel: flag('Beside the step before, not after it', false),
    needsDry: flag('Needs dry weather or cover', false),
    minTempC: maybe(real('Coldest air in °C', { min: -20, max: 50 })),
    waitKind: choice('Wait after it', words.waitKinds, 'none'),
    /** Hours, round the clock, before the next step; for a chem wait at waitRefC. */
    waitHours: real('Wait in hours', { min: 0, max: 9000 }, 0),
    waitRefC: real('Wait is for this temperature in °C', { min: -20, max: 60 }, 20),
    /** Below this nothing cures; null: the product's data sheet was not read yet. */
    waitMinC: maybe(real('No cure below °C', { min: -20, max: 60 })),
    /** Longest gap before the next step, hours; null: none. */
    maxWaitHours: maybe(real('Bond window closes after hours', { min: 0.1, max: 20_000 })),
    productId: maybe(ref('Product', 'product')),
    notBefore: maybe(date('Not before')),
    caution: note('Caution', 1000),
    /** Kind of work that may take a licensed person; null: none. */
    licensedKind: maybe(choice('Licensed work', words.licensedKinds)),
    /** Step of the recipe it was made from; '' when written by hand. */
    recipeStep: note('Step of the recipe', 80),
    /** The values the recipe gave it: what differs now was edited by hand and is kept. */
    recipeMade: record<Record<string, unknown>>('As the recipe made it', {}),
    forHelpers: flag('Good for a helper', false),
    state: choice('State', words.stepStates, 'open'),
    doneAt: maybe(instant('Done at')),
    /** Inches stored when it was finished; null while it is not. Set by the server alone. */
    earnedIn: maybe(real('Inches earned', { min: 0, max: 10_000 })),
    order: text('Order', 80),
  },
  /** The last step of one job comes before the first step of the other. */
  link: {
    fromJobId: ref('First', 'job'),
    toJobId: ref('Then', 'job'),
    minWaitHours: real('At least hours between', { min: 0, max: 20_000 }, 0),
    maxWaitHours: maybe(real('At most hours between', { min: 0, max: 20_000 })),
  },
  bringLine: {
    stepId: ref('Step', 'step'),
    what: text('Bring', 200),
    kind: choice('Kind', ['part', 'tool', 'consumable'], 'consumable'),
    amount: note('How much', 60),
    at: choice('Where it is', ['boat', 'shed', 'home', 'toBuy'], 'shed'),
    order: text('Order', 80),
  },
  part: {
    name: text('Part'),
    jobId: maybe(ref('Job', 'job')),
    neededByStepId: maybe(ref('Needed by', 'step')),
    state: choice('State', words.partStates, 'wanted'),
    quantity: real('How many', { min: 0.001, max: 1e6 }, 1),
    unit: note('Unit', 20),
    /** What it is sold in, in its unit; null: cut to measure. */
    packSize: maybe(real('Sold in packs of', { min: 0.001, max: 1e6 })),
    /** Material of the recipe it came from; '' when written by hand. */
    recipePart: note('Material of the recipe', 120),
    recipeMade: record<Record<string, unknown>>('As the recipe made it', {}),
    priceMinor: maybe(integer('Price', { min: 0, max: 1e11 })),
    supplier: note('Supplier', 120),
    orderedOn: maybe(date('Ordered on')),
    arrivesOn: maybe(date('Arrives on')),
  },
  /** A recipe of our own: copied, edited, brought in, or made from a job. */
  recipe: {
    name: text('Recipe'),
    body: record<Recipe>('Recipe'),
    order: text('Order', 80),
  },
  /** Something stripped out and put away until a step wants it back. */
  bag: {
    code: text('Code', 20),
    what: text('What is in it', 300),
    contents: note('Contents'),
    fromZoneId: maybe(ref('Came from', 'zone')),
    jobId: maybe(ref('Stripped out for', 'job')),
    wantedByStepId: maybe(ref('Wanted back by', 'step')),
    /** '' when nobody knows: it is warned about as its step nears. */
    storedAt: note('Where it is', 200),
    lastSeenOn: maybe(date('Last seen on')),
    state: choice('State', words.bagStates, 'stored'),
    order: text('Order', 80),
  },
  bagWire: {
    bagId: ref('Bag', 'bag'),
    from: text('From', 120),
    to: note('To', 120),
    colour: note('Colour', 60),
    label: note('Label', 60),
    order: text('Order', 80),
  },
  /** A file kept beside a job or a product: never opened or run by the program. */
  document: {
    title: text('Document', 300),
    fileName: text('File', 300),
    /** SHA-256 of the file, which is also its name in the data folder. */
    hash: text('File', 64),
    mime: text('Type', 100),
    sizeBytes: integer('Size', { min: 1, max: 1e9 }),
    jobId: maybe(ref('Job', 'job')),
    productId: maybe(ref('Product', 'product')),
  },
  /** An address written beside a job or a product. */
  webLink: {
    title: text('Link', 300),
    url: text('Address', 2000),
    jobId: maybe(ref('Job', 'job')),
    productId: maybe(ref('Product', 'product')),
  },
  tradeBooking: {
    stepId: ref('Step', 'step'),
    trade: text('Trade', 120),
    from: date('From'),
    to: date('To'),
    state: choice('State', ['asked', 'booked', 'came', 'cancelled'], 'asked'),
    priceMinor: maybe(integer('Price', { min: 0, max: 1e11 })),
  },
  /** A running pot, cure, overcoat or immersion window: a start and a snapshot of the data sheet. */
  clock: {
    title: text('Clock'),
    kind: choice('Kind of clock', words.clockKinds),
    stepId: maybe(ref('Step', 'step')),
    startedAt: instant('Started at'),
    endedAt: maybe(instant('Ended at')),
    refC: real('Reference temperature in °C', { min: -20, max: 60 }, 20),
    minC: maybe(real('No cure below °C', { min: -20, max: 60 })),
    maxC: maybe(real('Credit capped at °C', { min: -20, max: 80 })),
    /** Hours at refC until it opens: cured, coatable, immersible. Null for a pot. */
    opensH: maybe(real('Opens after hours', { min: 0, max: 9000 })),
    /** Hours at refC until it closes: pot goes off, bond window shuts. Null: never. */
    closesH: maybe(real('Closes after hours', { min: 0.01, max: 20_000 })),
    /** Grams in the cup and the mass the pot life is given for; null: not a pot. */
    massG: maybe(real('Grams in the cup', { min: 1, max: 100_000 })),
    refMassG: maybe(real('Pot life is for grams', { min: 1, max: 100_000 })),
    /** Air assumed where no reading was taken, °C. */
    assumedC: real('Assumed temperature in °C', { min: -20, max: 60 }, 15),
  },
  clockReading: {
    clockId: ref('Clock', 'clock'),
    at: instant('At'),
    tempC: real('Temperature in °C', { min: -30, max: 70 }),
  },
  hoursEntry: {
    stepId: maybe(ref('Step', 'step')),
    jobId: maybe(ref('Job', 'job')),
    personId: ref('Person', 'person'),
    on: date('Date'),
    hours: real('Hours', { min: 0.01, max: 24 }),
    kind: choice('Kind', ['work', 'travel', 'setUp', 'packUp', 'cleanUp'], 'work'),
    note: note('Note', 500),
    /** The entry this one puts right; the old one stays to be seen. */
    correctsId: maybe(ref('Corrects', 'hoursEntry')),
  },
  asBuiltSheet: {
    jobId: maybe(ref('Job', 'job')),
    systemId: maybe(ref('System', 'system')),
    title: text('What'),
    where: note('Where', 300),
    doneOn: maybe(date('When')),
    who: note('Who', 300),
    hours: maybe(real('Hours', { min: 0, max: 100_000 })),
    costMinor: maybe(integer('Cost', { min: 0, max: 1e11 })),
    takeApart: note('How to take it apart again'),
    nextCheckOn: maybe(date('Next check')),
    nextCheckWhat: note('What to check', 500),
  },
  asBuiltLine: {
    sheetId: ref('Sheet', 'asBuiltSheet'),
    kind: choice('Kind of line', ['material', 'size', 'setting', 'drawing', 'note'], 'material'),
    what: text('What', 300),
    value: note('Value', 300),
    batch: note('Batch and expiry', 120),
    order: text('Order', 80),
  },
  asBuiltTest: {
    sheetId: ref('Sheet', 'asBuiltSheet'),
    what: text('Test', 300),
    expected: note('Expected', 200),
    measured: note('Measured', 200),
    outcome: choice('Outcome', ['notYet', 'passed', 'failed'], 'notYet'),
    order: text('Order', 80),
  },
  picture: {
    /** SHA-256 of the file, which is also its name in the data folder. */
    hash: text('Picture', 64),
    mime: text('Type', 40),
    widthPx: integer('Width', { min: 1, max: 100_000 }),
    heightPx: integer('Height', { min: 1, max: 100_000 }),
    caption: note('Caption', 500),
    moment: choice('Moment', ['before', 'open', 'after', 'found', 'drawing'], 'found'),
    findingId: maybe(ref('Finding', 'finding')),
    jobId: maybe(ref('Job', 'job')),
    sheetId: maybe(ref('Sheet', 'asBuiltSheet')),
    bagId: maybe(ref('Bag', 'bag')),
    takenAt: instant('Taken at'),
  },
  /** A day as its people changed it: who, where, from when to when, in what order. */
  dayPlan: {
    on: date('Date'),
    placeNeed: choice('Place', words.placeNeeds, 'boat'),
    personIds: refs('People', 'person'),
    from: clockTime('From', '08:30'),
    to: clockTime('To', '17:00'),
    stepOrder: refs('Order of steps', 'step'),
    rain: flag('Rain', false),
    lowC: maybe(real('Coldest air in °C', { min: -30, max: 50 })),
    highC: maybe(real('Warmest air in °C', { min: -30, max: 60 })),
  },
  /** An accepted plan; every screen, print and calendar reads it. One live row a refit. */
  plan: {
    inputsHash: text('Inputs', 80),
    seed: integer('Seed', { min: 0, max: 2 ** 31 }, 1),
    iterations: integer('Iterations', { min: 0, max: 1e9 }, 0),
    at: instant('Made at'),
    result: record<StoredPlan>('Plan'),
  },
  weekSnapshot: {
    /** Monday of the week. */
    week: date('Week'),
    at: instant('Taken at'),
    figures: record<SnapshotFigures>('Figures'),
  },
} as const

export type Entities = typeof entities
export type EntityName = keyof Entities
export const entityNames = Object.keys(entities) as EntityName[]
export type Row<Name extends EntityName> = RowOf<Entities[Name]>

export type RefitRow = Row<'refit'>
export type Job = Row<'job'>
export type Step = Row<'step'>
export type Link = Row<'link'>
export type Person = Row<'person'>
export type Place = Row<'place'>
export type HaulOut = Row<'haulOut'>
export type Gate = Row<'gate'>
export type Zone = Row<'zone'>
export type Finding = Row<'finding'>
export type Clock = Row<'clock'>
export type HoursEntry = Row<'hoursEntry'>
export type AsBuiltSheet = Row<'asBuiltSheet'>
export type Product = Row<'product'>
export type DayPlan = Row<'dayPlan'>
export type Part = Row<'part'>
export type Bag = Row<'bag'>
