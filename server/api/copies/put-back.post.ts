import Joi from 'joi'
import { handle } from '../../http/handle'
import { readInput } from '../../http/input'
import { putBack } from '../../services/copies'

const schema = Joi.object<{ name: string }>({
  name: Joi.string().max(200).required().messages({ 'any.required': 'Say which copy.' }),
})

export default handle(async (event) => putBack((await readInput(event, schema, 10_000)).name))
