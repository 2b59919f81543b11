import { partTable } from '#core/exchange/partTable'
import { sendTable } from '../../../http/sendTable'

export default sendTable('parts.csv', partTable)
