/** The whole shape of every record that is kept inside a row: nothing comes in that its reader does not expect. */
import Joi from 'joi'
import type { EntityName } from '#core/model/entities'
import { bindingKinds } from '#core/plan/schedule/binding'
import { remarkKinds } from '#core/model/stored'
import { hands, operations, placeNeeds } from '#core/model/words'
import { idSchema } from './idSchema'
import { oddsSchema } from './oddsSchema'
import { recipeSchema } from './recipeSchema'

const finite = Joi.number().min(-1e13).max(1e13)
/** UTC ms; the planner's are not always whole. */
const instant = Joi.number().min(-8.64e15).max(8.64e15)
const ids = Joi.array().items(idSchema).max(10_000)

/** What a person gives a recipe: numbers by input, a word by choice. */
const recipeInputs = Joi.object().pattern(
  /^[a-z][A-Za-z0-9]{0,39}$/,
  Joi.alternatives(Joi.number(), Joi.string().max(40)),
)

/** Who measured which dimension of a job, and what it was then. */
const inputSources = Joi.object().pattern(
  /^[a-z][A-Za-z0-9]{0,39}$/,
  Joi.object({
    how: Joi.string().valid('measured', 'wanted').required(),
    value: Joi.number().required(),
    by: idSchema.allow(null).required(),
    on: Joi.string()
      .pattern(/^\d{4}-\d{2}-\d{2}$/)
      .required(),
  }),
)

/** Plain values by field, as a recipe gave them to a step or a part. */
const asMade = Joi.object()
  .pattern(
    /^[A-Za-z][A-Za-z0-9]{0,39}$/,
    Joi.alternatives(
      Joi.number(),
      Joi.boolean(),
      Joi.string().max(20_000).allow(''),
      Joi.array().items(Joi.string().max(300).allow('')).max(100),
    ).allow(null),
  )
  .max(80)

const binding = Joi.object({
  kind: Joi.string()
    .valid(...bindingKinds)
    .required(),
}).pattern(
  /^[A-Za-z]{1,40}$/,
  Joi.alternatives(Joi.number(), Joi.boolean(), Joi.string().max(300).allow(''), ids).allow(null),
)
const mend = Joi.object({
  kind: Joi.string().valid('peelPly', 'keying').required(),
  fromStepId: idSchema.required(),
  toStepId: idSchema.required(),
  hours: Joi.number().min(0).max(10_000).required(),
})
const trouble = Joi.object({
  message: Joi.string().max(5000).required(),
  kind: Joi.string()
    .valid(...remarkKinds)
    .required(),
  jobIds: ids.required(),
  stepIds: ids.required(),
})
const byRow = (value: Joi.Schema) => Joi.object().pattern(/^[\w-]{1,64}$/, value)

const plan = Joi.object({
  status: Joi.string().valid('feasible', 'infeasible', 'unknown').required(),
  now: instant.required(),
  placements: Joi.array()
    .items(
      Joi.object({
        stepId: idSchema.required(),
        segments: Joi.array()
          .items(Joi.array().ordered(instant.required(), instant.required()))
          .min(1)
          .max(5000)
          .required(),
        readyAt: instant.required(),
        personIds: ids.required(),
        binding: binding.required(),
        mends: Joi.array().items(mend).max(100),
      }),
    )
    .max(10_000)
    .required(),
  // Plans of an older make lack some of this; they are kept, and laid anew when they are next looked at.
  urgencies: byRow(Joi.string().max(300)),
  gates: Joi.array()
    .items(
      Joi.object({
        gateId: idSchema.required(),
        at: instant.required(),
        readyAt: instant,
        binding: binding.required(),
      }),
    )
    .max(1000)
    .required(),
  launches: Joi.array()
    .items(
      Joi.object({
        haulOutId: idSchema.required(),
        from: instant,
        at: instant.required(),
      }),
    )
    .max(1000)
    .required(),
  reasons: Joi.array().items(trouble).max(20_000).required(),
  warnings: Joi.array().items(trouble).max(20_000).required(),
})

