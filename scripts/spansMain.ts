/** Reads a run and its keep-outs, prints where posts stand. Bundled and run by scripts/spans.mjs. */
import { exactSpans } from '#core/layout/exactSpans'
import type { SpansAsked } from '#core/layout/exactSpans'
import { spansSchema } from '#shared/schemas/cutSchema'
import { readArguments, readFileAs, refuse } from './commandLine'

const { path } = readArguments('usage: npm run -s spans -- FILE', [])

function posts(asked: SpansAsked): number[] {
  try {
    const found = exactSpans(asked)
    return (
      found ??
      refuse(
        `${path}: no post can stand there with spans that short. Make the longest span longer or the keep-outs smaller.`,
      )
    )
  } catch (error) {
    return refuse(`${path} is no run: ${(error as Error).message}`)
  }
}

process.stdout.write(
  `${JSON.stringify({ positions: posts(readFileAs(path, spansSchema, 'a run with keep-outs')) })}\n`,
)
