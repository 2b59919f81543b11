import Joi from 'joi'
import { handle } from '../../../http/handle'
import { pathId, readQuery } from '../../../http/input'
import { caughtUp } from '../../../services/refits'

const sentence = 'After ?since= comes the number of a change.'
const schema = Joi.object<{ since: number; epoch: string | null }>({
  since: Joi.number().integer().min(0).required().messages({
    'any.required': 'Say since which change: ?since=0.',
    'number.base': sentence,
    'number.integer': sentence,
    'number.min': sentence,
    'number.unsafe': sentence,
  }),
  epoch: Joi.string().max(64).default(null),
})

/** Catching up: rows touched after `?since=`, as they are now; no rows when the refit has to be read anew. */
export default handle((event) => {
  const { since, epoch } = readQuery(event, schema)
  return caughtUp(pathId(event, 'refit'), since, epoch)
})
