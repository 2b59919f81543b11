import type { ChangeItem } from '../model/changes'

/** A change list to send, or a sentence that says why there is none. */
export type Outcome =
  | { readonly ok: true; readonly items: readonly ChangeItem[]; readonly said: string }
  | { readonly ok: false; readonly message: string }

export const refused = (message: string): Outcome => ({ ok: false, message })
