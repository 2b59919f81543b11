import Joi from 'joi'
import type { ProblemFile } from '#core/plan/schedule/kernel/readProblem'

const time = Joi.number().integer().min(-1e9).max(1e9)
const amount = Joi.number().integer().min(0).max(1e9)
const id = Joi.string().min(1).max(200)
const demands = Joi.object().pattern(Joi.string(), amount)

/** Most of anything in one problem file. */
const most = 20_000

/** A problem file for `npm run solve`: its shape; whether its parts fit together is seen by `readProblem`. */
export const problemSchema = Joi.object<ProblemFile>({
  horizon: amount.allow(null),
  resources: Joi.array()
    .max(most)
    .items(
      Joi.object({
        id: id.required(),
        capacity: amount,
        profile: Joi.array().items(
          Joi.array().ordered(time.required(), time.required(), amount.required()),
        ),
      }).xor('capacity', 'profile'),
    )
    .default([]),
  activities: Joi.array()
    .max(most)
    .items(
      Joi.object({
        id: id.required(),
        duration: amount,
        demands: demands.default({}),
        windows: Joi.array()
          .items(Joi.array().ordered(time.required(), time.required()))
          .allow(null),
        splittable: Joi.boolean(),
        weight: Joi.number().min(0),
        modes: Joi.array()
          .min(1)
          .items(Joi.object({ id, duration: amount.required(), demands: demands.default({}) })),
      }).or('duration', 'modes'),
    )
    .required(),
  arcs: Joi.array()
    .items(
      Joi.object({
        from: id.required(),
        to: id.required(),
        minLag: time.allow(null),
        maxLag: time.allow(null),
        earliestAfter: Joi.array()
          .min(1)
          .items(Joi.array().ordered(time.required(), time.required())),
      }),
    )
    .default([]),
  deadlines: Joi.array()
    .items(
      Joi.object({ activity: id.required(), at: time.required(), weight: Joi.number().min(0) }),
    )
    .default([]),
})
  .required()
  .prefs({ convert: false })
