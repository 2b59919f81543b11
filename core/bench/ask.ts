/** What a sum of the bench asks for, described once: its field, its check and the type its work reads follow from it. */

/** Asked for only where a choice is one of these: its key, then its values. */
type OnlyIf = readonly [key: string, ...values: string[]]

/** A number that is measured, counted or guessed. `isRare`, of a line: shown when it is asked for or says something. */
export interface Amount<Key extends string = string> {
  readonly is: 'amount'
  readonly key: Key
  readonly label: string
  /** The metric unit core counts in; '': a plain number. */
  readonly unit: string
  /** Null: nobody can guess it; it has to be typed. */
  readonly initial: number | null
  readonly min: number
  readonly max: number
  readonly whole?: boolean
  /** By how much of itself a guess may be off; absent: a guess is as good as it gets. */
  readonly doubt?: number
  /** Two buttons move it by so much: for what changes while it is worked. */
  readonly nudge?: number
  readonly help?: string
  readonly onlyIf?: OnlyIf
  readonly isRare?: true
}
/** A number that may be left out. */
export interface MaybeAmount<Key extends string = string> extends Omit<Amount<Key>, 'is'> {
  readonly is: 'maybe'
}
export interface Pick<Key extends string = string, Option extends string = string> {
  readonly is: 'pick'
  readonly key: Key
  readonly label: string
  readonly initial: Option
  /** `why`: the reason of a school, shown with it. */
  readonly options: readonly {
    readonly value: Option
    readonly label: string
    readonly why?: string
  }[]
  readonly help?: string
  readonly isRare?: true
}
export interface Words<Key extends string = string> {
  readonly is: 'words'
  readonly key: Key
  readonly label: string
  readonly initial: string
  readonly most: number
  /** Goes along and is not shown. */
  readonly isHidden?: true
  readonly help?: string
  readonly isRare?: true
}
export type Cell = Amount | MaybeAmount | Pick | Words
/** A list of which every line asks the same. */
export interface Lines<Key extends string = string, Of extends readonly Cell[] = readonly Cell[]> {
  readonly is: 'lines'
  readonly key: Key
  readonly label: string
  /** What one line is: 'layer', 'piece'. */
  readonly one: string
  readonly of: Of
  readonly initial: readonly Readonly<Record<string, Scalar>>[]
  readonly most: number
  readonly least?: number
  readonly help?: string
  readonly onlyIf?: OnlyIf
}
export type Ask = Cell | Lines

export type Scalar = number | string | null
export type LineValues = Readonly<Record<string, Scalar>>
export type Value = Scalar | readonly LineValues[]
/** What is typed, by key; anything may still be missing or wrong. */
export type Values = Readonly<Record<string, Value>>

type ValueOf<A> = A extends { readonly is: 'amount' }
  ? number
  : A extends { readonly is: 'maybe' }
    ? number | null
    : A extends Pick<string, infer Option>
      ? Option
      : A extends { readonly is: 'words' }
        ? string
        : A extends Lines<string, infer Of>
          ? readonly ValuesOf<Of>[]
          : never
export type ValuesOf<Asks extends readonly Ask[]> = {
  readonly [A in Asks[number] as A['key']]: ValueOf<A>
}

type More = Partial<Pick_<Amount, 'whole' | 'doubt' | 'nudge' | 'help' | 'onlyIf'>>
type Pick_<T, K extends keyof T> = { readonly [P in K]: T[P] }

/** A number from `min` to `max` in `unit`. */
export const amount = <const Key extends string>(
  key: Key,
  label: string,
  unit: string,
  initial: number | null,
  [min, max]: readonly [number, number],
  more: More = {},
): Amount<Key> => ({ is: 'amount', key, label, unit, initial, min, max, ...more })

/** The same, which may be left out. */
export const maybeAmount = <const Key extends string>(
  key: Key,
  label: string,
  unit: string,
  [min, max]: readonly [number, number],
  more: More & { readonly initial?: number } = {},
): MaybeAmount<Key> => ({ is: 'maybe', key, label, unit, initial: null, min, max, ...more })

/** Pieces, from one. */
export const count = <const Key extends string>(
  key: Key,
  label: string,
  initial: number | null,
  max: number,
  more: More & { readonly min?: number } = {},
): Amount<Key> => ({
  is: 'amount',
  key,
  label,
  unit: 'pieces',
  initial,
  min: more.min ?? 1,
  max,
  whole: true,
  help: more.help,
  onlyIf: more.onlyIf,
})

export const pick = <const Key extends string, const Option extends string>(
  key: Key,
  label: string,
  initial: NoInfer<Option>,
  options: readonly {
    readonly value: Option
    readonly label: string
    readonly why?: string
  }[],
  help?: string,
): Pick<Key, Option> => ({ is: 'pick', key, label, initial, options, help })

export const words = <const Key extends string>(
  key: Key,
  label: string,
  initial = '',
  most = 80,
): Words<Key> => ({ is: 'words', key, label, initial, most })

/** A figure of a line that is seldom wanted: it shows itself when it is asked for, or says something. */
export const rarely = <C extends Cell>(cell: C): C => ({ ...cell, isRare: true })

/** A word that goes along with a line and is not shown. */
export const hidden = <const Key extends string>(key: Key): Words<Key> => ({
  ...words(key, key, '', 80),
  isHidden: true,
})

export const lines = <const Key extends string, const Of extends readonly Cell[]>(
  key: Key,
  label: string,
  one: string,
  of: Of,
  initial: readonly LineValues[],
  more: {
    readonly most?: number
    readonly least?: number
    readonly help?: string
    readonly onlyIf?: OnlyIf
  } = {},
): Lines<Key, Of> => ({ is: 'lines', key, label, one, of, initial, most: 60, ...more })
