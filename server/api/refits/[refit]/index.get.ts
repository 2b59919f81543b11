import { handle } from '../../../http/handle'
import { pathId } from '../../../http/input'
import { wholeRefit } from '../../../services/refits'

export default handle((event) => wholeRefit(pathId(event, 'refit')))
