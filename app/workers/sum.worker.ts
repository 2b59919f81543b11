/** Searches beside the page. */
import { expose } from 'comlink'
import { live } from './life'
import { searcher } from './sumWork'

expose(searcher)
live()
