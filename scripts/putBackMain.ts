/** The body of `npm run put-back`, which needs the packages. */
import { closeStore, folderName } from '../server/db/store'
import { listCopies, putBack } from '../server/services/copies'
import { Trouble } from '../server/services/trouble'

const say = (text: string): boolean => process.stdout.write(`${text}\n`)

/** Lists the copies, or puts one back. Gives the exit code. */
export async function putBackMain(name: string | undefined): Promise<number> {
  try {
    if (name === undefined) {
      const copies = listCopies()
      say(
        copies.length === 0
          ? `There are no copies in ${folderName()}.`
          : `Copies in ${folderName()}, newest first. Put one back: npm run put-back -- NAME\n`,
      )
      for (const copy of copies) say(`  ${copy.name}  ${(copy.bytes / 1e6).toFixed(1)} MB`)
      return 0
    }
    await putBack(name)
    say(`${name} is in place. What was there before is kept in ${folderName()}.`)
    return 0
  } catch (error) {
    if (!(error instanceof Trouble)) throw error
    process.stderr.write(`${error.message}\n`)
    return 1
  } finally {
    await closeStore()
  }
}
