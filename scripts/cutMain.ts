/** Reads pieces and a roll, lays them, prints where each lies. Bundled and run by scripts/cut.mjs. */
import { packStrip } from '#core/cutting/strip'
import type { Strip } from '#core/cutting/strip'
import { createRandom } from '#core/random'
import { cutSchema } from '#shared/schemas/cutSchema'
import type { CutFile } from '#shared/schemas/cutSchema'
import { readArguments, readFileAs, readNumber, refuse } from './commandLine'

const { path, option } = readArguments('usage: npm run -s cut -- FILE [--seconds S] [--seed N]', [
  'seconds',
  'seed',
])
const seconds = readNumber('seconds', option('seconds'), 1, false)
const seed = readNumber('seed', option('seed'), 1, true)

/** The time counts from the start of the program, what reading took included; a fifth of it is searched in any case. */
const until = Math.max(seconds * 970, performance.now() + seconds * 200)

function laid({ width, rectangles }: CutFile): Strip {
  try {
    return packStrip(width, rectangles, {
      random: createRandom(seed),
      isOver: () => performance.now() > until,
    })
  } catch (error) {
    return refuse(`${path} cannot be laid: ${(error as Error).message}`)
  }
}

const file = readFileAs(path, cutSchema, 'a list of pieces')
const { length, at } = laid(file)
const placements = Object.fromEntries(file.rectangles.map((one, index) => [one.id, at[index]]))
process.stdout.write(`${JSON.stringify({ length, placements })}\n`)
