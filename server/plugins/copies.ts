import { hourMs } from '#core/time/civil'
import { dailyCopy } from '../services/copies'
import { log } from '../services/log'

/** Asks every hour whether today's copy of the database is there yet. */
export default defineNitroPlugin((nitro) => {
  const copy = () =>
    dailyCopy().catch((error: unknown) => log.error({ error }, 'the daily copy failed'))
  const timer = setInterval(() => void copy(), hourMs)
  timer.unref()
  nitro.hooks.hook('close', () => clearInterval(timer))
})
