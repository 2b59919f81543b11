import { handle } from '../../../http/handle'
import { pathId } from '../../../http/input'
import { missingFilesOf } from '../../../services/refitFile'

/** Pictures and documents that the refit names and the data folder does not hold. */
export default handle((event) => missingFilesOf(pathId(event, 'refit')))
