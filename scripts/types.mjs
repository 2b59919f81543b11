/**
 * Checks every type of the program and its tests. The compiler reads TypeScript alone: what a component comes to in it
 * is written beside, by the same package the editors use, and what is found there is said of the component.
 */
import { spawnSync } from 'node:child_process'
import { mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { dirname, join, relative } from 'node:path'
import { SourceMap } from '@volar/source-map'
import { root } from './prepare.mjs'

const require = createRequire(import.meta.url)
const ts = require('typescript')
const vue = require('@vue/language-core')

const folder = join(root, '.nuxt', 'typed')
const config = join(root, 'tsconfig.all.json')

/** What each written file is made of, by its path. */
const made = new Map()

/** A component of this check's own, with a fault in its code and one in its template: where neither is told, it is blind. */
const probe = {
  file: join('app', 'ProbeOfTypes.vue'),
  source: `<script setup lang="ts">\nconst shown: number = 'none'\n</script>\n\n<template>\n  <p>{{ shown }}{{ missing }}</p>\n</template>\n`,
  faults: ['(2,7): error TS2322', '(6,20): error TS2339'],
}

function writeComponents({ options, vueOptions }) {
  const plugin = vue.createVueLanguagePlugin(ts, options, vueOptions, (id) => id)
  const files = readdirSync(join(root, 'app'), { recursive: true })
    .filter((one) => one.endsWith('.vue'))
    .map((one) => join('app', one))
    .map((file) => ({ file, source: readFileSync(join(root, file), 'utf8') }))
  for (const { file, source } of [...files, probe]) {
    const at = join(folder, file)
    const code = plugin.createVirtualCode(at, 'vue', ts.ScriptSnapshot.fromString(source))
    const { code: script, extension } = plugin.typescript.getServiceScript(code)
    const text = script.snapshot.getText(0, script.snapshot.getLength())
    mkdirSync(dirname(at), { recursive: true })
    writeFileSync(at + extension, text)
    made.set(relative(root, at + extension), { file, source, text, mappings: script.mappings })
  }
}

/** The same settings, with the written files in the place of the components. */
function writeConfig({ options }) {
  const beside = (path) => {
    const full = join(options.pathsBasePath, path)
    return [full, join(folder, relative(root, full))]
  }
  const paths = Object.entries(options.paths).map(([name, places]) => [
    name,
    places.flatMap(beside),
  ])
  const own = {
    extends: config,
    compilerOptions: { paths: Object.fromEntries(paths), rootDirs: [root, folder] },
    include: [
      ...JSON.parse(readFileSync(config, 'utf8')).include.map((one) => join(root, one)),
      join(folder, '**/*'),
    ],
  }
  writeFileSync(join(folder, 'tsconfig.json'), JSON.stringify(own))
}

const startsOfLines = (text) => [0, ...[...text.matchAll(/\n/g)].map(({ index }) => index + 1)]

function placeOf(text, offset) {
  const starts = startsOfLines(text).filter((start) => start <= offset)
  return `${starts.length},${offset - starts.at(-1) + 1}`
}

/** Whether a fault of this number is one of the component there, and not of what was only written around it. */
const isTold = (code) => (data) =>
  typeof data.verification === 'object'
    ? (data.verification.shouldReport?.('ts', code) ?? true)
    : data.verification === true

/** What a line of the compiler says of our files; null: it is about what was only written around a component. */
function saidOf(line) {
  const [, path, row, column, code, words] =
    /^(.+?)\((\d+),(\d+)\): error TS(\d+): (.*)$/.exec(line) ?? []
  const component = made.get(path)
  // One file that cannot be read keeps the compiler from looking at any types.
  if (!component || /^1\d{3}$/.test(code)) return line
  const { file, source, text, mappings } = component
  const offset = startsOfLines(text)[row - 1] + Number(column) - 1
  // An element is put into what bears its name.
  const [, unread] = /^'(.+)' is declared but its value is never read/.exec(words) ?? []
  if (unread && source.includes(`ref="${unread}"`)) return null
  const [first] = new SourceMap(mappings).toSourceLocation(offset, isTold(code))
  return first ? `${file}(${placeOf(source, first[0])}): error TS${code}: ${words}` : null
}

rmSync(folder, { recursive: true, force: true })
mkdirSync(folder, { recursive: true })
const known = vue.createParsedCommandLine(ts, ts.sys, config)
writeComponents(known)
writeConfig(known)
const compiler = join(dirname(require.resolve('typescript-native/package.json')), 'bin', 'tsc')
const { status, signal, stdout, stderr, error } = spawnSync(
  process.execPath,
  [compiler, '--noEmit', '--pretty', 'false', '--checkers', '2', '-p', folder],
  {
    cwd: root,
    encoding: 'utf8',
    maxBuffer: 1024 ** 3,
    // It lets go of little before it ends: a fifth of its time is saved where it tidies up only when memory runs short.
    env: { GOGC: '800', GOMEMLIMIT: '3GiB', ...process.env },
  },
)
if (error) throw error
if (signal) throw new Error(`The compiler was ended by ${signal}.`)
/** A fault and the lines that go on about it. */
const faults = stdout.split(/\n(?=\S)/).filter((one) => one.trim() !== '')
const told = faults.flatMap((one) => {
  const [line, ...more] = one.trimEnd().split('\n')
  const said = saidOf(line)
  return said === null ? [] : [[said, ...more].join('\n')]
})
const isOfProbe = (one) => one.startsWith(probe.file)
const missed = probe.faults.filter((one) => !told.some((said) => said.startsWith(probe.file + one)))
const real = told.filter((one) => !isOfProbe(one))
if (stderr) console.error(stderr)
for (const one of new Set(real)) console.log(one)
for (const one of missed)
  console.log(`Faults of components are not told any more: ${probe.file}${one}`)
// The probe's own faults end the compiler with a number of its own; 0 would be no look at all.
process.exit(real.length > 0 || missed.length > 0 || status === 0 || stderr !== '' ? 1 : 0)
