import { describe, expect, it } from 'vitest'
import type { KeptSum } from '../model/entities'
import { newRow } from '../model/newRow'
import type { Values } from './ask'
import { besideSums } from './beside'
import { initialValues } from './check'
import { plainTools } from './sum'
import type { Sum } from './sum'
import { sumOf } from './sums'

const bolt = sumOf('bolt-in-a-stack') as Sum
const tools = plainTools('metric')
/** 10 mm foot, 3 mm bedding to come, 4 + 15 + 3 mm of deck that are there, a plate to come. */
const stack: Values = {
  ...initialValues(bolt.asks),
  bolt: '12',
  bolts: 6,
  layers: [
    { what: 'foot', mm: 10, of: 'metal', there: 'there' },
    { what: 'bedding', mm: 3, of: 'bedding', there: 'toCome' },
    { what: 'outer skin', mm: 4, of: 'glass', there: 'there' },
    { what: 'balsa', mm: 15, of: 'core', there: 'there' },
    { what: 'inner skin', mm: 3, of: 'glass', there: 'there' },
    { what: 'plate', mm: 10, of: 'glass', there: 'toCome' },
  ],
}
const kept = (sumKey: string, inputs: Values): KeptSum =>
  newRow('keptSum', sumKey, { sumKey, jobId: 'job', inputs, says: 'kept', keptAt: 1 })
const beside = (sums: KeptSum[], values = stack, jobId = 'job') =>
  new Map(
    besideSums(bolt, values, { keptSum: sums }, { jobId, wants: [], tools }).map((one) => [
      one.sum.key,
      one,
    ]),
  )
const drillFigures = (more: Values): Values => ({
  ...initialValues((sumOf('before-you-drill') as Sum).asks),
  hole: 13.5,
  thick: 22,
  plate: 40,
  room: 60,
  oldHole: 80,
  outAlong: 100,
  outAcross: 50,
  inAlong: 101,
  inAcross: 50,
  behind: 40,
  beside: 90,
  ...more,
})

describe('sums beside one another', () => {
  it('pass on what the bit goes through, and nothing that is not there yet', () => {
    const drill = beside([]).get('before-you-drill')
    // ISO 273 medium for M12; 4 + 15 + 3, not the foot, the bedding or the plate.
    expect(drill?.values).toMatchObject({ hole: 13.5, thick: 22, plate: 36 })
    expect(drill?.state).toBe('fresh')
    // Nobody measured anything: room, old holes, both sides, beside and behind are all still to look at.
    expect(drill?.answer?.heading).toBe('5 things to look at before you drill')
    expect(beside([]).get('sleeved-holes')?.values).toMatchObject({
      holes: 6,
      bolt: '12',
      outer: 4,
      core: 15,
      inner: 3,
    })
  })

  it('say nothing of a load or a metal that nobody named', () => {
    for (const key of ['load-and-plate', 'metals-that-meet'])
      expect(beside([]).get(key)).toMatchObject({ state: 'open', answer: null, wrong: '' })
    expect(beside([]).get('metals-that-meet')?.values.touch).toMatchObject([
      { name: 'bolt in foot' },
    ])
  })

  it('stand as they are kept, and say so when the figures here are others', () => {
    const all = [kept('before-you-drill', drillFigures({}))]
    expect(beside(all).get('before-you-drill')).toMatchObject({ state: 'kept' })
    expect(beside(all).get('before-you-drill')?.values.plate).toBe(40)
    const thicker = {
      ...stack,
      layers: [{ what: 'deck', mm: 30, of: 'glass', there: 'there' }],
    }
    const now = beside(all, thicker).get('before-you-drill')
    expect(now?.state).toBe('changed')
    // Worked with the deck as it is now: 30 + (40 − 5).
    expect(now?.answer?.heading).toBe('drill, with the depth stop at 65 mm')
    // Another job's answer is no answer here.
    expect(beside(all, stack, 'other').get('before-you-drill')?.state).toBe('fresh')
  })

  it('carry a stop over', () => {
    const near = [kept('before-you-drill', drillFigures({ beside: 9 }))]
    expect(beside(near).get('before-you-drill')?.answer?.verdict).toBe('stop')
  })

  it('say why one cannot be worked', () => {
    const load = sumOf('load-and-plate') as Sum
    const one = [kept('load-and-plate', { ...initialValues(load.asks), row: 4 })]
    const found = beside(one, { ...stack, bolts: 3 }).get('load-and-plate')
    expect(found).toMatchObject({
      answer: null,
      wrong: 'More bolts in a row than there are bolts.',
    })
  })

  it('name only sums that are there', () => {
    for (const key of ['bolt-in-a-stack', 'sleeved-holes', 'loads-to-bank', 'cable-and-fuse']) {
      const sum = sumOf(key) as Sum
      const named = sum.beside?.(initialValues(sum.asks)) ?? []
      expect(named.length, key).toBeGreaterThan(0)
      for (const one of named) {
        const other = sumOf(one.sum)
        expect(other, one.sum).toBeDefined()
        const keys = new Set(other?.asks.map((ask) => ask.key))
        for (const given of Object.keys({ ...one.gives, ...one.begins }))
          expect(keys.has(given), `${key} → ${one.sum}.${given}`).toBe(true)
      }
    }
  })
})
