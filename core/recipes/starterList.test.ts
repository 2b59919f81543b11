import { describe, expect, it } from 'vitest'
import { supposing } from '../model/applyChange'
import { newRow } from '../model/newRow'
import type { RefitRows } from '../model/refit'
import { systemKinds } from '../model/words'
import { begunRefit } from '../testing/firstAnswers'
import { recipeBook } from './book'
import { starterJobs } from './starterJobs'
import type { OthersGo } from './starterJobs'
import { starterList } from './starterList'

let last = 0
const newId = () => `s${last++}`
const fresh = begunRefit

describe('the starter list', () => {
  it('has a job for every system, each with a recipe that stands or steps', () => {
    expect(new Set(starterList.map((one) => one.system))).toEqual(new Set(systemKinds))
    for (const one of starterList)
      expect(
        one.recipe === undefined
          ? (one.steps?.length ?? 0) > 0
          : recipeBook.some((recipe) => recipe.key === one.recipe),
        one.key,
      ).toBe(true)
    expect(new Set(starterList.map((one) => one.key)).size).toBe(starterList.length)
  })
  it('makes what is ticked, in its system and place, before the launch where it must be', () => {
    const rows = fresh()
    const after = supposing(rows, starterJobs(rows, ['valves', 'gas'], { to: 'whenTime' }, newId))
    const [valves, gas] = after.job
    expect(valves).toMatchObject({ recipeKey: 'sea-valve', gateId: rows.gate[0]?.id, placed: true })
    expect(after.zone.find((zone) => zone.id === valves?.zoneId)?.name).toBe('Through-hulls')
    expect(
      after.step.filter((step) => step.jobId === gas?.id).map((step) => step.licensedKind),
    ).toEqual(['gas', null])
    // Strip, check, lap, work, clip, log, watch, second look.
    expect(after.step.filter((step) => step.jobId === valves?.id)).toHaveLength(8)
  })
  it('puts the others before a gate, where there is time, or leaves them to be placed; those of the launch stay', () => {
    const rows = fresh()
    const launch = rows.gate[0]?.id ?? ''
    const sail = newRow('gate', 'sail', { name: 'Sail away', kind: 'asap' })
    const withSail = { ...rows, gate: [...rows.gate, sail] }
    const placed = (of: RefitRows, othersGo: OthersGo) =>
      supposing(of, starterJobs(of, ['valves', 'gas'], othersGo, newId)).job.map((one) => [
        one.gateId,
        one.placed,
      ])
    expect(placed(withSail, { to: 'gate', gateId: 'sail' })).toEqual([
      [launch, true],
      ['sail', true],
    ])
    expect(placed(rows, { to: 'whenTime' })[1]).toEqual([null, true])
    expect(placed(rows, { to: 'oneByOne' })).toEqual([
      [launch, true],
      [null, false],
    ])
    // Without a launch those before it go where the others go.
    expect(placed({ ...rows, gate: [sail] }, { to: 'gate', gateId: 'sail' })[0]).toEqual([
      'sail',
      true,
    ])
  })
  it('knows people, skill, hull and what can hurt: two for a climb, ashore below the waterline', () => {
    const rows = fresh()
    const keys = ['rig-check', 'keel-bolts', 'hoses']
    const after = supposing(rows, starterJobs(rows, keys, { to: 'whenTime' }, newId))
    const step = (title: RegExp) => after.step.find((one) => title.test(one.title))
    expect(step(/Aloft/)).toMatchObject({ crewMin: 2, skill: 'aloft', needsDry: true })
    expect(step(/Aloft/)?.caution).toMatch(/Two lines/)
    expect(step(/Torque/)).toMatchObject({ hullNeed: 'ashore' })
    expect(step(/Torque/)?.caution).toMatch(/weight standing on the keel/)
    expect(step(/In the slings/)).toMatchObject({ hullNeed: 'slings', crewMin: 2 })
  })
  it('finds every place it names in a new refit', () => {
    const names = new Set(fresh().zone.map((zone) => zone.name))
    expect(starterList.flatMap((one) => one.zone ?? []).filter((zone) => !names.has(zone))).toEqual(
      [],
    )
  })
})
