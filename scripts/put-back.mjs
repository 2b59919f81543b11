/** npm run put-back: lists the copies of the database; with a name, puts that one back. The server must be stopped. */
import { build } from 'esbuild'
import { join } from 'node:path'
import { ensurePackages, root } from './prepare.mjs'
import { pathToFileURL } from 'node:url'

ensurePackages()
process.env.INCH_AHEAD_DATA ??= '.data'
process.env.LOG_LEVEL ??= 'warn'
const outfile = join(root, 'node_modules', '.cache', 'put-back.mjs')
await build({
  entryPoints: [join(root, 'scripts/putBackMain.ts')],
  bundle: true,
  platform: 'node',
  format: 'esm',
  packages: 'external',
  alias: { '#core': join(root, 'core'), '#shared': join(root, 'shared') },
  outfile,
  logLevel: 'error',
})
const { putBackMain } = await import(pathToFileURL(outfile).href)
process.exit(await putBackMain(process.argv[2]))
