import { readBookQuery } from '../../../http/bookQuery'
import { handle } from '../../../http/handle'
import { pathId } from '../../../http/input'
import { bookText } from '../../../services/book'

export default handle((event) => bookText(pathId(event, 'refit'), readBookQuery(event)))