const figures = Joi.object({
  earnedIn: finite.required(),
  hoursOpen: finite.required(),
  hoursDonePlanned: finite.required(),
  hoursLogged: finite.required(),
  gateAt: byRow(finite).required(),
  jobHoursOpen: byRow(finite).required(),
  jobTitles: byRow(Joi.string().max(300).allow('')).required(),
}).unknown(true)

const pair = (low: number, high: number) =>
  Joi.array()
    .ordered(Joi.number().min(low).max(high).required(), Joi.number().min(low).max(high).required())
    .length(2)

const zoneShape = Joi.object({
  view: Joi.string().valid('side', 'plan').required(),
  corners: Joi.array().items(pair(-2, 3)).min(3).max(40).required().messages({
    'array.min': 'A place has at least three corners.',
    'array.max': 'A place has at most forty corners.',
  }),
}).allow(null)

/** Metres. Whether a panel has a size is seen by its rule. */
const outline = Joi.array().items(pair(-50, 50)).min(3).max(60).messages({
  'array.min': 'A panel has at least three corners.',
  'array.max': 'A panel has at most sixty corners.',
})
const fittings = Joi.array()
  .items(
    Joi.object({
      title: Joi.string().trim().min(1).max(120).required(),
      at: pair(-50, 50).required(),
    }),
  )
  .max(200)

const cells = Joi.object()
  .pattern(
    /^\d{1,3}:\d{1,3}$/,
    Joi.object({
      meter: Joi.number().min(-1000).max(10_000),
      tap: Joi.string().valid('dull', 'sharp'),
      probeMm: Joi.number().min(0).max(500),
      sample: Joi.string().valid('wet', 'powder', 'parted', 'sound'),
    }),
  )
  .max(20_000)

const bays = Joi.array()
  .items(
    Joi.object({
      title: Joi.string().trim().min(1).max(120).required(),
      from: Joi.number().integer().min(1).max(400).required(),
      to: Joi.number().integer().min(Joi.ref('from')).max(400).required(),
      hours: Joi.number().min(0).max(1000).required(),
      open: Joi.boolean().required(),
    }),
  )
  .max(100)

const pictureMarks = Joi.array()
  .items(
    Joi.object({
      kind: Joi.string().valid('arrow', 'ring').required(),
      from: pair(0, 1).required(),
      to: pair(0, 1).required(),
      text: Joi.string().max(200).allow('').required(),
    }),
  )
  .max(50)

const months = (least: number, most: number) =>
  Joi.array().items(Joi.number().min(least).max(most)).length(12)

const forecastHours = Joi.array()
  .items(
    Joi.object({
      at: instant.required(),
      tempC: Joi.number().min(-60).max(60).required(),
      dewC: Joi.number().min(-80).max(60).required(),
      rain: Joi.boolean().required(),
      cloud: Joi.number().min(0).max(1),
    }),
  )
  .max(24 * 20)

const civilDate = Joi.string()
  .pattern(/^\d{4}-\d{2}-\d{2}$/)
  .required()
const weekdays = Joi.array().items(Joi.number().integer().min(1).max(7)).unique().max(7)
const noLifts = Joi.array()
  .items(
    Joi.object({
      from: civilDate,
      to: civilDate,
      why: Joi.string().trim().max(120).allow('').required(),
    }),
  )
  .max(40)

const draftSteps = Joi.array()
  .items(
    Joi.object({
      title: Joi.string().trim().min(1).max(300).required().messages({
        'string.empty': 'A step of an option needs a name.',
      }),
      operation: Joi.string()
        .valid(...operations)
        .required(),
      hours: Joi.number().min(0).max(2000).required(),
      placeNeed: Joi.string()
        .valid(...placeNeeds)
        .required(),
    }),
  )
  .max(60)
const draftParts = Joi.array()
  .items(
    Joi.object({
      name: Joi.string().trim().min(1).max(200).required().messages({
        'string.empty': 'A part of an option needs a name.',
      }),
      quantity: Joi.number().min(0.001).max(1e6).required(),
      priceMinor: Joi.number().integer().min(0).max(1e11).allow(null).required(),
    }),
  )
  .max(100)

