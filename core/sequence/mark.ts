/** What stands on a plank of the drawing because something there is out of order. */
export interface PlankFlag {
  readonly key: string
  readonly stepIds: readonly string[]
  /** Short words on the plate that mends it: "Lay peel ply, 16 min"; '': it is not mended by one press. */
  readonly mend: string
}
