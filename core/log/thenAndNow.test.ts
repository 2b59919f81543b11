import { describe, expect, it } from 'vitest'
import { add, emptyRefit, job, step } from '../testing/build'
import { thenAndNow } from './thenAndNow'

/** A drain bedded on bare core that weeps, and the job that gives it a solid ring. */
function weeping() {
  const rows = emptyRefit()
  job(rows, 'bedded', { title: 'Drain bedded' })
  step(rows, 'bedded', 'bed-then', { operation: 'bed', state: 'done', doneAt: 1 })
  step(rows, 'bedded', 'filled-in-the-end-not', { operation: 'fill', state: 'dropped' })
  job(rows, 'ring', {
    title: 'Drain in a ring',
    recipeKey: 'dry-local-core',
    recipeInputs: { areaM2: 0.01, holes: 1, bolt: 20, skin: 9, core: 12, ring: 20, way: 'ring' },
  })
  step(rows, 'ring', 'drill', { operation: 'drill', state: 'done', doneAt: 2 })
  step(rows, 'ring', 'fill', { operation: 'fill' })
  step(rows, 'ring', 'not done after all', { operation: 'paint', state: 'dropped' })
  step(rows, 'ring', 'bed', { operation: 'bed' })
  add(rows, 'finding', 'weeps', { title: 'Weeps', againAfterJobId: 'bedded', jobId: 'ring' })
  return rows
}
const told = (rows: ReturnType<typeof weeping>) => thenAndNow(rows, { findingId: 'weeps' })
const ids = (steps: readonly { id: string }[] = []) => steps.map((one) => one.id)

describe('what came again beside what is made now', () => {
  it('tells the work that the last time had none of, and what is still to come', () => {
    const pair = told(weeping())
    expect(pair?.jobId).toBe('ring')
    expect(pair?.hasSteps).toBe(true)
    const bare = weeping()
    bare.step = bare.step.filter((one) => one.jobId !== 'ring' || one.state === 'dropped')
    expect(told(bare)).toMatchObject({ hasSteps: false, isNew: [], toCome: [] })
    expect(ids(pair?.isNew)).toEqual(['drill', 'fill'])
    expect(ids(pair?.toCome)).toEqual(['fill', 'bed'])
  })

  it('draws the last time on bare core, with the hole of now, where nothing was filled then', () => {
    const makes = told(weeping())?.makes
    expect(makes?.now.solid?.toMm).toBe(34)
    expect(makes?.then).toEqual({ ...makes?.now, solid: null })
  })

  it('draws nothing of a filling nobody knows the size of, and the dimensions of the last time where it had some', () => {
    const filled = weeping()
    step(filled, 'bedded', 'filled', { operation: 'fill', state: 'done', doneAt: 1 })
    expect(told(filled)).toMatchObject({ makes: null })
    job(filled, 'small-ring', {
      recipeKey: 'dry-local-core',
      recipeInputs: { areaM2: 0.01, holes: 1, bolt: 20, skin: 9, core: 12, ring: 10, way: 'ring' },
    })
    filled.finding = filled.finding.map((one) => ({ ...one, againAfterJobId: 'small-ring' }))
    expect(told(filled)?.makes?.then.solid?.toMm).toBe(24)
  })

  it('says nothing without a job that mends it now, or of the one that did not hold', () => {
    for (const jobId of [null, 'bedded']) {
      const rows = weeping()
      rows.finding = rows.finding.map((one) => ({ ...one, jobId }))
      expect(told(rows)).toBeNull()
    }
  })
})
