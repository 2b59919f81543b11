import type { ChangeItem } from '../model/changes'
import type { Result } from '../result'

/** A list of changes to send, and what to say of it. */
interface Edit {
  readonly items: readonly ChangeItem[]
  readonly said: string
}
export type Outcome = Result<Edit>
