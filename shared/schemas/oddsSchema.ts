/** Shape of what runs of the plan said. */
import Joi from 'joi'
import { doubtKinds } from '#core/model/odds'

const share = Joi.number().min(0).max(1).required()
const day = Joi.number().integer().min(-1e6).max(1e6).required()
const id = Joi.string().min(1).max(200).required()
const minor = Joi.number().integer().min(-1e13).max(1e13).required()

const gate = Joi.object({
  gateId: id,
  days: Joi.array()
    .items(Joi.array().ordered(day, Joi.number().integer().min(1).max(1e6).required()).length(2))
    .max(6000)
    .required(),
  never: Joi.number().integer().min(0).max(1e6).required(),
  ghostIn: Joi.number().min(0).max(1e5).allow(null).required(),
})

const doubt = Joi.object({
  kind: Joi.string()
    .valid(...doubtKinds)
    .required(),
  of: Joi.string().allow('').max(300).required(),
  ofCost: share,
  ofDays: share,
})

const lift = Joi.object({
  haulOutId: id,
  dates: Joi.array()
    .items(
      Joi.object({
        day,
        ready: Joi.number().min(0).max(100).required(),
        extraMinor: minor.allow(null),
        freeUntil: day,
        lastBefore: Joi.string().allow('').max(200).required(),
      }),
    )
    .max(40)
    .required(),
  bestDay: day.allow(null),
  all: Joi.array()
    .items(
      Joi.array()
        .ordered(
          day,
          Joi.number().min(0).max(100).required(),
          minor.allow(null),
          Joi.array().ordered(minor, minor, minor, day).length(4).optional(),
        )
        .min(3),
    )
    .max(600)
    .optional(),
})

export const oddsSchema = Joi.object({
  runs: Joi.number().integer().min(1).max(1e6).required(),
  gates: Joi.array().items(gate).max(500).required(),
  cost: Joi.object({
    likelyMinor: minor,
    reserveMinor: minor,
    at: Joi.object({ p10: minor, p25: minor, p50: minor, p75: minor, p80: minor, p90: minor }),
    beyondReserve: share,
  }).required(),
  onChain: Joi.object().pattern(Joi.string().max(200), Joi.number().min(0).max(1)).max(12_000),
  next: Joi.object({ gateId: id, halfDays: Joi.number().min(0).max(1e5).allow(null) })
    .allow(null)
    .required(),
  doubts: Joi.array().items(doubt).max(200).required(),
  lifts: Joi.array().items(lift).max(100).required(),
}).prefs({ presence: 'required' })
