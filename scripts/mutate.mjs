/**
 * npm run mutate -- [COUNT] [SEED] [PATH…]: small changes to the code, one at a time, from a seed; each should make a
 * test fail. Prints those that no test noticed. Works in copies beside the system's temporary files.
 */
import {
  cpSync,
  mkdtempSync,
  readFileSync,
  readdirSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs'
import { spawn } from 'node:child_process'
import { tmpdir } from 'node:os'
import { join, relative } from 'node:path'
import { ensurePackages, root } from './prepare.mjs'

ensurePackages()
const { default: ts } = await import('typescript')

const [, , count = '400', seed = '1', ...paths] = process.argv
const places = paths.length > 0 ? paths : ['core', 'server/services']
/** A test that runs longer than this beside another has not noticed the change, but hangs on it: noticed. */
const mostMs = 240_000
const atOnce = 2

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

/** TypeScript files under a path, or the path itself. */
const filesIn = (path) =>
  path.endsWith('.ts')
    ? [path]
    : readdirSync(join(root, path), { withFileTypes: true })
        .filter((one) => one.isDirectory() || one.name.endsWith('.ts'))
        .flatMap((one) => filesIn(join(path, one.name)))
/** Tables of facts: their lines are right or wrong by their source, not by what the program makes of them. */
const tables = [
  'core/recipes/book/',
  'core/recipes/starterList.ts',
  'core/time/seaClimate.ts',
  'core/fastening/threads.ts',
  'server/db/migrations/',
]
const isTried = (path) =>
  !/\.test\.ts$|\/testing\/|\.d\.ts$|(words|said)\.ts$/.test(path) &&
  !tables.some((table) => path.startsWith(table))

const K = ts.SyntaxKind
const swaps = new Map([
  [K.LessThanToken, '<='],
  [K.LessThanEqualsToken, '<'],
  [K.GreaterThanToken, '>='],
  [K.GreaterThanEqualsToken, '>'],
  [K.EqualsEqualsEqualsToken, '!=='],
  [K.ExclamationEqualsEqualsToken, '==='],
  [K.AmpersandAmpersandToken, '||'],
  [K.BarBarToken, '&&'],
  [K.PlusToken, '-'],
  [K.MinusToken, '+'],
  [K.AsteriskToken, '/'],
  [K.SlashToken, '*'],
])
const methods = new Map([
  ['some', 'every'],
  ['every', 'some'],
  ['min', 'max'],
  ['max', 'min'],
  ['ceil', 'floor'],
  ['floor', 'ceil'],
])

/** Every small change that a file admits: where, how long, and what comes in its place. */
function changesIn(path) {
  const text = readFileSync(join(root, path), 'utf8')
  const source = ts.createSourceFile(path, text, ts.ScriptTarget.Latest, true)
  const found = []
  const add = (node, put) =>
    found.push({ path, from: node.getStart(source), to: node.getEnd(), put })
  const visit = (node) => {
    // Types do nothing, and what is said is judged by people.
    if (ts.isTypeNode(node) || ts.isImportDeclaration(node) || ts.isInterfaceDeclaration(node))
      return
    if (ts.isBinaryExpression(node)) {
      const { operatorToken: sign, left, right } = node
      const put = swaps.get(sign.kind)
      const joinsText =
        sign.kind === K.PlusToken && (ts.isStringLiteralLike(left) || ts.isStringLiteralLike(right))
      if (put && !joinsText) add(sign, put)
    } else if (node.kind === K.TrueKeyword) add(node, 'false')
    else if (node.kind === K.FalseKeyword) add(node, 'true')
    else if (ts.isNumericLiteral(node)) add(node, String(Number(node.text) + 1))
    else if (ts.isPrefixUnaryExpression(node) && node.operator === K.ExclamationToken)
      add(node, `(${node.operand.getText(source)})`)
    else if (ts.isIfStatement(node)) add(node.expression, 'false')
    else if (ts.isConditionalExpression(node)) add(node.condition, 'true')
    else if (ts.isPropertyAccessExpression(node) && methods.has(node.name.text))
      add(node.name, methods.get(node.name.text))
    ts.forEachChild(node, visit)
  }
  visit(source)
  return found
}

/** A copy of the project to spoil. */
function workshop() {
  const folder = mkdtempSync(join(tmpdir(), 'inch-ahead-mutate-'))
  const skipped = ['node_modules', '.git', '.output', 'test-results', '.data', '.demo-data']
  cpSync(root, folder, {
    recursive: true,
    filter: (source) => !skipped.includes(relative(root, source).split('/')[0]),
  })
  symlinkSync(join(root, 'node_modules'), join(folder, 'node_modules'))
  return folder
}

/** True when a test noticed. Tests of the built server do not see the change and are left out. */
const noticed = (folder, path) =>
  new Promise((resolve) => {
    const wanted = ['vitest', 'related', path, '--run', '--bail', '1', '--reporter', 'dot']
    const left = ['http', 'store', 'fuzz', 'solve'].flatMap((name) => [
      '--exclude',
      `tests/server/${name}.test.ts`,
    ])
    const child = spawn('npx', [...wanted, ...left], {
      cwd: folder,
      stdio: 'ignore',
      detached: true,
    })
    const timer = setTimeout(() => process.kill(-child.pid, 'SIGKILL'), mostMs)
    child.on('exit', (status) => {
      clearTimeout(timer)
      resolve(status !== 0)
    })
  })

const random = dice(Number(seed))
const all = places.flatMap(filesIn).filter(isTried).flatMap(changesIn)
const chosen = []
while (chosen.length < Math.min(Number(count), all.length))
  chosen.push(...all.splice(Math.floor(random() * all.length), 1))
console.log(`${chosen.length} of ${all.length + chosen.length} small changes, seed ${seed}`)

let done = 0
let killed = 0
async function work() {
  const folder = workshop()
  try {
    for (let next = chosen.pop(); next; next = chosen.pop()) {
      const file = join(folder, next.path)
      const text = readFileSync(file, 'utf8')
      writeFileSync(file, text.slice(0, next.from) + next.put + text.slice(next.to))
      const seen = await noticed(folder, next.path)
      writeFileSync(file, text)
      done++
      if (seen) killed++
      else {
        const line = text.slice(0, next.from).split('\n').length
        console.log(
          `not noticed: ${next.path}:${line} ${text.slice(next.from, next.to).replace(/\s+/g, ' ').slice(0, 60)} → ${next.put.slice(0, 60)}`,
        )
      }
    }
  } finally {
    rmSync(folder, { recursive: true, force: true })
  }
}
const tally = () =>
  console.log(`${killed} of ${done} noticed, ${Math.round((100 * killed) / Math.max(1, done))} %`)
// Ended early, it says how far it came.
for (const signal of ['SIGINT', 'SIGTERM'])
  process.on(signal, () => {
    tally()
    process.exit(1)
  })
await Promise.all(Array.from({ length: atOnce }, work))
tally()
