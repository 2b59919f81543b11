import { handle } from '../../../http/handle'
import { pathId } from '../../../http/input'
import { removeRefit } from '../../../services/removeRefit'

export default handle((event) => removeRefit(pathId(event, 'refit')))
