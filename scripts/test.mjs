/** npm test: lint, types, unit and server tests, build, end-to-end. Ends with the count on a line of its own. */
import { existsSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { ensureBuild, ensureDebian, ensurePackages, root, run } from './prepare.mjs'

const results = join(root, 'test-results')
let passed = 0
let failed = 0

/** A check that passes or fails as a whole. */
function check(name, command, args) {
  const started = Date.now()
  const status = run(command, args, { mayFail: true })
  console.log(
    `${status === 0 ? 'ok' : 'FAILED'}  ${name}, ${Math.round((Date.now() - started) / 1000)} s`,
  )
  if (status === 0) passed++
  else failed++
}

/** A runner that counts its own tests in a JSON file. */
function suite(name, command, args, file, count) {
  rmSync(file, { force: true })
  const started = Date.now()
  const status = run(command, args, { mayFail: true })
  const counts = existsSync(file)
    ? count(JSON.parse(readFileSync(file, 'utf8')))
    : { passed: 0, failed: 0 }
  // A runner that breaks off without naming a failed test has still failed.
  if (status !== 0 && counts.failed === 0) counts.failed = 1
  passed += counts.passed
  failed += counts.failed
  console.log(
    `${counts.failed === 0 ? 'ok' : 'FAILED'}  ${name}, ${Math.round((Date.now() - started) / 1000)} s`,
  )
}

// However this ends, the count is the last line; breaking off is a failure too.
process.on('exit', (code) => {
  if (code !== 0 && failed === 0) failed = 1
  console.log(`\n${passed} passed, ${failed} failed`)
})
ensurePackages()
ensureDebian([['chromium', 'chromium']])
run('npx', ['nuxt', 'prepare', '--logLevel', 'silent'])
// The server tests and the end-to-end tests both drive the build.
ensureBuild()
check('lint', 'npm', ['run', '--silent', 'lint'])
check('types', 'npm', ['run', '--silent', 'types'])
suite(
  'unit and server',
  'npx',
  [
    'vitest',
    'run',
    '--reporter=dot',
    '--reporter=json',
    `--outputFile=${join(results, 'unit.json')}`,
  ],
  join(results, 'unit.json'),
  (report) => ({ passed: report.numPassedTests, failed: report.numFailedTests }),
)
suite('end to end', 'npx', ['playwright', 'test'], join(results, 'e2e.json'), ({ stats }) => ({
  passed: stats.expected + stats.flaky,
  failed: stats.unexpected,
}))
process.exit(failed === 0 ? 0 : 1)
