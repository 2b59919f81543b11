import { hourMs } from '#core/time/civil'
import { closeStore, database } from '../db/store'
import { alone } from '../services/alone'
import { dailyCopy, startCopy } from '../services/copies'
import { clearParts } from '../services/dataFolder'
import { clearIncoming } from '../services/incoming'
import { log } from '../services/log'
import { listRefits } from '../services/refits'
import { seedDemo } from '../services/seedDemo'
import { Trouble } from '../services/trouble'

/** How long to wait before a folder that could not be opened is tried again, ms. */
const againMs = 5_000

let said = ''
/** For the person at the terminal: a sentence, once, not a line of the log every few seconds. */
function sayOnce(message: string): void {
  if (message !== said) process.stderr.write(`\n  ${message}\n\n`)
  said = message
}

/** True once the data folder is open, filled and copied; says what is wrong when it is not. */
async function opened(): Promise<boolean> {
  try {
    await database()
    clearIncoming()
    clearParts()
    const holds = (await listRefits()).length > 0
    if (process.env.INCH_AHEAD_SEED === 'demo' && !holds)
      log.info(await seedDemo(), 'the demo was put in')
    if (holds) await startCopy()
    return true
  } catch (error) {
    if (!(error instanceof Trouble)) throw error
    sayOnce(error.message)
    // Two on one folder would overwrite each other: this one goes.
    if (error.problem.code === 'folderTaken') process.exit(1)
    return false
  }
}

/**
 * Ends at once when told to: changes that were let in are written, and the file is whole by itself. Requests on
 * their way get no answer; their senders send them again.
 */
function endWhenTold(): void {
  // Nitro's own way waits for idle connections, of which an open stream of events is none.
  process.env.NITRO_SHUTDOWN_DISABLED = 'true'
  for (const signal of ['SIGINT', 'SIGTERM'] as const)
    process.once(signal, () => {
      alone(closeStore).then(
        () => process.exit(0),
        (error: unknown) => {
          log.error({ err: error }, 'the database could not be closed')
          process.exit(1)
        },
      )
    })
}

/** Opens the data folder, trying again until it can; then asks every hour whether today's copy is there yet. */
export default defineNitroPlugin(() => {
  endWhenTold()
  let ready = false
  let trying = false
  const failed = (error: unknown) =>
    log.error({ err: error }, 'housekeeping of the data folder failed')
  const tend = async () => {
    if (trying) return
    trying = true
    try {
      if (ready) await dailyCopy()
      else ready = await opened()
    } finally {
      trying = false
    }
  }
  const openTimer = setInterval(() => {
    if (ready) clearInterval(openTimer)
    else tend().catch(failed)
  }, againMs)
  const copyTimer = setInterval(() => void tend().catch(failed), hourMs)
  openTimer.unref()
  copyTimer.unref()
  tend()
    .then(() => tend())
    .catch(failed)
})
