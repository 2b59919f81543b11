/** npm run -s spans -- FILE: posts along a run, the fewest and most even. Prints nothing but the answer. */
import { runBundled } from './bundled.mjs'

await runBundled('spans', ['shared/schemas/cutSchema.ts', 'core/layout'])
