/** Runs a script of TypeScript that rests on core/, bundled once for each state of its sources. */
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { ensurePackages, root } from './prepare.mjs'

const codeIn = (folder) =>
  readdirSync(folder, { recursive: true })
    .filter((name) => name.endsWith('.ts') && !name.includes('test'))
    .sort()
    .map((name) => join(folder, name))

/** `name`: the script is scripts/<name>Main.ts. `from`: files and folders it rests on. Prints nothing itself. */
export async function runBundled(name, from) {
  ensurePackages(true)
  const entry = join(root, `scripts/${name}Main.ts`)
  const paths = [join(root, 'scripts/commandLine.ts'), ...from.map((one) => join(root, one))]
  const sources = [entry, ...paths.flatMap((one) => (one.endsWith('.ts') ? [one] : codeIn(one)))]
  const hash = createHash('sha256')
  for (const file of sources) hash.update(readFileSync(file))
  const folder = join(root, 'node_modules/.cache/inch-ahead')
  const bundle = join(folder, `${name}-${hash.digest('hex').slice(0, 16)}.mjs`)
  if (!existsSync(bundle)) {
    mkdirSync(folder, { recursive: true })
    const { buildSync } = await import('esbuild')
    buildSync({
      entryPoints: [entry],
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
}
