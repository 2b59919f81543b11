/** How near to the shortest the roll comes in a second, on sheets cut up without waste. */
import { packStrip } from '#core/cutting/strip'
import { createRandom } from '#core/random'
import { perfectCut } from '#core/testing/perfectCut'

const sizes = [
  [17, 20, 20],
  [29, 60, 30],
  [49, 60, 60],
  [73, 60, 90],
  [97, 80, 120],
  [197, 160, 240],
  [300, 400, 600],
  [1000, 1000, 1000],
] as const
const sheets = 4

/** One row a size. `seconds`: for each sheet. */
export function cutBench(seconds: number) {
  return sizes.map(([pieces, width, length]) => {
    const over = Array.from({ length: sheets }, (_, seed) => {
      const list = perfectCut(createRandom(seed + 7 * pieces), pieces, width, length)
      const until = performance.now() + seconds * 1000
      const strip = packStrip(width, list, {
        random: createRandom(1),
        isOver: () => performance.now() > until,
      })
      return strip.length / length - 1
    })
    const percent = (share: number) => Math.round(share * 1e4) / 100
    return {
      pieces,
      width,
      length,
      'mean over the shortest, %': percent(over.reduce((sum, one) => sum + one, 0) / sheets),
      'worst, %': percent(Math.max(...over)),
    }
  })
}
