/** npm run bench: figures of the plan on the big refit, as a table. */
import { build } from 'esbuild'
import { join } from 'node:path'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { pathToFileURL } from 'node:url'
import { scrollJobs } from './benchPage.mjs'
import { ensurePackages, root } from './prepare.mjs'

ensurePackages()
const folder = mkdtempSync(join(tmpdir(), 'inch-ahead-bench-'))
const outfile = join(folder, 'bench.mjs')
await build({
  entryPoints: [join(root, 'bench/index.ts')],
  bundle: true,
  platform: 'node',
  format: 'esm',
  alias: { '#core': join(root, 'core'), '~~': root },
  outfile,
  logLevel: 'error',
})
const { again, bench, bigFile, byFamily, jobsBench, overTime } = await import(
  pathToFileURL(outfile).href
)
// npm run bench -- jobs: only what the list of jobs asks for.
console.log('Ranking 500 jobs')
console.table(jobsBench())
console.log('Scrolling 500 jobs')
console.table(await scrollJobs(bigFile()))
if (process.argv.includes('jobs')) {
  rmSync(folder, { recursive: true, force: true })
  process.exit(0)
}
console.log('Planning a refit')
console.table(bench())
console.log('The kernel again and again')
console.table(again())
console.log('Improving a plan of 400 steps')
console.table(overTime())
console.log('The kernel by family, half a second each')
console.table(byFamily())
rmSync(folder, { recursive: true, force: true })
