/** What went wrong with the disk or the database, as a sentence that says what stands and what to do. */
import { problem } from '#shared/problems'
import { Trouble } from '../services/trouble'

const unavailable = (code: string, message: string): Trouble =>
  new Trouble(503, problem(code, message))

/** Codes of SQLite and of the system, wherever a wrapper put them. */
function codesOf(error: unknown): string {
  const codes: string[] = []
  for (let at: unknown = error; at instanceof Error; at = at.cause) {
    codes.push(at.message, String((at as { code?: unknown }).code ?? ''))
    const inner = (at as { original?: unknown }).original
    if (inner instanceof Error)
      codes.push(inner.message, String((inner as { code?: unknown }).code ?? ''))
  }
  return codes.join(' ')
}

const putBack =
  'Put back one of the copies, on this page or by `npm run put-back`. What came after the copy is not in it.'

/** Sentences by what the codes say; the first that fits. `folder` is where the data lie. */
const cases: readonly (readonly [RegExp, string, (folder: string) => string])[] = [
  [
    /SQLITE_FULL|ENOSPC|EDQUOT|disk is full/,
    'diskFull',
    (folder) =>
      `The disk with ${folder} is full. Nothing of this was saved; all from before stands. Make room and try again.`,
  ],
  [
    /SQLITE_CORRUPT|SQLITE_NOTADB|malformed|not a database/,
    'storeDamaged',
    (folder) => `The database in ${folder} is damaged and was left as it is. ${putBack}`,
  ],
  [
    /SQLITE_READONLY|SQLITE_CANTOPEN|SQLITE_PERM|EACCES|EROFS|EPERM|unable to open/,
    'folderShut',
    (folder) =>
      `The folder ${folder} cannot be written. Nothing of this was saved; all from before stands. Make the folder and the files in it writable, and try again: no restart is needed.`,
  ],
  [
    /SQLITE_IOERR|EIO/,
    'diskFailed',
    (folder) =>
      `The disk with ${folder} does not answer as it should. Nothing of this was saved. Check the disk, and keep the folder copies in it safe.`,
  ],
  [
    /SQLITE_MISUSE|[Dd]atabase is closed|handle is closed/,
    'storeBusy',
    () => 'The database is being put back or closed just now. Try again.',
  ],
  [
    /SQLITE_BUSY|database is locked/,
    'storeBusy',
    (folder) =>
      `Another program holds the database in ${folder}. Nothing of this was saved. Close the other program and try again.`,
  ],
]

/** The trouble behind an error of the store, or null when it is of another kind. */
export function storeTrouble(error: unknown, folder: string): Trouble | null {
  const codes = codesOf(error)
  const found = cases.find(([pattern]) => pattern.test(codes))
  return found ? unavailable(found[1], found[2](folder)) : null
}

/** The database is not where it was. */
export const storeGone = (folder: string, empty: boolean): Trouble =>
  unavailable(
    empty ? 'storeEmpty' : 'storeMissing',
    `${folder} held a refit, but its database ${empty ? 'is empty' : 'is not there any more'}. ${putBack} To begin anew instead, take another folder (INCH_AHEAD_DATA).`,
  )

/** Another process has the folder. */
export const folderTaken = (folder: string): Trouble =>
  unavailable(
    'folderTaken',
    `Another Inch Ahead has ${folder} open. Use that one, or end it first: two at once would overwrite each other.`,
  )
