/** Plans beside the page. */
import { expose } from 'comlink'
import { live } from './life'
import { makePlanner } from './plannerWork'

expose(makePlanner())
live()
