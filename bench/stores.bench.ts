/** What windows, pools and the drawing of the stores cost, on the demo and on 2,000 steps with 600 parts. */
import { handsOn } from '#core/plan/handsOn'
import { makePlan } from '#core/plan/makePlan'
import { Waits } from '#core/plan/waits'
import { derive } from '#core/progress/derive'
import { sequenceFacts } from '#core/sequence/facts'
import { buyBoard } from '#core/stores/board'
import { buyScene } from '#core/stores/buyScene'
import { kitDays } from '#core/stores/kits'
import { storeFacts } from '#core/stores/storeFacts'
import { zoneClock } from '#core/time/zone'
import { bigRefit, withParts } from '~~/demo/bigRefit'
import { demoNow, sableWren } from '~~/demo/sableWren'
import { medianMs } from './median'

/** One row a refit. */
export function storesBench() {
  const refits = { demo: sableWren('r'), '2,000 steps': withParts(bigRefit(3), 5, 600) }
  return Object.entries(refits).map(([name, rows]) => {
    const clock = zoneClock(rows.refit[0]?.zone ?? 'UTC')
    const { plan } = makePlan(rows, demoNow)
    const hands = handsOn(rows, plan, clock)
    const { gates, launch } = derive(rows, plan, demoNow)
    const read = () => storeFacts(rows, plan, clock, hands, demoNow)
    const facts = read()
    const board = buyBoard(facts)
    const drawn = sequenceFacts(rows, plan, clock, new Waits(rows, clock), demoNow)
    const ask = {
      width: 960,
      height: 590,
      now: demoNow,
      gates,
      gateId: launch?.gate.id ?? null,
      currency: 'EUR',
      unfolded: new Set<string>(),
    }
    return {
      refit: name,
      parts: rows.part.length,
      rows: board.rows.length,
      'windows, ms': medianMs(read),
      'pools and trades, ms': medianMs(() => buyBoard(facts)),
      'drawing, ms': medianMs(() => buyScene(facts, drawn, board, ask)),
      'kits, ms': medianMs(() => kitDays(facts, 4)),
    }
  })
}
