/** A plan is laid anew exactly when something that it reads has changed. */
import { describe, expect, it } from 'vitest'
import { demoNow, sableWren } from '../../demo/sableWren'
import { entityNames, kinds } from '../model/entities'
import type { EntityName } from '../model/entities'
import type { RefitRows } from '../model/refit'
import { inputsHash } from './inputsHash'
import { makePlan } from './makePlan'

const demo = sableWren('r')
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

/** The demo with the first row of a kind one version on. */
const touched = (name: EntityName): RefitRows => {
  const [first, ...others] = demo[name] as unknown as readonly { readonly version: number }[]
  return { ...demo, [name]: [{ ...first, version: (first?.version ?? 0) + 1 }, ...others] }
}

describe('the fingerprint of a plan', () => {
  it('watches every kind of row that a plan reads', () => {
    expect(makePlan(watched(demo), demoNow).plan.placements.length).toBeGreaterThan(0)
  })

  it.each(entityNames.filter((name) => demo[name].length > 0))(
    'moves with a row of %s when a plan reads it, and only then',
    (name) => {
      expect(inputsHash(touched(name)) !== inputsHash(demo)).toBe(isInput(name))
    },
  )

  it('does not depend on the order in which rows arrive, and tells rows of one id and version apart', () => {
    const turned = Object.fromEntries(
      entityNames.map((name) => [name, [...demo[name]].reverse()]),
    ) as unknown as RefitRows
    expect(inputsHash(turned)).toBe(inputsHash(demo))
    const swapped = { ...demo, place: demo.zone, zone: demo.place } as unknown as RefitRows
    expect(inputsHash(swapped)).not.toBe(inputsHash(demo))
    expect(inputsHash({ ...demo, step: demo.step.slice(1) })).not.toBe(inputsHash(demo))
  })
})
