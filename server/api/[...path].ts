import { handle } from '../http/handle'
import { problem } from '#shared/problems'
import { Trouble } from '../services/trouble'

/** Whatever no route is for, whatever the method. */
export default handle(() => {
  throw new Trouble(404, problem('notFound', 'There is nothing at that address.'))
})
