/** npm run bench: figures of the plan on the big refit, as a table. */
import { build } from 'esbuild'
import { join } from 'node:path'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { pathToFileURL } from 'node:url'
import { scrollJobs } from './benchPage.mjs'
import { benchFirst } from './benchFirst.mjs'
import { benchKill } from './benchKill.mjs'
import { benchLoad } from './benchLoad.mjs'
import { benchSums } from './benchSums.mjs'
import { benchPrint } from './benchPrint.mjs'
import { benchWalk } from './benchWalk.mjs'
import { makeOldDatabase } from './oldDatabase.mjs'
import { ensureBuild, ensurePackages, root, run } from './prepare.mjs'

ensurePackages()
const folder = mkdtempSync(join(tmpdir(), 'inch-ahead-bench-'))
const outfile = join(folder, 'bench.mjs')
await build({
  entryPoints: [join(root, 'bench/index.ts')],
  bundle: true,
  platform: 'node',
  format: 'esm',
  alias: { '#core': join(root, 'core'), '~~': root },
  outfile,
  logLevel: 'error',
})
const {
  again,
  bench,
  bookBench,
  coverage,
  bigFile,
  byFamily,
  createRandom,
  cutBench,
  firstTables,
  jobsBench,
  judged,
  moneyBench,
  overTime,
  sampled,
  sequenceBench,
  storesBench,
  sumsBench,
  stability,
  truth,
} = await import(pathToFileURL(outfile).href)

/** npm run bench -- server: how long edits take with twenty people at once. */
async function serverBench() {
  ensureBuild()
  console.log('Twenty clients on 5,000 steps')
  console.table(await benchLoad(bigFile(1250)))
}

/** npm run bench -- kill 300: killed in the midst of everything it writes. */
async function killBench(cycles) {
  ensureBuild()
  const oldDatabase = join(folder, 'old.sqlite')
  await makeOldDatabase(oldDatabase, firstTables)
  const { counts, faults } = await benchKill({ cycles, oldDatabase, dice: createRandom(1) })
  console.log(`Killed over ${cycles} cycles`)
  console.table(counts)
  console.log(faults.length === 0 ? 'Nothing that was acknowledged was lost.' : faults.join('\n'))
  return faults.length === 0 ? 0 : 1
}

/** npm run bench -- fuzz 12000: requests at random over every route. */
const fuzzBench = (many) =>
  run('npx', ['vitest', 'run', 'tests/server/fuzz.test.ts'], {
    mayFail: true,
    env: { ...process.env, FUZZ: String(many) },
  })

/** npm run bench -- draws 10: properties that lay whole plans, over so many times the cases of `npm test`. */
const drawsBench = (times) =>
  run(
    'npx',
    [
      'vitest',
      'run',
      'core/plan',
      'core/sequence',
      'tests/judge',
      'tests/server/history.test.ts',
      'app/sync',
    ],
    {
      mayFail: true,
      env: { ...process.env, DRAWS: String(times) },
    },
  )

/** npm run bench -- first: how soon a view can be used on a slow machine, and what it fetches. */
async function firstBench() {
  ensureBuild()
  console.table(await benchFirst())
}

/** npm run bench -- plans 2000 7: random refits from a seed, planned and judged. */
function plansBench(count, seed) {
  const broken = judged(count, seed)
  console.log(`${count} random refits from seed ${seed}, ${broken.length} whose plan does not hold`)
  console.table(broken)
  return broken.length === 0 ? 0 : 1
}

/** npm run bench -- coverage 400 1: how often the bands of the forecast hold what happens. */
function coverageBench(count, seed) {
  console.log(`Made-up histories, forecast when half lived`)
  console.table(coverage(count, seed))
}

/** npm run bench -- truth 100 1: what plans do when something of their refit changes. */
function truthBench(count, seed) {
  console.table([truth(count, seed)])
  console.log('The demo')
  console.table([stability()])
}

/** npm run bench -- samples 1000: draws of the demo as a forecast lays them. */
const samplesBench = (draws, seed) => console.table([sampled(draws, seed)])

/** npm run bench -- sequence: what the drawing, its rules and its levers cost. */
const drawingBench = () => console.table(sequenceBench())
/** npm run bench -- stores: what windows, pools and kits cost. */
const buyingBench = () => console.table(storesBench())

/** npm run bench -- sums: what the sums of the bench cost, and how soon they stand on a slow machine. */
async function benchBench() {
  ensureBuild()
  const { answers, board } = sumsBench()
  console.table(answers)
  console.table([board])
  console.table([await benchSums()])
}

/** npm run bench -- book: search over all that is written, and the text of the book. */
const writtenBench = () => console.table(bookBench())

/** npm run bench -- cut 1: the roll, so many seconds a sheet. */
const rollBench = (seconds) => console.table(cutBench(seconds))

/** npm run bench -- print 60: the book on paper, two pictures a sheet. */
async function printBench(sheets) {
  console.table(await benchPrint(sheets))
}

/** npm run bench -- money 1000: accounts of 5,000 entries, and so many runs of a forecast. */
function booksBench(runs) {
  const { books, runs: forecast } = moneyBench(runs)
  console.table(books)
  console.table(forecast)
}

/** npm run bench -- walk 500: the boat map with many findings, panned. */
async function walkBench(many) {
  console.table(await benchWalk(many))
}

const [, , only, size, seed = '1'] = process.argv
const one = {
  server: () => serverBench(),
  kill: () => killBench(Number(size ?? 300)),
  fuzz: () => fuzzBench(Number(size ?? 12000)),
  draws: () => drawsBench(Number(size ?? 10)),
  first: () => firstBench(),
  plans: () => plansBench(Number(size ?? 2000), Number(seed)),
  coverage: () => coverageBench(Number(size ?? 400), Number(seed)),
  truth: () => truthBench(Number(size ?? 100), Number(seed)),
  walk: () => walkBench(Number(size ?? 500)),
  sequence: () => drawingBench(),
  stores: () => buyingBench(),
  book: () => writtenBench(),
  sums: () => benchBench(),
  cut: () => rollBench(Number(size ?? 1)),
  print: () => printBench(Number(size ?? 60)),
  money: () => booksBench(Number(size ?? 1000)),
  samples: () => samplesBench(Number(size ?? 1000), Number(seed)),
}[only]
if (one) {
  const status = await one()
  rmSync(folder, { recursive: true, force: true })
  process.exit(status ?? 0)
}
// npm run bench -- jobs: only what the list of jobs asks for.
console.log('Ranking 500 jobs')
console.table(jobsBench())
console.log('Scrolling 500 jobs')
const inThePage = await scrollJobs(bigFile())
console.table(inThePage.rows)
console.log('Looking at the Sequence of 2,000 steps')
console.table([inThePage.sequence])
if (process.argv.includes('jobs')) {
  rmSync(folder, { recursive: true, force: true })
  process.exit(0)
}
console.log('Planning a refit')
console.table(bench())
console.log('The kernel again and again')
console.table(again())
console.log('Improving a plan of 400 steps')
console.table(overTime())
console.log('The kernel by family, half a second each')
console.table(byFamily())
rmSync(folder, { recursive: true, force: true })
