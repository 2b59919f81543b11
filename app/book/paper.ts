/** The sheet of paper a book is laid out on, in points, and what is printed on it. */
import type { BookText } from '#core/book/blocks'

export const mm = 72 / 25.4
export const page = { width: 595.28, height: 841.89 } as const
export const margins = { left: 45, top: 50, right: 50, bottom: 88 } as const
export const column = page.width - margins.left - margins.right

/** What the pages are made of. */
export interface BookToPrint extends BookText {
  /** Over each page. */
  readonly title: string
  /** Where the refit's pages are, without a slash at the end: the codes on the sheets lead there. */
  readonly address: string
  /** Pictures by hash as data URLs; those that are not in it are named as missing. */
  readonly pictures: ReadonlyMap<string, string>
}
