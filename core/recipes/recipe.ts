/** The one shape of a recipe: a few dimensions in, a job's steps, waits, materials, tools and cautions out. */
import type {
  HullNeed,
  LicensedKind,
  Operation,
  PlaceNeed,
  Purpose,
  CureStage,
  Skill,
  SystemKind,
  WaitKind,
  WindowKind,
} from '../model/words'
import type { MixUse } from '../laminate/mixFor'

export const recipeFormat = 'inch-ahead-recipe'
export const recipeVersion = 1

/** Units a dimension, a working value or a material may have. */
export const recipeUnits = [
  'pieces',
  'mm',
  'm',
  'm²',
  'mL',
  'L',
  'g',
  'kg',
  'h',
  'days',
  'months',
  '°',
  '%',
  'µm',
  'g/m²',
  'm²/L',
  'mm²',
  'A',
  'V',
  'times',
  'rolls',
  'cartridges',
  'sheets',
] as const
export type RecipeUnit = (typeof recipeUnits)[number]

/** Drawings that show what to measure. */
export const helpDrawings = [
  'holes',
  'bolt',
  'skinAndCore',
  'overDrill',
  'undercut',
  'footprint',
  'boltPattern',
  'plate',
  'panel',
  'edge',
  'plies',
  'cloth',
  'void',
  'bore',
  'pad',
  'underwater',
  'film',
  'shaft',
  'line',
  'span',
  'bead',
  'section',
  'fillet',
  'frame',
  'angle',
  'count',
  'roll',
  'calendar',
] as const
export type HelpDrawing = (typeof helpDrawings)[number]

/** A dimension that is measured or counted. */
export interface RecipeInput {
  /** Name in formulas: letters and digits, a letter first. */
  readonly key: string
  readonly label: string
  readonly unit: RecipeUnit
  readonly initial: number
  /** Formula over loaM, lwlM, beamM and draughtM: what it is on a boat of these sizes. */
  readonly ofBoat?: string
  readonly min: number
  readonly max: number
  readonly whole?: boolean
  /** The size of a bolt: one of the threads that are known, in mm. */
  readonly thread?: boolean
  /** How to measure it. */
  readonly help: string
  readonly drawing?: HelpDrawing
}

/** How a dimension of a job came about. It holds for that value alone: another one is a guess again. */
export interface InputSource {
  readonly how: 'measured' | 'wanted'
  readonly value: number
  readonly by: string | null
  /** Civil date. */
  readonly on: string
}
export type InputSources = Readonly<Record<string, InputSource>>

/** A point on which practitioners disagree: each side with its reason. */
export interface RecipeChoice {
  readonly key: string
  readonly label: string
  readonly options: readonly {
    readonly value: string
    readonly label: string
    readonly why: string
  }[]
  readonly initial: string
}

/** Something worked out on the way, shown with its formula. */
export interface RecipeValue {
  readonly key: string
  readonly label: string
  readonly unit: RecipeUnit
  readonly formula: string
}

export interface RecipeMaterial {
  /** May hold {names} of inputs and values: "Bolt M{bolt} × {boltLong}". */
  readonly what: string
  readonly unit: RecipeUnit
  /** Formula; what is needed with waste and spares, before rounding to packs. */
  readonly quantity: string
  /** What it is sold in, in `unit`; absent: cut to measure. */
  readonly pack?: number
  /** Mixed epoxy, and what for: it is bought as resin, hardener and powder. */
  readonly mix?: MixUse
  readonly when?: string
}

export interface RecipeWait {
  readonly kind: Exclude<WaitKind, 'none'>
  /** Formula, hours; for chem at 20 °C. */
  readonly hours: string
  /** Nothing cures below it, °C; absent: below the coldest air of its step. */
  readonly minC?: number
}

/** What is counted off at a step. */
interface RecipeCount {
  readonly unit: string
  /** Formula. */
  readonly of: string
  readonly proveOnOne?: boolean
  readonly noNeighbours?: boolean
}

/** What is read at a step, and within which limits it passes. */
interface RecipeRead {
  readonly what: string
  readonly unit: string
  readonly low?: number
  readonly high?: number
  readonly failAt?: number
  readonly source?: string
}

/** A step repeated until it is good enough. */
interface RecipeRounds {
  readonly likely: number
  readonly most: number
  readonly until: string
}

/** One step. Formulas may also use n, the number of the repeat, from 1. */
export interface RecipeStep {
  readonly key: string
  readonly title: string
  readonly operation: Operation
  /** Formula: person-hours, likely, open access. */
  readonly hours: string
  /** Formula of yes or no; absent: always. */
  readonly when?: string
  /** Formula: how often it is done, one step each; absent: once. */
  readonly times?: string
  readonly crew?: readonly [number, number]
  /** Absent: by place and operation. */
  readonly hull?: HullNeed
  /** Comes after the gate: the gate never waits for it. */
  readonly afterGate?: boolean
  readonly place?: PlaceNeed
  readonly skill?: Skill
  /** Absent: as its operation does as a rule. */
  readonly dusty?: boolean
  readonly wet?: boolean
  readonly opens?: boolean
  readonly closes?: boolean
  /** Dry weather or cover. */
  readonly dry?: boolean
  /** Coldest air, °C. */
  readonly minC?: number
  readonly helpers?: boolean
  readonly parallel?: boolean
  readonly licensed?: LicensedKind
  readonly wait?: RecipeWait
  /** Formula: hours after which the bond window to the next step shuts. */
  readonly within?: string
  /** Absent: a coat that has to bond. */
  readonly window?: WindowKind
  /** How far what is before it has to have cured; absent: its whole wait. */
  readonly once?: CureStage
  readonly count?: RecipeCount
  readonly read?: RecipeRead
  readonly rounds?: RecipeRounds
  readonly caution?: string
  readonly materials?: readonly RecipeMaterial[]
  /** For a step that bonds, fills, beds or bolts and buys nothing: why not. */
  readonly noMaterial?: string
  readonly tools?: readonly string[]
}

export interface Recipe {
  readonly format: typeof recipeFormat
  readonly version: number
  /** Letters, digits and dashes; the same in every refit. */
  readonly key: string
  readonly title: string
  /** When to use it, and what it does not cover. */
  readonly about: string
  readonly purpose: Purpose
  readonly system: SystemKind
  readonly inputs: readonly RecipeInput[]
  readonly choices: readonly RecipeChoice[]
  readonly values: readonly RecipeValue[]
  readonly steps: readonly RecipeStep[]
}

/** What a person gave: numbers by input, a word by choice. */
export type RecipeInputs = Readonly<Record<string, number | string>>
