/** A plan is laid anew exactly when something that it reads has changed. */
import { describe, expect, it } from 'vitest'
import { knownDemo } from '../../demo/known'
import { demoNow } from '../../demo/sableWren'
import { oddsOf } from '../forecast/odds'
import { forecastRuns } from '../forecast/runs'
import { atOnce } from '../inParts'
import { entities, entityNames, kinds } from '../model/entities'
import type { EntityName } from '../model/entities'
import type { Field, Fields } from '../model/field'
import type { RefitRows } from '../model/refit'
import type { StoredPlan } from '../model/stored'
import { inputsHash, sameInputs } from './inputsHash'
import { makePlan } from './makePlan'

const demo = knownDemo()
const isInput = (name: EntityName) => kinds[name].planInput === true

/** The same rows; reading a kind that the fingerprint does not watch is refused. */
function watched(rows: RefitRows): RefitRows {
  return new Proxy(rows, {
    get(target, name) {
      if (typeof name === 'string' && name in target && !isInput(name as EntityName))
        throw new Error(`the plan reads ${name}, and its fingerprint does not`)
      return Reflect.get(target, name) as unknown
    },
    // A copy of the rows has what may be read, and no more.
    ownKeys: (target) => Reflect.ownKeys(target).filter((name) => isInput(name as EntityName)),
  })
}

/** The demo with fields of the first row of a kind, or of all, put to something else, and their versions one on. */
function touched(
  name: EntityName,
  put: (field: string, value: unknown) => unknown,
  all = false,
): RefitRows {
  const change = (row: object) =>
    Object.fromEntries(
      Object.entries(row).map(([field, value]) => [
        field,
        field === 'version' ? Number(value) + 1 : put(field, value),
      ]),
    )
  const list: readonly object[] = demo[name]
  return { ...demo, [name]: list.map((row, at) => (all || at === 0 ? change(row) : row)) }
}

/** Another value that the field may have. */
function otherThan(field: Field<unknown>, value: unknown): unknown {
  if (field.kind === 'choice') return field.options?.find((one) => one !== value)
  if (field.kind === 'integer' || field.kind === 'real') return Number(value ?? field.min) + 1
  if (field.kind === 'date') return value === '2031-08-09' ? '2031-08-10' : '2031-08-09'
  if (field.kind === 'ref') return value === null ? 'ann' : null
  return `${String(value ?? '')} (looked at once more)`.slice(0, field.max)
}

describe('the fingerprint of a plan', () => {
  it('watches every kind of row that a plan reads', () => {
    expect(makePlan(watched(demo), demoNow).plan.placements.length).toBeGreaterThan(0)
  })

  it.each(entityNames.filter((name) => demo[name].length > 0))(
    'moves with what a plan reads of %s, and only then',
    (name) => {
      const before = inputsHash(demo)
      for (const [field, { aside }] of Object.entries(entities[name] as Fields)) {
        const rows = touched(name, (one, value) => (one === field ? ['another'] : value))
        expect([field, inputsHash(rows) !== before]).toEqual([field, isInput(name) && !aside])
        expect([field, sameInputs(rows, demo)]).toEqual([field, !isInput(name) || !!aside])
      }
      expect(inputsHash(touched(name, (_, value) => value))).toBe(before)
    },
  )

  it('stands still only for what neither a plan nor a forecast reads', () => {
    const forecastOf = (rows: RefitRows, plan: StoredPlan) => {
      const runs = atOnce(forecastRuns(rows, plan, { seed: 3, from: 0, to: 12 }))
      return runs && oddsOf(rows, plan, runs)
    }
    const plan = makePlan(demo, demoNow).plan
    const odds = forecastOf(demo, plan)
    expect(odds?.runs).toBe(12)
    let fields = 0
    const others = entityNames.filter(isInput).map((name) => {
      const asides = Object.entries(entities[name] as Fields).filter(([, one]) => one.aside)
      fields += asides.length
      const of = new Map(asides)
      const put = (field: string, value: unknown) => {
        const one = of.get(field)
        return one ? otherThan(one, value) : value
      }
      return [name, touched(name, put, true)[name]]
    })
    const rows = { ...demo, ...Object.fromEntries(others) } as RefitRows
    expect(fields).toBeGreaterThan(30)
    expect(inputsHash(rows)).toBe(inputsHash(demo))
    const again = makePlan(rows, demoNow).plan
    expect(again).toEqual(plan)
    expect(forecastOf(rows, again)).toEqual(odds)
  })

  it('does not depend on the order in which rows arrive, and tells rows of one id apart', () => {
    const turned = Object.fromEntries(
      entityNames.map((name) => [name, [...demo[name]].reverse()]),
    ) as unknown as RefitRows
    expect(inputsHash(turned)).toBe(inputsHash(demo))
    const swapped = { ...demo, place: demo.zone, zone: demo.place } as unknown as RefitRows
    expect(inputsHash(swapped)).not.toBe(inputsHash(demo))
    expect(inputsHash({ ...demo, step: demo.step.slice(1) })).not.toBe(inputsHash(demo))
  })
})
