import { log } from '../services/log'
import { listRefits } from '../services/refits'
import { seedDemo } from '../services/seedDemo'

/** A demo data folder is filled on its first start. */
export default defineNitroPlugin(async () => {
  if (process.env.INCH_AHEAD_SEED !== 'demo' || (await listRefits()).length > 0) return
  log.info(await seedDemo(), 'the demo was put in')
})
