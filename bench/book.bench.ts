/** What search and the text of the boat's book cost, on the demo and on 2,000 steps. */
import { bookOf } from '#core/book/bookOf'
import { Search } from '#core/search/search'
import { bigRefit, withParts } from '~~/demo/bigRefit'
import { sableWren } from '~~/demo/sableWren'
import { medianMs } from './median'

const asked = ['sealnat', 'bed the hatch', 'deck core wet', 'p', 'antifouling bottom']

/** One row a refit. */
export function bookBench() {
  const refits = { demo: sableWren('r'), '2,000 steps': withParts(bigRefit(3), 5, 600) }
  return Object.entries(refits).map(([name, rows]) => {
    const search = new Search()
    const parts: number[] = []
    for (let isMore = true; isMore;) {
      const from = performance.now()
      isMore = search.take(rows, 120)
      parts.push(performance.now() - from)
    }
    const answers = asked.map((said) => medianMs(() => search.find(rows, said, 12)))
    const book = { systemId: null, isForOthers: false }
    return {
      refit: name,
      sheets: rows.asBuiltSheet.length,
      'read in parts': parts.length,
      'longest part, ms': Math.round(Math.max(...parts)),
      'slowest answer, ms': Math.max(...answers),
      'book, ms': medianMs(() => bookOf(rows, book, '2027-04-17', () => true)),
    }
  })
}
