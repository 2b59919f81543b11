/**
 * The vocabulary in which every entity of a refit is described once. From one description follow
 * the TypeScript row type (here), the border check (shared/), the table (server/) and the refit file.
 */
export type FieldKind =
  | 'text'
  | 'choice'
  | 'choices'
  | 'integer'
  | 'real'
  | 'flag'
  | 'date'
  | 'instant'
  | 'clockTime'
  | 'ref'
  | 'refs'
  | 'record'

/**
 * Units of numbers in rows. 'm': a length of the boat; 'h': hours of work, a day being eight; 'hRound': hours round
 * the clock; 'minor': money in minor units; 'inch': of the Tape.
 */
type Unit =
  | 'm'
  | 'mm'
  | 'L'
  | 't'
  | 'g'
  | '°C'
  | '°'
  | 'h'
  | 'hRound'
  | 'min'
  | 'minor'
  | 'inch'
  | 'px'
  | 'B'

/** The row goes with it; it holds it, and the removal is refused; or it goes when a field of its own has a value. */
export type OnDelete = 'goes' | 'holds' | { readonly goesWhen: string; readonly is: string }

/** Folders of kept files. */
export type KeptKind = 'pictures' | 'documents'

/** One field: its kind, its accepted range and the words a person reads when it is wrong. */
export interface Field<Value> {
  readonly kind: FieldKind
  /** Name in the words of the trade, as shown beside the input. */
  readonly label: string
  /** Text: most characters. Number: largest value, in the unit named by the field. */
  readonly max?: number
  /** Number: smallest value. Text: fewest characters. */
  readonly min?: number
  /** Text: the form it must have. */
  readonly pattern?: RegExp
  /** Admissible words of a choice. */
  readonly options?: readonly string[]
  /** Words of a choice as people read them, where that is not the word itself. */
  readonly said?: Readonly<Record<string, string>>
  /** What a number counts, as core keeps it: how it is typed and shown follows from it. */
  readonly unit?: Unit
  /** Entity a reference points to. */
  readonly to?: string
  /** States: what each may become; absent: any may follow any. Undo goes back all the same. */
  readonly moves?: Readonly<Record<string, readonly string[]>>
  /** True when the field may be null: nothing is known or it does not apply. */
  readonly nullable: boolean
  /** What becomes of a row when that to which it points is taken away. Absent: it lets go. */
  readonly onDelete?: OnDelete
  /** A copy of that to which it points takes a copy of this row along. */
  readonly copied?: true
  /** A copied row begins with the initial value again. */
  readonly fresh?: true
  /** Kept beside the plan: neither a plan nor a forecast reads it, and both stand when it changes. */
  readonly aside?: true
  /** The server alone sets it; a row brought in whole may have it. */
  readonly byServer?: true
  /** Folder of the kept file that it names. */
  readonly folder?: KeptKind
  /** Value of a row that is made without the field. Absent: the field must be given. */
  readonly initial?: Value
}

interface Range {
  readonly min?: number
  readonly max?: number
  readonly unit?: Unit
}

const plain = <Value>(
  kind: FieldKind,
  label: string,
  more: Partial<Field<Value>> = {},
): Field<Value> => ({ kind, label, nullable: false, ...more })

/** A line of text, trimmed, 1 to `max` characters. Marks such as < and & are kept as text. */
export const text = (label: string, max = 200): Field<string> =>
  plain('text', label, { min: 1, max })
/** Text that may be empty, '' when nothing is written. */
export const note = (label: string, max = 20_000): Field<string> =>
  plain('text', label, { min: 0, max, initial: '' })
/** SHA-256 of a kept file, 64 hex digits, which is also its name in the data folder. */
export const fileHash = (label: string, folder: KeptKind): Field<string> =>
  plain('text', label, { min: 1, max: 64, pattern: /^[0-9a-f]{64}$/, folder })
const saying = (said?: Readonly<Partial<Record<string, string>>>): Pick<Field<never>, 'said'> =>
  said ? { said: said as Readonly<Record<string, string>> } : {}
/** One word of a closed list. */
export const choice = <const Options extends readonly string[]>(
  label: string,
  options: Options,
  initial?: Options[number],
  said?: Partial<Record<Options[number], string>>,
): Field<Options[number]> => plain('choice', label, { options, initial, ...saying(said) })
/** The state of something, with what each state may become. */
export const states = <const Options extends readonly string[]>(
  options: Options,
  initial: Options[number],
  moves: Readonly<Record<Options[number], readonly Options[number][]>>,
  said?: Partial<Record<Options[number], string>>,
): Field<Options[number]> => plain('choice', 'State', { options, initial, moves, ...saying(said) })
/** Any number of words of a closed list, none twice. */
export const choices = <const Options extends readonly string[]>(
  label: string,
  options: Options,
  initial: Options[number][] = [],
): Field<Options[number][]> => plain('choices', label, { options, initial })
/** A whole number inside a range. */
export const integer = (label: string, range: Range, initial?: number): Field<number> =>
  plain('integer', label, { ...range, initial })
/** A finite number inside a range, in the unit its name carries. */
export const real = (label: string, range: Range, initial?: number): Field<number> =>
  plain('real', label, { ...range, initial })
export const flag = (label: string, initial: boolean): Field<boolean> =>
  plain('flag', label, { initial })
/** A civil date of the yard's zone, 'YYYY-MM-DD'. */
export const date = (label: string): Field<string> => plain('date', label)
/** Milliseconds since the UTC epoch. */
export const instant = (label: string): Field<number> => plain('instant', label)
/** Wall-clock time of the yard's zone, 'HH:MM', 24-hour. */
export const clockTime = (label: string, initial?: string): Field<string> =>
  plain('clockTime', label, { initial })
export const ref = (
  label: string,
  to: string,
  more: Pick<Field<string>, 'onDelete' | 'copied'> = {},
): Field<string> => plain('ref', label, { to, ...more })
export const refs = (label: string, to: string): Field<string[]> =>
  plain('refs', label, { to, initial: [] })
/** A computed record kept whole (an accepted plan, a weekly snapshot); its shape is checked by its own reader. */
export const record = <Value>(label: string, initial?: Value): Field<Value> =>
  plain('record', label, { initial })

/** The same field, allowed to be null and null unless given. */
export const maybe = <Value>(field: Field<Value>): Field<Value | null> => ({
  ...field,
  nullable: true,
  initial: null,
})

/** The same field, begun again in a copy of its row. */
export const fresh = <Value>(field: Field<Value>): Field<Value> => ({ ...field, fresh: true })
/** The same field, which neither a plan nor a forecast reads. */
export const aside = <Value>(field: Field<Value>): Field<Value> => ({ ...field, aside: true })
/** The same field, set by the server alone. */
export const byServer = <Value>(field: Field<Value>): Field<Value> => ({ ...field, byServer: true })

export type Fields = Record<string, Field<unknown>>
type ValueOf<F> = F extends Field<infer Value> ? Value : never

/** What the change door adds to every row. */
interface RowBase {
  /** Made by the client (UUID); unique within its refit. */
  readonly id: string
  /** Counts the changes to this row, from 1; a patch names the version it was based on. */
  readonly version: number
}
export type RowOf<F extends Fields> = RowBase & { readonly [K in keyof F]: ValueOf<F[K]> }
export type PatchOf<F extends Fields> = { readonly [K in keyof F]?: ValueOf<F[K]> }
