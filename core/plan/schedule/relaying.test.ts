import { draws } from '../../../tests/draws'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { bigRefit } from '~~/demo/bigRefit'
import { knownDemo } from '~~/demo/known'
import { demoNow } from '~~/demo/sableWren'
import { oddNow, oddRefit } from '~~/tests/judge/oddRefit'
import { dayMs } from '../../time/civil'
import { latestStartFirst, layPass, prepare, relay } from '../prepare'
import type { Prepared } from '../prepare'
import type { Pass } from './pass'

/** Steps in the order in which they are placed are part of a pass: an accepted sequence is read off it. */
const written = ({ placements, launches, remarks, ashore }: Pass) => ({
  launches,
  remarks,
  placements: [...placements],
  ashore: ashore.map(({ from, launchAt }) => [from, launchAt]),
})

const supposed = fc.array(
  fc.record({ at: fc.nat(), days: fc.option(fc.integer({ min: 1, max: 90 })) }),
  { minLength: 1, maxLength: 4 },
)

/** Lays a refit again under one supposition after the other, each as a pass from the start has it. */
function agrees(prepared: Prepared, all: readonly { at: number; days: number | null }[][]): void {
  const ids = [...prepared.compiled.activities.keys()]
  if (ids.length === 0) return
  const lay = relay(prepared, latestStartFirst)
  for (const some of all) {
    const dropped = new Set<string>()
    const delayed = new Map<string, number>()
    for (const { at, days } of some) {
      const id = ids[at % ids.length] as string
      if (days === null) dropped.add(id)
      else delayed.set(id, prepared.compiled.now + days * dayMs)
    }
    expect(written(lay({ dropped, delayed }))).toEqual(
      written(layPass(prepared, latestStartFirst, { dropped, delayed })),
    )
  }
}

describe('a pass that goes on from a checkpoint', () => {
  it('gives what one from the first step gives, whatever is supposed', () => {
    const many = fc.array(supposed, { minLength: 2, maxLength: 6 })
    fc.assert(
      fc.property(fc.nat(1e6), fc.integer({ min: 2, max: 40 }), many, (seed, size, all) =>
        agrees(prepare(oddRefit(seed, size), oddNow), all),
      ),
      { numRuns: draws(14) },
    )
    fc.assert(
      fc.property(fc.nat(1e6), many, (seed, all) =>
        agrees(prepare(bigRefit(seed, 25, 4, 2), Date.UTC(2027, 3, 16, 12)), all),
      ),
      { numRuns: 15 },
    )
  })

  it('does so with days on which she is wanted, and leaves what was laid before alone', () => {
    const prepared = prepare(knownDemo(), demoNow)
    const ids = [...prepared.compiled.activities.keys()]
    const all = ids.flatMap((_, at) => (at % 12 === 0 ? [[{ at, days: at % 24 ? null : 20 }]] : []))
    agrees(prepared, all)
  })
})
