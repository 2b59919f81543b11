/** What work uses up: products, parts, things to bring; and the trades that are asked. */
import {
  aside,
  choice,
  date,
  fresh,
  integer,
  maybe,
  note,
  real,
  record,
  ref,
  states,
  text,
} from '../field'
import { kind } from '../kind'
import * as said from '../said'
import * as words from '../words'

export const product = kind(
  'product',
  {
    name: text('Product'),
    maker: aside(note('Maker', 200)),
    kind: choice('Kind of product', ['resin', 'coating', 'antifoul', 'sealant', 'other'], 'other'),
    /** Data-sheet reference temperature, °C, for every time below. */
    refC: real('Reference temperature in °C', { min: -20, max: 60, unit: '°C' }, 20),
    minC: maybe(real('Lowest working temperature in °C', { min: -20, max: 60, unit: '°C' })),
    maxC: maybe(real('Highest working temperature in °C', { min: -20, max: 80, unit: '°C' })),
    /** Hours at refC; null where the data sheet gives none. */
    potLifeH: maybe(real('Pot life in hours', { min: 0.01, max: 100, unit: 'hRound' })),
    potMassG: maybe(
      real('Pot life is for this mass in grams', { min: 1, max: 100_000, unit: 'g' }),
    ),
    cureH: maybe(real('Cure in hours', { min: 0.1, max: 5000, unit: 'hRound' })),
    /** Sealant and glue: hours until it has a skin, takes light parts, load, and water. */
    skinH: maybe(real('Skin after hours', { min: 0, max: 5000, unit: 'hRound' })),
    lightH: maybe(real('Takes light parts after hours', { min: 0, max: 5000, unit: 'hRound' })),
    loadH: maybe(real('Takes load after hours', { min: 0, max: 5000, unit: 'hRound' })),
    waterH: maybe(real('Takes water after hours', { min: 0, max: 5000, unit: 'hRound' })),
    /** Moisture cure: how deep it is through after its first day. */
    firstDayMm: maybe(real('Through in a day', { min: 0.1, max: 50, unit: 'mm' })),
    overcoatOpensH: maybe(
      real('Overcoat opens after hours', { min: 0, max: 5000, unit: 'hRound' }),
    ),
    overcoatClosesH: maybe(
      real('Bond window closes after hours', { min: 0.1, max: 20_000, unit: 'hRound' }),
    ),
    immersionMinH: maybe(
      real('Earliest immersion in hours', { min: 0, max: 5000, unit: 'hRound' }),
    ),
    immersionMaxH: maybe(
      real('Latest immersion in hours', { min: 0.1, max: 20_000, unit: 'hRound' }),
    ),
  },
  { planInput: true },
)

export const bringLine = kind('line to bring', {
  stepId: ref('Step', 'step', { onDelete: 'goes', copied: true }),
  what: text('Bring', 200),
  kind: choice('Kind', ['part', 'tool', 'consumable'], 'consumable'),
  amount: note('How much', 60),
  at: choice('Where it is', [...words.keptAt, 'toBuy'], 'shed'),
  /** The day for which somebody saw it there. */
  seenOn: fresh(maybe(date('Seen on'))),
  /** The shop that has it; null: any of them. */
  shopId: maybe(ref('Shop', 'place')),
  /** The tool it is, and how far it has to reach. */
  toolId: maybe(ref('Tool', 'tool')),
  needsMm: maybe(real('Must reach', { min: 0.1, max: 100_000, unit: 'mm' })),
  order: text('Order', 80),
})

