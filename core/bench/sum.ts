/** One sum of the bench: what it asks, how it works it out, and what may be made of the answer. */
import type { StripSearch } from '../cutting/strip'
import type { ClockKind, Operation, WaitKind } from '../model/words'
import type { Result } from '../result'
import type { UnitSystem } from '../units/length'
import { formatMoney } from '../money/money'
import { formatQuantity } from '../units/quantity'
import type { Ask, LineValues, Values, ValuesOf } from './ask'
import type { Drawing } from './drawing'
import type { Prepared } from './prepared'

/** By what is in the hand. */
export type PocketKey =
  | 'resin'
  | 'holes'
  | 'layout'
  | 'cutting'
  | 'electrics'
  | 'hull'
  | 'structure'

export interface Figure {
  readonly label: string
  readonly value: string
  /** What it hangs on, or what to do with it. */
  readonly note?: string
  /** 'short': it is not enough, or past a limit. */
  readonly tone?: 'good' | 'short'
}
/** Something to be looked at before going on: fine, still to look at, or a stop. */
export interface Check {
  readonly text: string
  readonly detail: string
  readonly state: 'fine' | 'look' | 'stop'
}
export interface Table {
  readonly caption: string
  readonly head: readonly string[]
  readonly rows: readonly (readonly string[])[]
}

/** What an answer can put on a job; `key` tells lines of one answer apart. */
export type Put =
  | {
      readonly is: 'part'
      readonly key: string
      readonly name: string
      readonly quantity: number
      readonly unit: string
      readonly pack?: number
      readonly specification?: string
    }
  | {
      readonly is: 'step'
      readonly key: string
      readonly title: string
      readonly operation: Operation
      readonly hours: number
      readonly wait?: {
        readonly kind: Exclude<WaitKind, 'none'>
        readonly hours: number
        readonly minC?: number
      }
      readonly caution?: string
      readonly units?: { readonly name: string; readonly count: number }
    }
  | {
      readonly is: 'bring'
      readonly key: string
      readonly what: string
      readonly amount: string
      readonly kind: 'tool' | 'consumable' | 'part'
    }
  | {
      readonly is: 'asBuilt'
      readonly key: string
      readonly kind: 'size' | 'setting' | 'note'
      readonly what: string
      readonly value: string
    }
  /** A piece left over that is stock from now on. */
  | {
      readonly is: 'offcut'
      readonly key: string
      readonly name: string
      readonly size: string
      readonly longMm: number
      readonly wideMm: number
    }
  /** A lot of the shelf that is used up. */
  | {
      readonly is: 'useStock'
      readonly key: string
      readonly stockId: string
      readonly name: string
    }
/** Something that runs from the moment a button is pressed. */
export interface StartClock {
  /** What was done when it is pressed: 'Cup'. */
  readonly what: string
  readonly many: number
  /** From one to the next, minutes. */
  readonly everyMin: number
  /** Minutes that the first one lasts. */
  readonly lastsMin: number
  /** Field with the hour of the day at which the first is begun: a late one moves the rest. */
  readonly startField: string
  readonly size: string
  /** Where it is worked, °C: the clock's first reading. */
  readonly tempC: number
  readonly kind: ClockKind
  readonly closesH?: number
  readonly opensH?: number
  readonly refC: number
  readonly massG?: number
  readonly refMassG?: number
}

export interface Answer {
  /** In few words, for lists and for comparing guesses: 'M12 × 65, 7'. */
  readonly says: string
  /** What is taken or bought of it, where that goes by steps: the same for guesses that do not matter. */
  readonly takes?: string
  /** The sentence over the page, after the title. */
  readonly heading: string
  /** 'stop': not to be done as it stands; nothing can be put on a job. */
  readonly verdict: 'go' | 'look' | 'stop'
  readonly figures: readonly Figure[]
  readonly checks?: readonly Check[]
  readonly working: readonly string[]
  readonly distrust: readonly string[]
  readonly cautions: readonly string[]
  readonly drawing: Drawing | null
  readonly table?: Table
  readonly puts: readonly Put[]
  readonly starts?: StartClock
  /** Of a search: of two answers the one with less is the better. */
  readonly score?: number
}

/** What a sum is worked with besides what is typed. */
export interface Tools {
  readonly units: UnitSystem
  /** An amount in the units of the refit. */
  readonly say: (value: number, unit: string) => string
  /** A sum of money in the refit's currency, from its minor units. */
  readonly money: (minor: number) => string
  /** For searches that are never done: each has its share of the time, 0 to 1. */
  readonly search: { readonly part: (share: number) => StripSearch }
}

