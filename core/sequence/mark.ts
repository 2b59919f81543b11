/** What stands on a plank of the drawing because something there is out of order. */
export interface PlankFlag {
  readonly key: string
  readonly stepIds: readonly string[]
  /** Short words on the plate that mends it: "Lay peel ply, 16 min"; '': it is not mended by one press. */
  readonly mend: string
}

/** Finds the first flag on any step of a plank; null: it has none. */
export function flagFinder(
  flags: readonly PlankFlag[],
): (plank: {
  readonly pieces: readonly { readonly step: { readonly id: string } }[]
}) => PlankFlag | null {
  const byStep = new Map(
    [...flags].reverse().flatMap((flag) => flag.stepIds.map((id) => [id, flag] as const)),
  )
  return ({ pieces }) => {
    const own = pieces.flatMap((piece) => byStep.get(piece.step.id) ?? [])
    return flags.find((flag) => own.includes(flag)) ?? null
  }
}
