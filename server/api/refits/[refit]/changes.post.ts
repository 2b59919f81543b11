import { changeSchema } from '#shared/schemas/changeSchema'
import { handle } from '../../../http/handle'
import { pathId, readInput } from '../../../http/input'
import { passDoor } from '../../../services/changeDoor'

export default handle(async (event) => {
  const change = await readInput(event, changeSchema)
  return passDoor(pathId(event, 'refit'), change)
})
