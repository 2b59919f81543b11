/** The demo is made once for all files: each server of theirs begins on a copy. `npm test` has made it by then. */
import { execFileSync } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

export default function demoOnce(): () => void {
  if (process.env.DEMO_FOLDER) return () => undefined
  const folder = mkdtempSync(join(tmpdir(), 'inch-ahead-demo-'))
  execFileSync(process.execPath, ['scripts/demoFolder.mjs', folder], { stdio: 'inherit' })
  process.env.DEMO_FOLDER = folder
  return () => rmSync(folder, { recursive: true, force: true })
}
