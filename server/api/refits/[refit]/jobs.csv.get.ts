import { jobTable } from '#core/exchange/jobTable'
import { sendTable } from '../../../http/sendTable'

export default sendTable('jobs.csv', jobTable)
