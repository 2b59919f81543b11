/** What a book is made of, whatever it is printed as. */
export type Block =
  | { readonly kind: 'heading'; readonly level: 1 | 2 | 3 | 4; readonly text: string }
  | { readonly kind: 'text'; readonly text: string }
  | { readonly kind: 'list'; readonly items: readonly string[] }
  | {
      readonly kind: 'table'
      readonly head: readonly string[]
      readonly rows: readonly (readonly string[])[]
    }
  | {
      readonly kind: 'picture'
      readonly hash: string
      readonly mime: string
      readonly caption: string
    }

/** Which of it goes in, and who reads it. */
export interface BookAsked {
  /** One system alone; null: the whole boat. */
  readonly systemId: string | null
  /** For a buyer or a surveyor: without names and money. */
  readonly isForOthers: boolean
}