/** What a supplier is told of a part. */
const asOrdered = Joi.object({
  quantity: Joi.number().min(0.001).max(1e6),
  unit: Joi.string().allow('').max(20),
  specification: Joi.string().allow('').max(1000),
  hand: Joi.string().valid(...hands),
  metal: Joi.string().allow('').max(60),
  size: Joi.string().allow('').max(60),
})

/** A name alone is looked up later; what it stands for is judged by its rule. */
const constituents = Joi.array()
  .items(
    Joi.object({
      name: Joi.string().trim().min(1).max(20).required(),
      amplitudeM: Joi.number().min(0).max(20).required(),
      phaseDeg: Joi.number().min(-360).max(720).required(),
    }),
  )
  .max(200)
const turns = Joi.array()
  .items(Joi.object({ at: instant.required(), heightM: Joi.number().min(-30).max(30).required() }))
  .max(20_000)
const craneChart = Joi.array()
  .items(
    Joi.array()
      .ordered(
        Joi.number().min(0.1).max(100).required(),
        Joi.number().min(0.05).max(2000).required(),
      )
      .length(2),
  )
  .max(60)

/** What a sum of the bench was worked from: numbers and words, and lists of lines of them. */
// Words first: '12' is a choice of a sum and stays a word.
const sumScalar = Joi.alternatives(
  Joi.string().max(300).allow(''),
  Joi.number().min(-1e9).max(1e9),
).allow(null)
const sumKeyName = /^[a-z][A-Za-z0-9]{0,39}$/
const sumValues = Joi.object()
  .pattern(
    sumKeyName,
    Joi.alternatives(
      sumScalar,
      Joi.array().items(Joi.object().pattern(sumKeyName, sumScalar).max(20)).max(500),
    ),
  )
  .max(60)
const sumKnown = Joi.object()
  .pattern(
    /^[a-z][A-Za-z0-9]{0,39}(\.\d{1,3}\.[a-z][A-Za-z0-9]{0,39})?$/,
    Joi.boolean().valid(true),
  )
  .max(500)
const sumFilled = Joi.object()
  .pattern(/^[a-z][A-Za-z0-9]{0,39}(\.\d{1,3}\.[a-z][A-Za-z0-9]{0,39})?$/, sumScalar)
  .max(100)
const keptLines = Joi.array()
  .items(
    Joi.object({
      kind: Joi.string().valid('size', 'setting', 'note').required(),
      what: Joi.string().min(1).max(300).required(),
      value: Joi.string().max(300).allow('').required(),
    }),
  )
  .max(60)
const madeRows = Joi.object()
  .pattern(
    /^[A-Za-z0-9 .-]{1,60}$/,
    Joi.object({
      entity: Joi.string().valid('part', 'step', 'bringLine', 'stock', 'asBuiltLine').required(),
      id: idSchema.required(),
    }),
  )
  .max(200)

/** Schemas of records, by kind of row and field. */
export const recordSchemas: Partial<Record<EntityName, Readonly<Record<string, Joi.Schema>>>> = {
  refit: { monthMeanC: months(-40, 50), workableShare: months(0.05, 1) },
  place: {
    liftWeekdays: weekdays,
    shutWeekdays: weekdays,
    monthMeanC: months(-40, 50).allow(null),
    noLifts,
  },
  option: { steps: draftSteps, parts: draftParts },
  tradeBooking: { comesOn: weekdays },
  lineWant: { asOrdered },
  forecast: { hours: forecastHours },
  tideStation: { constituents, turns },
  liftSheet: { chart: craneChart },
  zone: { shape: zoneShape },
  panel: { outline, fittings },
  coreMap: { cells },
  countSheet: { bays },
  picture: { marks: pictureMarks },
  recipe: { body: recipeSchema },
  keptSum: {
    inputs: sumValues,
    known: sumKnown,
    filled: sumFilled,
    asBuilt: keptLines,
    made: madeRows,
  },
  job: { recipeInputs, inputSources },
  step: { recipeMade: asMade },
  part: { recipeMade: asMade },
  plan: { result: plan },
  odds: { result: oddsSchema },
  weekSnapshot: { figures },
}
