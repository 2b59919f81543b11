import { describe, expect, it } from 'vitest'
import { Waits } from '../plan/waits'
import { emptyRefit, job, step } from '../testing/build'
import { zoneClock } from '../time/zone'
import { preparedSteps } from './prepared'

const at = (hour: number) => Date.parse('2027-04-17T00:00Z') + hour * 3_600_000

describe('places that take what is left in the cup', () => {
  const rows = emptyRefit()
  job(rows, 'Deck')
  step(rows, 'Deck', 'sleeve', {
    operation: 'fill',
    state: 'done',
    doneAt: at(8),
    waitKind: 'moisture',
    waitHours: 5,
  })
  step(rows, 'Deck', 'plies', { operation: 'laminate' })
  step(rows, 'Deck', 'fair', { operation: 'fair' })
  job(rows, 'Lids')
  step(rows, 'Lids', 'cut', { operation: 'cut' })
  step(rows, 'Lids', 'ribs', { operation: 'fill' })
  job(rows, 'Some day', { decision: 'later' })
  step(rows, 'Some day', 'wished', { operation: 'fill' })
  job(rows, 'Holes')
  step(rows, 'Holes', 'plugs', { operation: 'fill' })
  const ready = (hour: number) =>
    preparedSteps(rows, new Waits(rows, zoneClock('UTC')), at(hour)).map((one) => [
      one.name,
      one.wants,
    ])

  it('are those that everything before is done and set for, on work that is planned', () => {
    expect(ready(12)).toEqual([['Holes: plugs', 'thick']])
    expect(ready(13)).toEqual([
      ['Deck: plies', 'thin'],
      ['Holes: plugs', 'thick'],
    ])
  })
})
