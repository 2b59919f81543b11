/** How a computed figure came about: pressed open, it says its inputs, its working, its source and its weak side. */
export interface How {
  /** What the figure is. */
  readonly title: string
  /** The figure as the screen says it. */
  readonly result: string
  readonly inputs: readonly { readonly name: string; readonly value: string }[]
  /** The formula in words with the numbers in, line by line. */
  readonly working: readonly string[]
  readonly source: string
  /** When not to believe it. */
  readonly distrust: string
}
