import { handle } from '../http/handle'
import { clockForClients } from '../services/clock'
import { lastChangeAt } from '../services/lastChange'

export default handle(async () => ({ ...clockForClients(), lastChangeAt: await lastChangeAt() }))
