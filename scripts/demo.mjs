/** npm run demo: a made-up refit in a folder of its own, on its own clock. `--fresh` begins again. */
import { existsSync, mkdirSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { ensureBuild, ensurePackages } from './prepare.mjs'
import { serve } from './serve.mjs'

/** Saturday 17 April 2027, 08:30 in Dublin. */
const demoStart = Date.UTC(2027, 3, 17, 7, 30)
const folder = process.env.INCH_AHEAD_DATA ?? '.demo-data'

ensurePackages()
ensureBuild()
if (process.argv.includes('--fresh')) rmSync(folder, { recursive: true, force: true })
if (!existsSync(join(folder, 'clock.json'))) {
  mkdirSync(folder, { recursive: true })
  writeFileSync(join(folder, 'clock.json'), JSON.stringify({ offsetMs: demoStart - Date.now() }))
}
await serve({ dataFolder: folder, env: { INCH_AHEAD_SEED: 'demo' } })
