import { handle } from '../http/handle'
import { clockForClients } from '../services/clock'

export default handle(() => clockForClients())
