import { vi } from 'vitest'

/** Lays a drawing out as if its units were the pixels of the screen, with its corner in the corner. */
export function pointsAsTheyAre(drawing: Element | null): void {
  vi.stubGlobal(
    'DOMPoint',
    class {
      constructor(
        readonly x: number,
        readonly y: number,
      ) {}
      matrixTransform = () => this
    },
  )
  Object.assign(drawing ?? {}, { getScreenCTM: () => ({ inverse: () => null }) })
  Element.prototype.setPointerCapture = () => undefined
}
