/** A drawing of a sum, true to scale in a unit of its own (mostly mm), y downwards. fit.ts puts it on a screen. */

export type At = readonly [x: number, y: number]
/** What a thing is made of, or what it means: the screen knows how each looks. */
export type Stuff =
  | 'metal'
  | 'wood'
  | 'glass'
  | 'core'
  | 'resin'
  | 'seal'
  | 'paint'
  | 'water'
  | 'paper'
  | 'stock'
  | 'brass'
  | 'waste'
  | 'short'
  | 'ink'
  | 'none'
export type Tone = 'ink' | 'soft' | 'red' | 'good'
export interface Look {
  readonly fill?: Stuff
  /** Edge; absent: ink. */
  readonly edge?: Tone | 'none'
  /** Not there yet, or only wanted. */
  readonly dashed?: boolean
  readonly thick?: boolean
  /** The field that it shows: pressed, the field is typed in. */
  readonly field?: string
  /** It can be laid elsewhere by hand: the fields that take where it lies then, and where it lies now. */
  readonly drag?: {
    readonly along: string
    readonly across: string
    readonly from: At
    /** It goes no further across. */
    readonly mostAcross: number
  }
}
export type Shape =
  | ({ readonly is: 'box'; readonly from: At; readonly size: At } & Look)
  | ({ readonly is: 'shape'; readonly corners: readonly At[] } & Look)
  | ({ readonly is: 'path'; readonly points: readonly At[] } & Look)
  | ({ readonly is: 'round'; readonly at: At; readonly radius: number } & Look)
  | {
      readonly is: 'arrow'
      readonly from: At
      readonly to: At
      readonly tone?: Tone
    }
  /** A length between two points with its name, set off to one side by so many text lines. */
  | {
      readonly is: 'length'
      readonly from: At
      readonly to: At
      readonly text: string
      readonly off?: number
      readonly tone?: Tone
      readonly field?: string
    }
  | {
      readonly is: 'text'
      readonly at: At
      readonly text: string
      readonly tone?: Tone
      readonly size?: 'small' | 'large'
      readonly anchor?: 'start' | 'middle' | 'end'
      /** Lines of text down from the point; negative: up. */
      readonly down?: number
      readonly bold?: boolean
      /** Left out where it is wider than so many units, or taller. */
      readonly room?: At
      readonly field?: string
    }
  /** What stands in a box, what matters most first: as many lines as there is room for, the first one always. */
  | {
      readonly is: 'label'
      readonly from: At
      readonly size: At
      readonly lines: readonly string[]
      readonly field?: string
    }
  /** A name beside the drawing, joined to its point by a thin line; names on a side never overlap. */
  | {
      readonly is: 'name'
      readonly at: At
      readonly text: string
      readonly side: 'left' | 'right'
      readonly tone?: Tone
      readonly field?: string
    }

export interface Drawing {
  readonly shapes: readonly Shape[]
  /** What it shows, read to those who do not see it. */
  readonly said: string
  /** Along and up are on scales of their own: time against cups. Absent: true to scale. */
  readonly free?: { readonly ratio: number } | { readonly tallPx: number }
  /** Sizes are real ones: it is said that it is to scale. */
  readonly inMm?: boolean
}
