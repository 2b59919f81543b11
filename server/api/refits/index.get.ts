import { handle } from '../../http/handle'
import { listRefits } from '../../services/refits'

export default handle(() => listRefits())
