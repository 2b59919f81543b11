import { handle } from '../../http/handle'
import { listCopies, missedCopy } from '../../services/copies'

export default handle(() => ({ copies: listCopies(), missed: missedCopy() }))
