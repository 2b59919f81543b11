/** The commands that read one file, called as a stranger calls them. */
import { spawnSync } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll } from 'vitest'

export interface Called {
  readonly status: number | null
  readonly said: readonly string[]
  readonly answer: unknown
}

/** A caller of `npm run NAME`. Its first call goes through npm; half of each further one would be npm's own start. */
export function callerOf(name: 'cut' | 'solve' | 'spans') {
  const folder = mkdtempSync(join(tmpdir(), `inch-ahead-${name}-`))
  afterAll(() => rmSync(folder, { recursive: true, force: true }))
  const file = join(folder, 'given.json')
  let isKnown = false
  return (content: unknown, ...options: string[]): Called => {
    writeFileSync(file, typeof content === 'string' ? content : JSON.stringify(content))
    const [command, ...first] = isKnown
      ? [process.execPath, `scripts/${name}.mjs`]
      : ['npm', 'run', '-s', name, '--']
    isKnown = true
    const { status, stdout, stderr } = spawnSync(command as string, [...first, file, ...options], {
      encoding: 'utf8',
    })
    const said = stderr.split('\n').filter((line) => line !== '' && !line.startsWith('npm warn'))
    return { status, said, answer: stdout === '' ? null : (JSON.parse(stdout) as unknown) }
  }
}
