/** npm run -s solve -- FILE: solves a scheduling problem from a file. Prints nothing but the answer. */
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { ensurePackages, root } from './prepare.mjs'

ensurePackages(true)
const kernel = join(root, 'core/plan/schedule/kernel')
const sources = [
  join(root, 'scripts/solveMain.ts'),
  join(root, 'shared/schemas/problemSchema.ts'),
  join(root, 'core/random.ts'),
  ...readdirSync(kernel, { recursive: true })
    .filter((name) => name.endsWith('.ts') && !name.includes('test'))
    .sort()
    .map((name) => join(kernel, name)),
]
const hash = createHash('sha256')
for (const file of sources) hash.update(readFileSync(file))
const folder = join(root, 'node_modules/.cache/inch-ahead')
const bundle = join(folder, `solve-${hash.digest('hex').slice(0, 16)}.mjs`)
if (!existsSync(bundle)) {
  mkdirSync(folder, { recursive: true })
  const { buildSync } = await import('esbuild')
  buildSync({
    entryPoints: [join(root, 'scripts/solveMain.ts')],
    outfile: bundle,
    bundle: true,
    platform: 'node',
    format: 'esm',
    external: ['joi'],
    alias: { '#core': join(root, 'core'), '#shared': join(root, 'shared') },
    logLevel: 'error',
  })
}
await import(pathToFileURL(bundle).href)
