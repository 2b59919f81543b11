/** npm run -s solve -- FILE: solves a scheduling problem from a file. Prints nothing but the answer. */
import { runBundled } from './bundled.mjs'

await runBundled('solve', [
  'shared/schemas/problemSchema.ts',
  'core/random.ts',
  'core/plan/schedule/kernel',
])
