/**
 * Every view by itself, on a refit with everything, on one with next to nothing, and on refits as odd as the rules of
 * their rows allow: each stands, without a word or a number that only a machine would say.
 */
import { afterEach, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest'
import { knownDemo } from '../../demo/known'
import { demoNow } from '../../demo/sableWren'
import { entities, entityNames } from '#core/model/entities'
import type { EntityName, Row } from '#core/model/entities'
import { supposing } from '#core/model/applyChange'
import type { Field, Fields } from '#core/model/field'
import { isComputed } from '#core/model/references'
import type { RefitRows } from '#core/model/refit'
import { removal } from '#core/model/removal'
import { checkRow, ruleContext } from '#core/model/rules'
import { makePlan } from '#core/plan/makePlan'
import { add, emptyRefit, job, step } from '#core/testing/build'
import type { Building } from '#core/testing/build'
import { begunRefit } from '#core/testing/firstAnswers'
import { onPage, pages } from './page'

/** What a field of every row becomes; undefined: it stays. */
type Put = (field: Field<unknown>, value: unknown) => unknown

/** What is worked out is no row that anybody fills in. */
const given = entityNames.filter((entity) => !isComputed(entity))

/** The same rows with their fields changed, each where the rules of its row let it through. */
function varied(rows: RefitRows, put: Put): RefitRows {
  const context = ruleContext(rows)
  const vary = <Name extends EntityName>(entity: Name, row: Row<Name>): Row<Name> => {
    let now = row
    for (const [name, field] of Object.entries(entities[entity] as Fields)) {
      const value = field.byServer ? undefined : put(field, now[name as keyof Row<Name>])
      if (value === undefined) continue
      const next = { ...now, [name]: value }
      if (checkRow(entity, next, context).length === 0) now = next
    }
    return now
  }
  const lists = given.map((entity) => [
    entity,
    (rows[entity] as readonly Row<typeof entity>[]).map((row) => vary(entity, row)),
  ])
  return { ...rows, ...Object.fromEntries(lists) } as RefitRows
}
const isNumber = ({ kind }: Field<unknown>): boolean => kind === 'integer' || kind === 'real'
/** Nothing that may be left open is said, and every number is the smallest. */
const least: Put = (field) => {
  if (field.nullable) return null
  return isNumber(field) ? field.min : undefined
}
/** Every number is the largest, every switch the other way, every choice its last. */
const most: Put = (field, value) => {
  if (isNumber(field)) return field.max
  if (field.kind === 'flag') return !value
  return field.kind === 'choice' && value !== null ? field.options?.at(-1) : undefined
}

function planned(rows: RefitRows): RefitRows {
  const { plan: result } = makePlan(rows, demoNow)
  const plan = {
    id: 'plan',
    version: 1,
    inputsHash: '',
    at: demoNow,
    seed: 1,
    iterations: 0,
    result,
  }
  return { ...rows, plan: [plan as never] }
}
/**
 * Some of the demo's jobs, and all that is none of them: what a field says is said by each row in the same way. With all
 * of them each view stands in a browser (`e2e/access`).
 */
function someOf(rows: RefitRows): RefitRows {
  const ids = rows.job.filter((_, at) => at % 6 > 0).map((one) => one.id)
  return planned(supposing(rows, removal(rows, 'job', ids)))
}
const some = someOf(knownDemo())

const faults: string[] = []
beforeEach(() => {
  faults.length = 0
  vi.stubGlobal(
    'Worker',
    class {
      addEventListener = () => undefined
      removeEventListener = () => undefined
      postMessage = () => undefined
      terminate = () => undefined
    },
  )
  vi.stubGlobal('caches', { open: () => Promise.resolve({ keys: () => Promise.resolve([]) }) })
  for (const level of ['warn', 'error'] as const)
    vi.spyOn(console, level).mockImplementation((...said: readonly unknown[]) => {
      const words = said.map(String).join(' ')
      // There is no canvas here; what a chart shows is judged where it is drawn.
      if (!words.startsWith('Failed to create chart')) faults.push(words.slice(0, 300))
    })
})
afterEach(() => vi.restoreAllMocks())

async function textOf(path: string, rows: RefitRows, query: Readonly<Record<string, string>> = {}) {
  const { store, wrapper } = await onPage(path, rows, { query })
  expect(store.status).toBe('ready')
  const text = wrapper.text()
  const attributes = document.body.innerHTML
  wrapper.unmount()
  return { text, attributes }
}
const machineWords = /.{0,60}(\b(NaN|undefined|Infinity|null)\b|\[object |Invalid Date|∞).{0,40}/

describe.each([
  ['something of everything', () => some],
  ['next to nothing', () => emptyRefit() as RefitRows],
  ['no more than has to be said, of the least', () => varied(some, least)],
  ['the most of all, the other way', () => varied(some, most)],
] as const)('on a refit with %s', (_, rowsOf) => {
  let rows: RefitRows
  beforeAll(() => {
    rows = rowsOf()
  })
  it.each(pages)('%s stands', async (path) => {
    const { text, attributes } = await textOf(path, rows)
    expect(faults).toEqual([])
    expect(machineWords.exec(text)?.[0]).toBeUndefined()
    // A drawing with such a number in it is not drawn.
    expect(/="[^"]*\b(NaN|Infinity)\b[^"]*"/.exec(attributes)?.[0]).toBeUndefined()
  })
})

describe('a refit begun with five answers, and two jobs', () => {
  const now = Date.UTC(2027, 3, 17, 8)
  /** Nobody does the mechanics that the launch waits for; the other job wants a part of nobody's shop at no price. */
  function begun(): RefitRows {
    const rows = { ...begunRefit() } as Building
    for (const entity of ['job', 'step', 'part'] as const) Object.assign(rows, { [entity]: [] })
    job(rows, 'Engine', { gateId: rows.gate[0]?.id ?? null })
    step(rows, 'Engine', 'oil', { skill: 'mechanics', title: 'Oil' })
    job(rows, 'Hatch')
    step(rows, 'Hatch', 'bed', { title: 'Bed it' })
    add(rows, 'part', 'tape', { name: 'Masking tape', jobId: 'Hatch', neededByStepId: 'bed' })
    const { plan: result } = makePlan(rows, now)
    add(rows, 'plan', 'plan', { inputsHash: '', at: now, seed: 1, iterations: 1, result })
    return rows
  }
  const said = async (path: string, query = {}) =>
    (await textOf(path, begun(), query)).text.replace(/\s+/g, ' ')

  it('says no day of a launch that has none, and asks who does what it waits for', async () => {
    const launch = await said('launch')
    expect(launch).toContain('She has no day in the plan.')
    expect(launch).not.toContain('Planned for')
    expect(launch).toContain('Who does mechanics?')
    expect(await said('jobs')).toContain('Who does mechanics?')
    expect(await said('sequence')).toContain('Who does mechanics?')
  })
  it('says of no price that it is nothing', async () => {
    const money = await said('money')
    expect(money).toContain('No yard has prices yet.')
    expect(money).toContain('One part is wanted and has no price')
    expect(money).not.toContain('a day ashore €')
    const hours = await said('money', { show: 'hours' })
    expect(hours).toContain('No inch is earned and no sum planned yet')
    expect(hours).toContain('What most people find adds')
  })
  it('names what is to buy where no shop is known', async () => {
    const run = await said('stores', { show: 'run' })
    expect(run).toContain('No shop is written down')
    expect(run).toContain('Masking tape')
    expect(run).not.toContain('Nothing is wanted')
  })
})
