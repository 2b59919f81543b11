/** What came of an order, and what of it is here; by hand. */
import { describe, expect, it } from 'vitest'
import type { Row } from '../model/entities'
import { after, draft, factsOf, lineOf, newId, refit, whole } from '../testing/storesRefit'
import type { Rows } from '../testing/storesRefit'
import { add } from '../testing/build'
import { kitDays, sayKit } from './kits'
import { lineStates } from './lineState'
import { arriveItems, orderItems } from './ordering'
import { partAt } from './thingAt'

describe('what came', () => {
  const arrival = whole
  /** Three metres for the hatch and two for the port, five ordered. */
  function ordered() {
    const rows = refit()
    add(rows, 'part', 'port', {
      name: 'Rubber',
      unit: 'm',
      quantity: 2,
      jobId: 'hatch',
      neededByStepId: 'measure',
    })
    const all = after(rows, orderItems(rows, draft, [lineOf(5, ['rubber', 'port'])], newId))
    return { all, line: all.purchaseLine[0] as Row<'purchaseLine'> }
  }
  const states = (rows: Rows) => rows.part.map((one) => `${one.id} ${one.state}`).sort()

  it('goes first to what is needed first; the rest is due on another day', () => {
    const { all, line } = ordered()
    const some = after(
      all,
      arriveItems(
        all,
        line,
        { ...arrival, quantity: 2, restDueOn: '2027-05-20' },
        ['port', 'rubber'],
        newId,
      ),
    )
    expect(states(some)).toEqual(['port arrived', 'rubber ordered'])
    expect(some.part.find((one) => one.id === 'rubber')?.arrivesOn).toBe('2027-05-20')
    expect(lineStates(some).get(line.id)).toMatchObject({
      came: 2,
      toCome: 3,
      over: 0,
      dueOn: '2027-05-20',
    })
    // Three more and two over: they go on the shelf.
    const whole = after(
      some,
      arriveItems(some, line, { ...arrival, quantity: 5 }, ['port', 'rubber'], newId),
    )
    expect(states(whole)).toEqual(['port arrived', 'rubber arrived'])
    expect(whole.stock).toMatchObject([{ name: 'Rubber', quantity: 2, unit: 'm', at: 'boat' }])
    expect(lineStates(whole).get(line.id)).toMatchObject({ came: 7, toCome: 0, over: 2 })
  })

  it('leaves alone what is fitted by then, and counts what is over once', () => {
    const { all, line } = ordered()
    const needs = ['port', 'rubber']
    const once = after(all, arriveItems(all, line, { ...arrival, quantity: 6 }, needs, newId))
    once.part = once.part.map((one) => ({ ...one, state: 'fitted' as const }))
    const twice = after(once, arriveItems(once, line, { ...arrival, quantity: 1 }, needs, newId))
    expect(states(twice)).toEqual(['port fitted', 'rubber fitted'])
    expect(twice.stock.map((one) => one.quantity)).toEqual([1, 1])
    expect([
      partAt({ state: 'fitted', at: 'shed' }),
      partAt({ state: 'arrived', at: null }),
    ]).toEqual(['boat', 'unsaid'])
  })

  it('does not count what is faulty, and knows until when it goes back', () => {
    const { all, line } = ordered()
    const faulty = { ...arrival, quantity: 5, faulty: 2, returnBy: '2027-05-20' }
    const some = after(all, arriveItems(all, line, faulty, ['port', 'rubber'], newId))
    expect(states(some)).toEqual(['port arrived', 'rubber ordered'])
    expect(lineStates(some).get(line.id)).toMatchObject({ faulty: 2, returnBy: '2027-05-20' })
    expect(some.stock).toEqual([])
    some.delivery = some.delivery.map((one) => ({ ...one, returned: 2 }))
    expect(lineStates(some).get(line.id)).toMatchObject({ came: 3, faulty: 0, returnBy: null })
  })

  it('is in the kit once somebody looked', () => {
    const { all, line } = ordered()
    const kitOf = (rows: Rows) => kitDays(factsOf(rows), 1)[0]?.kits[0]
    const say = (rows: Rows) => {
      const kit = kitOf(rows)
      return kit && sayKit(kit, '2027')
    }
    expect(say(all)).toBe('short: Rubber, due 6 May')
    const here = after(all, arriveItems(all, line, { ...arrival, quantity: 5 }, ['port'], newId))
    expect([kitOf(here)?.state, say(here)]).toEqual(['whole', 'whole'])
    const unseen = { ...here, delivery: here.delivery.map((one) => ({ ...one, checkedOn: null })) }
    expect(say(unseen)).toBe('here, not checked: Rubber')
    const away = { ...here, part: here.part.map((one) => ({ ...one, at: 'shed' as const })) }
    expect(say(away)).toBe('1 to bring: Rubber')
  })
})
