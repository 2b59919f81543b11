/** The demo is made once for all files: each server of theirs begins on a copy. `npm test` has made it by then. */
import { execFileSync } from 'node:child_process'
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { manyDemos } from './manyDemos'

/** Files that share a server: a worker may come to nearly all of them, and to some twice. */
const mostFiles = 18

export default async function demoOnce(): Promise<() => void> {
  const made = mkdtempSync(join(tmpdir(), 'inch-ahead-demo-'))
  if (!process.env.DEMO_FOLDER) {
    process.env.DEMO_FOLDER = join(made, 'one')
    mkdirSync(process.env.DEMO_FOLDER)
    execFileSync(process.execPath, ['scripts/demoFolder.mjs', process.env.DEMO_FOLDER], {
      stdio: 'inherit',
    })
  }
  const many = join(made, 'many')
  const ids = await manyDemos(process.env.DEMO_FOLDER, many, mostFiles)
  Object.assign(process.env, { DEMOS_FOLDER: many, DEMO_IDS: ids.join() })
  return () => rmSync(made, { recursive: true, force: true })
}
