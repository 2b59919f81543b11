/** What drawing the Sequence, its order rules and its levers cost, on the demo and on 2,000 steps. */
import { bindingChain } from '#core/plan/chain'
import { chainLevers } from '#core/levers/chainLevers'
import { makePlan } from '#core/plan/makePlan'
import { Waits } from '#core/plan/waits'
import { atOnce } from '#core/inParts'
import { Asking } from '#core/plan/whatIf'
import { compareWays } from '#core/launchWays/compare'
import { launchWays, scopeOf } from '#core/launchWays/ways'
import { derive } from '#core/progress/derive'
import { outOfOrder } from '#core/order/outOfOrder'
import { sequenceFacts } from '#core/sequence/facts'
import { sceneOf } from '#core/sequence/scene'
import { weekendOf } from '#core/sequence/weekend'
import { zoneClock } from '#core/time/zone'
import { bigRefit } from '~~/demo/bigRefit'
import { demoNow, sableWren } from '~~/demo/sableWren'
import { medianMs } from './median'

/** One row a refit. */
export function sequenceBench() {
  const refits = { demo: sableWren('r'), '2,000 steps': bigRefit(3) }
  return Object.entries(refits).map(([name, rows]) => {
    const clock = zoneClock(rows.refit[0]?.zone ?? 'UTC')
    const { plan } = makePlan(rows, demoNow)
    const { gates, launch } = derive(rows, plan, demoNow)
    const gateId = launch?.gate.id ?? null
    const links = gateId === null ? [] : bindingChain(plan, rows, gateId, clock)
    const chain = links.flatMap((link) => link.stepId ?? [])
    const read = () => sequenceFacts(rows, plan, clock, new Waits(rows, clock), demoNow)
    const facts = read()
    const ask = { width: 1280, height: 595, now: demoNow, gateId, links, flags: [] }
    const draw = (view: 'launch' | 'seasons') => () => sceneOf(facts, { ...ask, view, gates })
    const weekend = { ...ask, day: clock.dayOf(demoNow), hours: [], meanC: () => null }
    const of = { gateId: launch?.gate.id ?? '', stepIds: chain }
    const [lever] = chainLevers(rows, plan, clock, of)
    const supposed = new Asking(rows, demoNow, plan)
    const haulOutId = launch?.gate.haulOutId ?? ''
    const scope = scopeOf(rows, plan, haulOutId, clock)
    const asked = { haulOutId, needed: null, againOn: '2027-07-01', againId: 'a', againGateId: 'b' }
    const ways = () =>
      scope &&
      atOnce(
        compareWays(rows, supposed, launchWays(rows, scope, asked), scope.gate.id, demoNow, clock),
      )
    let ids = 0
    const items = lever?.items(() => `id${ids++}`) ?? []
    return {
      refit: name,
      'facts, ms': medianMs(read),
      'to the launch, ms': medianMs(draw('launch')),
      'seasons, ms': medianMs(draw('seasons')),
      'two days, ms': medianMs(() => weekendOf(facts, weekend)),
      'order rules, ms': medianMs(() => outOfOrder(rows, plan, clock, demoNow)),
      'levers offered': chainLevers(rows, plan, clock, of).length,
      'ways to launch, ms': medianMs(ways),
      'one lever tried, ms': medianMs(() => atOnce(supposed.whatIf(items))),
    }
  })
}
