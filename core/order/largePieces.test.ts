/** A piece that has to pass the companionway, by its two smaller sides. */
import { describe, expect, it } from 'vitest'
import { job, step } from '../testing/build'
import { boat, clock, may, now, planOf } from '../testing/orderRefit'
import { outOfOrder } from './outOfOrder'
import { passes } from './rules/r19tooBigForTheWay'

const way = { wayWideMm: 560, wayHighMm: 900 }
const unknown = { wayWideMm: null, wayHighMm: null }

it('passes upright or on its side, and is not known to without both sizes', () => {
  expect(passes({ pieceWideMm: 560, pieceHighMm: 900 }, way)).toBe(true)
  expect(passes({ pieceWideMm: 900, pieceHighMm: 560 }, way)).toBe(true)
  expect(passes({ pieceWideMm: 561, pieceHighMm: 561 }, way)).toBe(false)
  expect(passes({ pieceWideMm: 100, pieceHighMm: 901 }, way)).toBe(false)
  expect(passes({ pieceWideMm: 100, pieceHighMm: null }, way)).toBeNull()
  expect(passes({ pieceWideMm: 100, pieceHighMm: 100 }, unknown)).toBeNull()
})

/** What is said of something fitted the day after the sole is shut. */
function told(what: string, piece: object, opening: object): string {
  const rows = boat()
  rows.refit = rows.refit.map((one) => ({ ...one, ...opening }))
  job(rows, 'floor', { zoneId: 'saloon' })
  step(rows, 'floor', 'sole down', { operation: 'close' })
  job(rows, 'in', { zoneId: 'saloon', ...piece })
  step(rows, 'in', 'in', { title: what, operation: 'fit' })
  const plan = planOf({ 'sole down': [may(8), may(8, 12)], in: [may(9), may(9, 12)] })
  return outOfOrder(rows, plan, clock, now).find((one) => one.rule === 19)?.sentence ?? ''
}

describe('what comes in after the way was shut', () => {
  it('is a stop by its size, whatever it is called', () => {
    const piece = { pieceWideMm: 600, pieceHighMm: 700 }
    expect(told('Chart table in', piece, way)).toMatch(
      /600 × 700 mm does not pass the companionway of 560 × 900 mm\.$/,
    )
    expect(told('Chart table in', piece, unknown)).toBe('')
  })

  it('is none where it passes the companionway, though it is a tank', () => {
    const small = { pieceWideMm: 400, pieceHighMm: 400 }
    expect(told('Water tank in', small, way)).toBe('')
    expect(told('Water tank in', small, unknown)).toMatch(/measure both: its largest piece/)
    expect(told('Water tank in', {}, way)).toMatch(/measure both/)
  })
})
