/** npm run -s cut -- FILE: lays pieces on a roll, as short as can be. Prints nothing but the answer. */
import { runBundled } from './bundled.mjs'

await runBundled('cut', ['shared/schemas/cutSchema.ts', 'core/random.ts', 'core/cutting'])
