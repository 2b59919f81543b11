import type { Fields } from './field'

/** What holds of a kind of row as a whole. */
interface Traits {
  /** A plan depends on its rows: when one changes, the plan is laid anew. */
  readonly planInput?: true
  /** The program works it out by itself: kept, but neither journalled nor sent to everybody. */
  readonly computed?: true
}

/** A kind of row: its name in sentences, its fields, and what holds of it as a whole. */
export interface Kind<F extends Fields = Fields> extends Traits {
  readonly word: string
  readonly fields: F
}
export type FieldsOf<K> = K extends Kind<infer F> ? F : never

export const kind = <const F extends Fields>(
  word: string,
  fields: F,
  traits: Traits = {},
): Kind<F> => ({
  word,
  fields,
  ...traits,
})
