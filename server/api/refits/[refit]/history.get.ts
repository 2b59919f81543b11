import { handle } from '../../../http/handle'
import { pathId } from '../../../http/input'
import { historyOf } from '../../../services/refits'

export default handle((event) => historyOf(pathId(event, 'refit')))
