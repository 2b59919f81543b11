import Joi from 'joi'
import { idSchema } from '#shared/schemas/idSchema'
import { handle } from '../../../http/handle'
import { pathId, readInput } from '../../../http/input'
import { undoLast } from '../../../services/undo'
import type { UndoWish } from '../../../services/undo'

const schema = Joi.object<UndoWish>({
  changeId: idSchema.required(),
  deviceId: idSchema.required(),
  personId: idSchema.allow(null).default(null),
  force: Joi.boolean().default(false),
})

export default handle(async (event) =>
  undoLast(pathId(event, 'refit'), await readInput(event, schema)),
)