export const part = kind(
  'part',
  {
    name: text('Part'),
    jobId: maybe(ref('Job', 'job', { onDelete: 'goes' })),
    neededByStepId: maybe(ref('Needed by', 'step', { copied: true })),
    state: fresh(
      states(words.partStates, 'wanted', {
        wanted: ['specified', 'quoted', 'ordered', 'arrived', 'fitted'],
        specified: ['wanted', 'quoted', 'ordered', 'arrived', 'fitted'],
        quoted: ['wanted', 'specified', 'ordered', 'arrived'],
        ordered: ['wanted', 'arrived', 'returned'],
        arrived: ['wanted', 'ordered', 'fitted', 'returned'],
        fitted: ['arrived', 'returned'],
        returned: ['wanted', 'ordered'],
      }),
    ),
    quantity: real('How many', { min: 0.001, max: 1e6 }, 1),
    unit: note('Unit', 20),
    /** What it is sold in, in its unit; null: cut to measure. */
    packSize: maybe(real('Sold in packs of', { min: 0.001, max: 1e6 })),
    /** Material of the recipe it came from; '' when written by hand. */
    recipePart: note('Material of the recipe', 120),
    recipeMade: record<Record<string, unknown>>('As the recipe made it', {}),
    /** Of one, in its unit: a guess until an order says what it is. */
    priceMinor: maybe(integer('Price of one', { min: 0, max: 1e11, unit: 'minor' })),
    supplierId: maybe(ref('Supplier', 'supplier')),
    specification: note('Specification', 1000),
    hand: choice('Hand', words.hands, 'none', said.hands),
    metal: note('Metal', 60),
    size: note('Size', 60),
    /** What makes sure of its size: until that is done it is bought on a guess. */
    fixedByStepId: maybe(ref('Specified once', 'step', { copied: true })),
    /** Null: as its supplier has it. */
    leadDays: maybe(integer('Days until it is here', { min: 0, max: 1000 })),
    leadLateDays: maybe(integer('Days when it goes badly', { min: 0, max: 2000 })),
    /** Counted from the day it was made, or bought where that is not known. */
    shelfMonths: maybe(real('Keeps for months', { min: 0.1, max: 600 })),
    madeOn: fresh(maybe(date('Made on'))),
    warrantyMonths: aside(maybe(real('Warranty in months', { min: 0.1, max: 600 }))),
    sparePercent: real('Spare', { min: 0, max: 200 }, 0),
    /** Parts with the same word here are bought as one line, whatever they are called; '': by its name. */
    boughtAs: note('Bought together as', 120),
    /** Looked for second-hand until then; afterwards plan B. */
    lookUntil: fresh(maybe(date('Look until'))),
    planB: aside(fresh(note('Plan B', 300))),
    /** Bought before its size was sure: what became of it. */
    gamble: aside(fresh(choice('Bought early', words.gambles, 'open', said.gambles))),
    gambleMinor: aside(
      fresh(maybe(integer('Saved or lost', { min: 0, max: 1e11, unit: 'minor' }))),
    ),
    at: fresh(maybe(choice('Where it is', words.keptAt, undefined, said.keptAt))),
    orderedOn: fresh(maybe(date('Ordered on'))),
    arrivesOn: fresh(maybe(date('Arrives on'))),
    /** The day for which somebody saw it there. */
    seenOn: aside(fresh(maybe(date('Seen on')))),
  },
  { planInput: true },
)

export const tradeBooking = kind(
  'trade booking',
  {
    stepId: ref('Step', 'step', { onDelete: 'goes' }),
    trade: text('Trade', 120),
    from: date('From'),
    to: date('To'),
    state: states(words.bookingStates, 'asked', {
      asked: ['booked', 'cancelled'],
      booked: ['asked', 'came', 'cancelled'],
      came: ['booked'],
      cancelled: ['asked', 'booked'],
    }),
    priceMinor: maybe(integer('Price', { min: 0, max: 1e11, unit: 'minor' })),
    /** How long before they want to be called; null: nobody asked them. */
    noticeDays: maybe(integer('Notice in days', { min: 0, max: 1000 })),
    /** Weekdays on which they come, 1 Monday to 7 Sunday; none: any. */
    comesOn: record<number[]>('They come on', []),
    /** Of what is agreed, kept until it was looked at. */
    retainPercent: integer('Held back until it is checked', { min: 0, max: 50 }, 0),
  },
  { planInput: true },
)
