/** npm test: lint, types, nothing unused, licences, unit and server tests, build, end-to-end. Ends with the count on a line of its own. */
import { spawn } from 'node:child_process'
import { existsSync, mkdirSync, readFileSync, readdirSync, rmSync } from 'node:fs'
import { constants, setPriority } from 'node:os'
import { join } from 'node:path'
import { ensureBrowser, ensureDebian, ensurePackages, root, scratchFolder } from './prepare.mjs'

const results = join(root, 'test-results')
const scratch = scratchFolder()
let passed = 0
let failed = 0

/** Checks read thousands of trees and let go of them: with room for what is short-lived a tenth of their time is saved. */
const roomy = {
  ...process.env,
  NODE_OPTIONS: `${process.env.NODE_OPTIONS ?? ''} --max-semi-space-size=64`.trim(),
}

/** A command of a package. */
const tool = (name) => join(root, 'node_modules', '.bin', name)

const seconds = (since) => `${Math.round((Date.now() - since) / 1000)} s`

/**
 * Runs a command to its end. Its words are shown as they come (`heard`), or given back with how it ended. What is
 * patient takes only what others leave.
 */
function ended(command, args, own, { heard = false, patient = false } = {}) {
  return new Promise((done) => {
    const stdio = heard ? 'inherit' : ['ignore', 'pipe', 'pipe']
    const child = spawn(command, args, { cwd: root, env: own, stdio })
    if (patient && child.pid) setPriority(child.pid, constants.priority.PRIORITY_BELOW_NORMAL)
    let words = ''
    for (const stream of [child.stdout, child.stderr]) stream?.on('data', (text) => (words += text))
    child.on('error', ({ message }) => {
      done({ status: 1, words: `${command} could not be started: ${message}` })
    })
    child.on('close', (code) => done({ status: code ?? 1, words }))
  })
}

/** A check that passes or fails as a whole; gives which. Its words are shown when it is over, so that two may run at once. */
async function check(name, command, args, own = roomy, how = {}) {
  const started = Date.now()
  const { status, words } = await ended(command, args, own, how)
  if (status === 0) passed++
  else {
    failed++
    console.log(words)
  }
  console.log(`${status === 0 ? 'ok' : 'FAILED'}  ${name}, ${seconds(started)}`)
  return status === 0
}

/** A runner that counts its own tests in a JSON file. */
async function suite(name, command, args, file, count, heard = false) {
  rmSync(file, { force: true })
  const started = Date.now()
  const { status, words } = await ended(command, args, env, { heard })
  const counts = existsSync(file)
    ? count(JSON.parse(readFileSync(file, 'utf8')))
    : { passed: 0, failed: 0 }
  // A runner that breaks off without naming a failed test has still failed.
  if (status !== 0 && counts.failed === 0) counts.failed = 1
  passed += counts.passed
  failed += counts.failed
  if (counts.failed > 0) console.log(words)
  console.log(
    `${counts.failed === 0 ? 'ok' : 'FAILED'}  ${name}, ${counts.passed} passed, ${seconds(started)}`,
  )
}

/**
 * Tests of one project of the runner, by one worker: what it has loaded serves all of them, and others fill the second
 * core while it waits for what is compiled.
 */
const project = (name) => {
  const file = join(results, `${name}.json`)
  const reporters = ['--reporter=dot', '--reporter=json', `--outputFile=${file}`]
  return suite(
    `tests of ${name}`,
    tool('vitest'),
    ['run', '--project', name, '--maxWorkers=1', ...reporters],
    file,
    (report) => ({ passed: report.numPassedTests, failed: report.numFailedTests }),
  )
}

/** What the pages of failed tests said while they failed: messages, dialogs and where the focus was. */
function sayPages() {
  const folder = join(results, 'e2e')
  for (const name of existsSync(folder) ? readdirSync(folder) : []) {
    const file = join(folder, name, 'error-context.md')
    if (!existsSync(file)) continue
    const lines = readFileSync(file, 'utf8').split('\n')
    const end = lines.findIndex((line) => line.startsWith('# Test source'))
    const telling = /^\s*- (status|alert|dialog|paragraph.*(saved|answer))|\[active\]/
    const page = lines
      .slice(0, end)
      .flatMap((line, at) => (telling.test(line) ? lines.slice(at, at + 3) : []))
    console.log([`the page of ${name}:`, ...page].join('\n'))
  }
}

/** Names the tests that passed only when they were tried again, with what they said the first time. */
function sayFlaky({ suites = [], specs = [] }) {
  for (const one of suites) sayFlaky(one)
  for (const { title, file, tests } of specs)
    for (const { status, results: tries } of tests)
      if (status === 'flaky')
        console.log(`NEEDED A SECOND TRY  ${file}: ${title}\n${tries[0].error?.message ?? ''}`)
}

// However this ends, the count is the last line; breaking off is a failure too.
process.on('exit', (code) => {
  if (code !== 0 && failed === 0) failed = 1
  rmSync(scratch, { recursive: true, force: true })
  console.log(`\n${passed} passed, ${failed} failed`)
})
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => process.exit(1))
ensurePackages()
// Reads the printed book back.
ensureDebian([['pdftotext', 'poppler-utils']])
const env = { ...process.env, CHROMIUM: ensureBrowser(), TMPDIR: scratch }
const prepared = ended(tool('nuxt'), ['prepare', '--logLevel', 'silent'], env)
// The server tests and the end-to-end tests both drive the build. It writes anew what the check of types reads.
const [isBuilt] = await Promise.all([
  prepared.then(({ status, words }) => {
    if (status === 0) return check('build', 'node', ['scripts/build.mjs'])
    console.log(words)
    return false
  }),
  check('layout', tool('oxfmt'), ['--check'])
    .then(() => check('rules of the code', tool('oxlint'), []))
    .then(() =>
      check('rules of templates', tool('eslint'), ['app/**/*.vue', '--max-warnings', '0']),
    )
    .then(() => prepared)
    .then(() => check('nothing unused', tool('knip'), []))
    .then(() => check('licences', 'node', ['scripts/licences.mjs'])),
])
if (!isBuilt) process.exit(1)
// The tests of the server and of the browser begin on copies of it.
env.DEMO_FOLDER = join(scratch, 'demo')
mkdirSync(env.DEMO_FOLDER)
const hasDemo = check('demo', 'node', ['scripts/demoFolder.mjs', env.DEMO_FOLDER], env)
const projects = [
  hasDemo.then((isMade) => isMade && project('server')),
  project('components'),
  project('core'),
]
// The last of them leave most of a core: that is when types are checked, and while pages wait for their server.
const typed = Promise.race(projects).then(() =>
  check('types', 'node', ['scripts/types.mjs'], roomy, { patient: true }),
)
await Promise.all(projects)
if (!(await hasDemo)) process.exit(1)
const inBrowser = ({ stats }) => ({
  passed: stats.expected + stats.flaky,
  failed: stats.unexpected,
})
const browserFile = join(results, 'e2e.json')
await Promise.all([
  suite('end to end', tool('playwright'), ['test'], browserFile, inBrowser, true),
  typed,
])
if (existsSync(browserFile)) sayFlaky(JSON.parse(readFileSync(browserFile, 'utf8')))
sayPages()
process.exit(failed === 0 ? 0 : 1)
