/** Files for `npm run cut` and `npm run spans`. */
import Joi from 'joi'
import type { SpansAsked } from '#core/layout/exactSpans'

/** Pieces for a roll: w across it, h along it. */
export interface CutFile {
  readonly width: number
  readonly rectangles: readonly {
    readonly id: string | number
    readonly w: number
    readonly h: number
  }[]
}

const size = Joi.number().greater(0).max(1e9)

export const cutSchema = Joi.object<CutFile>({
  width: size.required(),
  rectangles: Joi.array()
    .max(10_000)
    .items(
      Joi.object({
        id: Joi.alternatives(Joi.string().min(1).max(200), Joi.number()).required(),
        w: size.required(),
        h: size.required(),
      }).unknown(true),
    )
    .unique('id')
    .required(),
}).unknown(true)

export const spansSchema = Joi.object<SpansAsked>({
  length: size.required(),
  maxSpan: size.required(),
  keepOuts: Joi.array()
    .max(10_000)
    .items(Joi.array().ordered(Joi.number().required(), Joi.number().required()))
    .default([]),
  grid: size.default(1),
}).unknown(true)
