/** A field told that its new value was refused. False when it is no longer on the screen. */
export type Refusing = (message: string) => boolean

let current: Refusing | null = null

/**
 * Runs what a field's new value sets off. The change that goes to the store during it is this field's, so
 * that a refusal is said beneath it and not somewhere else.
 */
export function fromField(field: Refusing, run: () => void): void {
  const outer = current
  current = field
  try {
    run()
  } finally {
    current = outer
  }
}

/** The field whose value is on its way; asked before anything is awaited. */
export const fieldNow = (): Refusing | null => current
