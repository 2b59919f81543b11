import { handle } from '../../../http/handle'
import { pathId } from '../../../http/input'
import { elsewhereOf } from '../../../services/elsewhere'

/** People of the refit who are in other refits of the folder too, with their days there. */
export default handle((event) => elsewhereOf(pathId(event, 'refit')))
