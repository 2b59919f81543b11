import { handle } from '../http/handle'
import { seedDemo } from '../services/seedDemo'

export default handle(() => seedDemo())
