import { handle } from '../../http/handle'
import { listCopies } from '../../services/copies'

export default handle(() => listCopies())
