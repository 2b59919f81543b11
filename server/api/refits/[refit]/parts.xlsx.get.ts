import { partTable } from '#core/exchange/partTable'
import { sendWorkbook } from '../../../http/sendTable'

export default sendWorkbook('parts.xlsx', 'Parts', partTable)
