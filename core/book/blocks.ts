/** What a book is made of, whatever it is printed as. */
export type Block =
  | HeadingBlock
  | { readonly kind: 'text'; readonly text: string }
  | { readonly kind: 'list'; readonly items: readonly string[] }
  | ListOfSheetsBlock
  | TableBlock
  | PictureBlock
  | DrawingBlock
  | SheetBlock

export interface HeadingBlock {
  readonly kind: 'heading'
  readonly level: 1 | 2 | 3 | 4
  readonly text: string
  /** It stands over sheets, which name it themselves where each has a page of its own. */
  readonly isChapter?: boolean
}

/** Where each sheet is: in their order at the front, by the alphabet at the back. */
export interface ListOfSheetsBlock {
  readonly kind: 'sheets'
  readonly sheets: readonly { readonly number: string; readonly title: string }[]
}

export interface TableBlock {
  readonly kind: 'table'
  readonly head: readonly string[]
  /** Columns of figures, 0 the first: their last digits stand under each other. */
  readonly sums?: readonly number[]
  readonly rows: readonly (readonly string[])[]
}

export interface PictureBlock {
  readonly kind: 'picture'
  readonly hash: string
  readonly mime: string
  readonly widthPx: number
  readonly heightPx: number
  readonly caption: string
}

/** A drawing in black, as SVG. */
export interface DrawingBlock {
  readonly kind: 'drawing'
  readonly svg: string
  readonly caption: string
  /** Width on paper where it is to a scale, mm; absent: as there is room. */
  readonly wideMm?: number
}

/** One as-built sheet: a page of its own on paper. */
export interface SheetBlock {
  readonly kind: 'sheet'
  /** "D-03". */
  readonly number: string
  readonly title: string
  /** Its system, by which it is found from the outside. */
  readonly chapter: string
  /** Finished when, by whom, how whole its record is. */
  readonly facts: string
  /** Path of its page within the refit. */
  readonly path: string
  readonly sections: readonly Section[]
}

/** A part of a sheet under its own small heading. */
export interface Section {
  readonly title: string
  /** On paper: across the whole page, or half of it; a left half and the right half after it stand side by side. */
  readonly at: 'wide' | 'left' | 'right'
  /** In a frame, to be seen first. */
  readonly isFramed?: boolean
  readonly blocks: readonly Exclude<Block, SheetBlock>[]
}

/** Which of it goes in, and who reads it. */
export interface BookAsked {
  /** One system alone; null: the whole boat. */
  readonly systemId: string | null
  /** For a buyer or a surveyor: without names and money. */
  readonly isForOthers: boolean
}

/** All of a book in one row, what stands within sheets too. */
export const allBlocks = (blocks: readonly Block[]): Block[] =>
  blocks.flatMap((one) =>
    one.kind === 'sheet' ? [one, ...one.sections.flatMap((each) => each.blocks)] : [one],
  )

/** A book to be printed: its blocks, and what the one who prints it has to know besides. */
export interface BookText {
  readonly boatName: string
  /** Civil date it is made on. */
  readonly madeOn: string
  readonly isForOthers: boolean
  readonly blocks: readonly Block[]
  /** Hashes of pictures whose file is not there. */
  readonly missing: readonly string[]
}
