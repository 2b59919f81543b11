/** What is done with the boards of a drawing, whichever it is: bound as it is to what is pressed. */
export interface BoardUse {
  /** Key of the plank that is open. */
  readonly open: string | null
  /** Steps of the chain from the gate back. */
  readonly chain: readonly string[]
  /** Of a board on its way: what pinning it there would do. */
  readonly said: string
  readonly onPlank: (key: string) => void
  readonly onMend: (flag: string) => void
  readonly onDrag: (stepId: string, day: number) => void
  readonly onDrop: () => void
  readonly onCancel: () => void
  readonly onPin: (stepId: string) => void
  readonly onRelease: (stepId: string) => void
}
