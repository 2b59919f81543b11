import { hoursTable } from '#core/exchange/hoursTable'
import { sendTable } from '../../../http/sendTable'

export default sendTable('hours.csv', hoursTable)
