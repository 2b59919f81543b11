/** What every script needs first: packages, a compiler for sqlite3, a fresh build. Plain Node. */
import { spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  statfsSync,
  statSync,
  writeFileSync,
} from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

export const root = dirname(dirname(fileURLToPath(import.meta.url)))

/** Runs a command in the project folder; ends this script with its code when it fails. */
export function run(command, args, options = {}) {
  const done = spawnSync(command, args, { cwd: root, stdio: 'inherit', ...options })
  if (done.error) {
    console.error(`${command} could not be started: ${done.error.message}`)
    process.exit(1)
  }
  if (done.status !== 0 && !options.mayFail) process.exit(done.status ?? 1)
  return done.status ?? 1
}

const has = (program) => spawnSync('sh', ['-c', `command -v ${program}`]).status === 0

/** Installs Debian packages whose programs are missing. `mayFail`: what cannot be had is gone without. */
export function ensureDebian(wanted, mayFail = false) {
  const missing = wanted.filter(([program]) => !has(program)).map(([, name]) => name)
  if (missing.length === 0) return
  console.error(`Installing ${missing.join(', ')} …`)
  const asRoot = process.getuid?.() === 0 ? [] : ['sudo']
  const [command, ...before] = [...asRoot, 'apt-get']
  if (!has(command) || !has('apt-get')) {
    if (mayFail) return
    console.error(
      `Please install ${missing.join(', ')} with your system's package manager, then run this again.`,
    )
    process.exit(1)
  }
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' }
  run(command, [...before, 'update', '-qq'], { env, mayFail })
  run(command, [...before, 'install', '-y', '-qq', ...missing], { env, mayFail })
}

/** Debian's Chromium for the tests: the one made to run without a window where it can be had, which does with a fifth less. */
export function ensureBrowser() {
  const shell = 'chromium-headless-shell'
  // Nobody is asked for a password for what only saves time.
  if (process.getuid?.() === 0 || !has('chromium')) ensureDebian([[shell, shell]], true)
  if (has(shell)) return `/usr/bin/${shell}`
  ensureDebian([['chromium', 'chromium']])
  return '/usr/bin/chromium'
}

/** A folder for what tests write: in memory where there is room, for they wait for the disk most of all. */
export function scratchFolder() {
  const memory = '/dev/shm'
  const wanted = 4 * 1024 ** 3
  const isRoomy = () => {
    const { bavail, bsize } = statfsSync(memory)
    return bavail * bsize > wanted
  }
  return mkdtempSync(join(existsSync(memory) && isRoomy() ? memory : tmpdir(), 'inch-ahead-test-'))
}

const stamp = join(root, 'node_modules', '.installed-from')
const hashOf = (text) => createHash('sha256').update(text).digest('hex')

/** Installs the packages of the lock file when they are missing or it changed. `quiet`: nothing on stdout. */
export function ensurePackages(quiet = false) {
  const wanted = hashOf(readFileSync(join(root, 'package-lock.json')))
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return
  ensureDebian([
    ['python3', 'python3'],
    ['make', 'make'],
    ['g++', 'g++'],
  ])
  console.error(
    'Installing packages; sqlite3 is compiled, which takes a few minutes the first time …',
  )
  run('npm', ['ci', '--no-audit', '--no-fund'], quiet ? { stdio: ['ignore', 2, 2] } : {})
  writeFileSync(stamp, wanted)
}

const sources = [
  'app',
  'core',
  'server',
  'shared',
  'demo',
  'public',
  'nuxt.config.ts',
  'package-lock.json',
]

function fingerprint(path) {
  const full = join(root, path)
  if (!existsSync(full)) return ''
  if (!statSync(full).isDirectory()) return hashOf(readFileSync(full))
  return readdirSync(full)
    .sort()
    .map((name) => `${name} ${fingerprint(join(path, name))}`)
    .join('\n')
}

/** Builds the production server when a source changed since the last build. */
export function ensureBuild() {
  const mark = join(root, '.output', 'built-from')
  // A build names its packages by their place: a moved folder is built anew.
  const wanted = hashOf([root, ...sources.map(fingerprint)].join('\n'))
  if (existsSync(mark) && readFileSync(mark, 'utf8') === wanted) return
  console.log('Building …')
  const started = Date.now()
  run('npx', ['nuxt', 'build', '--logLevel', 'silent'], {
    env: {
      ...process.env,
      NUXT_TELEMETRY_DISABLED: '1',
      // Thousands of short-lived trees: with room for them a fifth of the time is saved.
      NODE_OPTIONS: `${process.env.NODE_OPTIONS ?? ''} --max-semi-space-size=64`.trim(),
    },
  })
  mkdirSync(dirname(mark), { recursive: true })
  writeFileSync(mark, wanted)
  console.log(`Built in ${Math.round((Date.now() - started) / 1000)} s.`)
}

/** True when nothing listens on a loopback port. */
export const portIsFree = (port) =>
  new Promise((resolve) => {
    const server = createServer()
    server.once('error', () => resolve(false))
    server.listen(port, '127.0.0.1', () => server.close(() => resolve(true)))
  })
