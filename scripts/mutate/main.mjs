/**
 * npm run mutate -- [COUNT] [SEED] [PATH…]: small changes to the code, one at a time, from a seed; each should make a
 * test fail. Prints those that no test noticed. All changes are put into one copy of the project behind switches
 * (graft.mjs); one run of the tests tells which of them come past which change, and then each change is switched on
 * for these alone, the quickest first.
 */
import { fork } from 'node:child_process'
import {
  cpSync,
  existsSync,
  mkdtempSync,
  readFileSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { join, relative } from 'node:path'
import { ensurePackages, root } from '../prepare.mjs'

ensurePackages()
const { changesUnder } = await import('./changes.mjs')
const { grafted } = await import('./graft.mjs')

const [, , count = '400', seed = '1', ...paths] = process.argv
const places = paths.length > 0 ? paths : ['core', 'server/services']
/** A file of tests that runs longer than this has not noticed the change, but hangs on it: noticed. */
const mostMs = 240_000
const atOnce = 2
/** Tests of the built server do not see a change. */
const blind = ['http', 'store', 'fuzz', 'solve'].map((name) => `tests/server/${name}.test.ts`)

/** The same numbers for the same seed. */
function dice(start) {
  let state = start >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state)
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296
  }
}

const pathsOf = (changes) => [...new Set(changes.map((one) => one.path))]

/** A copy of the project with the changes in it. */
function workshop(changes) {
  const folder = mkdtempSync(join(tmpdir(), 'inch-ahead-mutate-'))
  const skipped = ['node_modules', '.git', '.output', 'test-results', '.data', '.demo-data']
  cpSync(root, folder, {
    recursive: true,
    filter: (source) => !skipped.includes(relative(root, source).split('/')[0]),
  })
  symlinkSync(join(root, 'node_modules'), join(folder, 'node_modules'))
  for (const path of blind) rmSync(join(folder, path))
  for (const path of pathsOf(changes)) {
    const own = changes.filter((one) => one.path === path)
    const file = join(folder, path)
    writeFileSync(file, grafted(readFileSync(file, 'utf8'), own))
  }
  const change = (path, from, to) => {
    const file = join(folder, path)
    writeFileSync(file, readFileSync(file, 'utf8').replaceAll(from, to))
  }
  // Each file of tests for itself: what another has worked out before must not hide what it comes past.
  change('vitest.config.ts', 'isolate: false', 'isolate: true')
  change(
    'tests/properties.ts',
    'import fc from',
    "import '../scripts/mutate/witness.mjs'\nimport fc from",
  )
  return folder
}

/** One that runs files of tests in the workshop; begun anew when it hangs. */
class Bench {
  static made = 0
  constructor(folder) {
    this.folder = folder
    this.number = Bench.made++
  }
  async begin() {
    const wish = join(this.folder, `wish-${this.number}.json`)
    this.child = fork(join(this.folder, 'scripts/mutate/runner.mjs'), [wish, ...pathsOf(chosen)], {
      cwd: this.folder,
      stdio: ['ignore', 'ignore', 'ignore', 'ipc'],
      detached: true,
    })
    const { files } = await this.next()
    return files
  }
  next() {
    return new Promise((resolve) => {
      const { child } = this
      const done = (answer) => {
        child.off('message', done)
        child.off('exit', ended)
        resolve(answer)
      }
      const ended = () => done({ failed: true, why: 'the runner ended' })
      child.on('message', done)
      child.on('exit', ended)
    })
  }
  async run(wish) {
    let timer
    const late = new Promise((resolve) => {
      timer = setTimeout(() => resolve({ failed: true, why: 'too long', isLate: true }), mostMs)
    })
    const answer = this.next()
    this.child.send(wish)
    const first = await Promise.race([answer, late])
    clearTimeout(timer)
    if (first.isLate || this.child.exitCode !== null || this.child.signalCode !== null) {
      this.end()
      await this.begin()
    }
    return first
  }
  end() {
    try {
      process.kill(-this.child.pid, 'SIGKILL')
    } catch (error) {
      // It has ended by itself.
      if (error.code !== 'ESRCH') throw error
    }
  }
}

const random = dice(Number(seed))
const all = changesUnder(places)
const total = all.length
const chosen = []
while (chosen.length < Math.min(Number(count), total))
  chosen.push({ ...all.splice(Math.floor(random() * all.length), 1)[0], number: chosen.length })
console.log(`${chosen.length} of ${total} small changes, seed ${seed}`)

const folder = workshop(chosen)
const benches = Array.from({ length: atOnce }, () => new Bench(folder))
const finish = () => {
  for (const one of benches) one.end()
  rmSync(folder, { recursive: true, force: true })
}
let done = 0
let killed = 0
const tally = () =>
  console.log(`${killed} of ${done} noticed, ${Math.round((100 * killed) / Math.max(1, done))} %`)
// Ended early, it says how far it came.
for (const signal of ['SIGINT', 'SIGTERM'])
  process.on(signal, () => {
    finish()
    tally()
    process.exit(1)
  })

/** Each waits for the next of a list, as many at once as there are benches. */
const inTurns = (list, work) => {
  const left = [...list]
  return Promise.all(
    benches.map(async (bench) => {
      for (let next = left.shift(); next; next = left.shift()) await work(bench, next)
    }),
  )
}

/** Which tests of which files come past each change; `only` is null where it is the file as a whole. */
const past = chosen.map(() => [])
const [files] = await Promise.all(benches.map((one) => one.begin()))
await inTurns(files, async (bench, file) => {
  const note = join(folder, `note-${files.indexOf(file)}.json`)
  const { failed, why, ms } = await bench.run({ file, on: null, only: null, note })
  if (failed) console.log(`fails without a change: ${relative(folder, file)}: ${why}`)
  if (failed || !existsSync(note)) return
  const names = new Map()
  for (const [name, numbers] of JSON.parse(readFileSync(note, 'utf8')))
    for (const number of numbers) names.set(number, [...(names.get(number) ?? []), name])
  for (const [number, tests] of names)
    past[number].push({ file, only: tests.includes('') ? null : tests, ms })
})
console.log(
  `looked at ${files.length} files of tests; ${past.filter((one) => one.length === 0).length} changes lie where no test comes`,
)

await inTurns(chosen, async (bench, change) => {
  let seen = false
  for (const { file, only } of past[change.number].toSorted((one, two) => one.ms - two.ms)) {
    seen = (await bench.run({ file, only, on: change.number, note: null })).failed
    if (seen) break
  }
  done++
  if (seen) killed++
  else {
    const text = readFileSync(join(root, change.path), 'utf8').slice(change.from, change.to)
    const words = `${text.replace(/\s+/g, ' ').slice(0, 60)} → ${change.put.slice(0, 60)}`
    const where = past[change.number].length === 0 ? ' (no test comes here)' : ''
    console.log(`not noticed: ${change.path}:${change.line} ${words}${where}`)
  }
})
finish()
tally()
process.exit(0)
