import type { InParts } from '#core/inParts'

/** Told now and then how much of the effort is spent, 0 to 1. */
export type OnProgress = (share: number) => void

/** Progress is told so often at most, ms. */
const toldEveryMs = 100

/** Messages wait so long at most where the parts are short, ms: letting them in after each would cost more than the parts. */
const breatheEveryMs = 10

/** Lets messages in between two parts. */
const breathe = (): Promise<void> =>
  new Promise((resolve) => {
    const { port1, port2 } = new MessageChannel()
    port1.onmessage = () => {
      port1.close()
      resolve()
    }
    port2.postMessage(null)
  })

/** Questions one at a time: a newer one is answered, the older one is left at one of its next parts. */
export class Turns {
  private newest = 0

  /** Leaves the question under way. */
  callOff(): void {
    this.newest++
  }

  /** Works through a question part by part. Null: a newer one came, or it was called off. Throws what the parts throw. */
  async answered<Answer>(
    parts: InParts<Answer>,
    onProgress: OnProgress | null = null,
  ): Promise<Answer | null> {
    const mine = ++this.newest
    let [told, breathed] = [performance.now(), -Infinity]
    for (;;) {
      const part = parts.next()
      if (part.done) return part.value
      const now = performance.now()
      if (now - breathed < breatheEveryMs) continue
      await breathe()
      breathed = performance.now()
      if (mine !== this.newest) return null
      if (onProgress && breathed - told > toldEveryMs) {
        told = breathed
        onProgress(part.value)
      }
    }
  }
}