/** What a recipe's job knows already, by key of the sum. */
export interface WantedBy {
  readonly recipe: string
  /** Keys of the recipe's steps that rest on this sum, the first open one counts. */
  readonly steps: readonly string[]
  /** Key of the sum → name of an input or value of the recipe, or a number or word that holds there. */
  readonly fill: Readonly<Record<string, string | { readonly is: number | string }>>
  /** Names that are several of the recipe's added up. */
  readonly adds?: Readonly<Record<string, readonly string[]>>
  /** Lists of which only so many lines are the job's: the sum's own examples go. */
  readonly takes?: Readonly<Record<string, number>>
  /** Another unit in the recipe: value of the recipe × this, by key of the sum. */
  readonly times?: Readonly<Record<string, number>>
}

/** A piece left over, of which there is one at least. */
export interface ShelfLot {
  readonly id: string
  readonly name: string
  readonly longMm: number
  /** Null: a length of bar, hose or cable. */
  readonly wideMm: number | null
  readonly where: string
}

/** The air as the program's one weather has it. */
export interface AirNow {
  readonly airC: number
  /** Null: no forecast says. */
  readonly dewC: number | null
  readonly deckC: number
  /** Wall-clock minutes of the day. */
  readonly minute: number
  /** Air a few hours on, °C an hour: how fast it warms. */
  readonly warmingC: number
}

/** Steps written by hand that rest on a sum: by what is done, and by words of their name where that is not enough. */
interface WantedAt {
  readonly operations: readonly Operation[]
  readonly words?: RegExp
}

/** A list that is kept for the whole boat: the next job begins with what stands on it. */
interface Grows {
  /** Key of the list. */
  readonly list: string
  /** A line of the answer kept last, as the next job finds it. */
  readonly carried: (line: LineValues, answer: Answer | null) => LineValues
  /** Fields beside the list that hold for all of it. */
  readonly keeps: readonly string[]
}

/** Another sum about the same thing, shown beside this one; beside.ts works it. */
export interface Beside {
  /** Key of the other sum. */
  readonly sum: string
  /** What it has of this one's figures, always. */
  readonly gives: Values
  /** What it begins with besides, until an answer is kept. */
  readonly begins?: Values
  /** With these it has an answer worth reading; absent: only when the job says its figures, or an answer is kept. */
  readonly isEnough?: true
}

export interface Sum {
  /** Letters, digits and dashes; its address. */
  readonly key: string
  readonly title: string
  readonly pocket: PocketKey
  /** What it answers and when to use it. */
  readonly about: string
  /** More words under which somebody looks for it. */
  readonly words: string
  readonly source: string
  readonly asks: readonly Ask[]
  /** A search: a first answer at once, a better one from a worker. */
  readonly isSearch: boolean
  readonly wantedBy: readonly WantedBy[]
  readonly wantedAt?: WantedAt
  /** What the air of now says of its fields. */
  readonly now?: (air: AirNow) => Values
  /** Steps that are ready for resin, as its fields have them. */
  readonly prepared?: (steps: readonly Prepared[]) => Values
  /** What lies on the shelf, as its fields have it. */
  readonly shelf?: (lots: readonly ShelfLot[]) => Values
  /** Its drawing wants the whole width. */
  readonly isWide: boolean
  readonly grows?: Grows
  /** Precondition: `problemsIn` finds nothing. */
  readonly beside?: (values: Values) => readonly Beside[]
  /** Precondition: `problemsIn` finds nothing. */
  readonly work: (values: Values, tools: Tools) => Result<Answer>
}

type Given<Asks extends readonly Ask[]> = Omit<
  Sum,
  'work' | 'asks' | 'isSearch' | 'wantedBy' | 'isWide' | 'beside'
> & {
  readonly asks: Asks
  readonly isSearch?: boolean
  readonly isWide?: boolean
  readonly wantedBy?: readonly WantedBy[]
  readonly beside?: (values: ValuesOf<Asks>) => readonly Beside[]
  readonly work: (values: ValuesOf<Asks>, tools: Tools) => Result<Answer>
}

/** A sum whose work reads what it asks by name and type. */
export const sum = <const Asks extends readonly Ask[]>(given: Given<Asks>): Sum => ({
  isSearch: false,
  isWide: false,
  wantedBy: [],
  ...given,
  beside: given.beside as unknown as Sum['beside'],
  work: given.work as unknown as Sum['work'],
})

/** Tools for a sum that searches nothing. */
export const plainTools = (units: UnitSystem, currency = 'EUR'): Tools => ({
  units,
  say: (value, unit) => formatQuantity(value, unit, units),
  money: (minor) => formatMoney(Math.round(minor), currency),
  search: { part: () => ({ isOver: () => true, random: () => 0.5 }) },
})
