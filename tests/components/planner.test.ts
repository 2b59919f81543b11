/** The plan kept fresh: made when it is wanted, not made when it holds, and taken as it was promised. */
import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { add, emptyRefit, job, person, step } from '#core/testing/build'
import type { ChangeItem } from '#core/model/changes'
import { dayNumber } from '#core/time/civil'
import { usePlannerStore } from '../../app/stores/planner'
import { useToastStore } from '../../app/stores/toasts'
import { openOn } from './fakeServer'
import { HomeWorker, withWorkers } from './workers'

// What waits, waits no time; what is asked of a worker takes what it takes.
beforeEach(() => void vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] }))
afterEach(() => void vi.useRealTimers())

/** One person all days, and two steps of four hours before she sails. */
function boat() {
  const rows = emptyRefit()
  person(rows, 'ann', [1, 2, 3, 4, 5, 6, 7], '09:00', '17:00')
  add(rows, 'place', 'berth', { name: 'Berth', kind: 'berth', order: 'a' })
  add(rows, 'gate', 'sail', { name: 'Sail away', kind: 'asap' })
  job(rows, 'deck', { gateId: 'sail', purpose: 'go' })
  step(rows, 'deck', 'plies', { hoursLikely: 4 })
  step(rows, 'deck', 'paint', { hoursLikely: 4 })
  return rows
}
async function planned(rows = boat(), over: Parameters<typeof withWorkers>[0] = {}) {
  withWorkers(over)
  const opened = await openOn(rows, usePlannerStore)
  const planner = usePlannerStore()
  const settled = async () => {
    await vi.waitFor(() => expect([planner.stale, planner.busy]).toEqual([false, false]), 5000)
    await flushPromises()
  }
  const said = () => opened.server.changes.splice(0).map((one) => one.label)
  return { ...opened, planner, settled, said }
}
const longer = (hoursLikely: number, baseVersion = 1) => ({
  op: 'patch' as const,
  entity: 'step' as const,
  id: 'plies',
  baseVersion,
  patch: { hoursLikely },
})

describe('the plan', () => {
  it('is made at the opening and after what it rests on, once each, with the week’s figures', async () => {
    const { store, settled, said } = await planned()
    await settled()
    expect(said()).toEqual(['Plan', 'Week'])
    const at = () =>
      store.accepted?.placements.map(({ stepId, segments }) => [
        stepId,
        segments.map(([from, to]) => (to - from) / 3_600_000),
      ])
    expect(at()).toEqual([
      ['plies', [4]],
      ['paint', [expect.any(Number), expect.any(Number)]],
    ])
    const before = store.accepted
    await store.submit('Longer', [longer(6)])
    await settled()
    expect(said()).toEqual(['Longer', 'Plan', 'Week'])
    expect(store.accepted).not.toBe(before)
    expect(at()?.[0]).toEqual(['plies', [6]])
    // What it does not rest on leaves it.
    await store.submit('Say', [
      { op: 'create', entity: 'supplier', id: 'shop', patch: { name: 'Shop' } },
    ])
    const caution: ChangeItem = { ...longer(6, 2), patch: { caution: 'Mask the rail.' } }
    await store.submit('Careful', [caution])
    await vi.advanceTimersByTimeAsync(3000)
    await settled()
    expect(said()).toEqual(['Say', 'Careful'])
  })

  it('that still holds is not laid again; its ranking is asked for', async () => {
    const first = await planned()
    await first.settled()
    const { server, planner, settled, said } = await planned(first.server.rows as never, {
      plan: () => {
        throw new Error('laid again')
      },
    })
    await vi.waitFor(() => expect(planner.ranking.map((one) => one.jobId)).toEqual(['deck']))
    await settled()
    expect([planner.failed, said()]).toEqual(['', []])
    expect(server.rows.plan).toHaveLength(1)
  })

  it('of other rows, that came in over it from another window, is made again', async () => {
    const { store, planner, settled, said } = await planned()
    await settled()
    const row = store.plan as NonNullable<typeof store.plan>
    const over = { inputsHash: 'of other rows' }
    said()
    await store.submitQuietly('Theirs', [
      { op: 'patch', entity: 'plan', id: row.id, baseVersion: row.version, patch: over },
    ])
    expect(planner.stale).toBe(true)
    await settled()
    expect(said()).toEqual(['Theirs', 'Plan', 'Week'])
  })

  it('is left to the window that changed something, and made here when it does not come', async () => {
    const { server, store, planner, settled, said } = await planned()
    await settled()
    HomeWorker.asked = []
    const wait = (ms: number) => vi.advanceTimersByTimeAsync(ms)
    said()
    server.fromElsewhere([longer(6)])
    await wait(3000)
    expect([planner.stale, planner.busy, HomeWorker.asked]).toEqual([true, true, []])
    // Theirs comes, marked with what both windows call these rows: nothing is laid here.
    const { id, version, result } = store.plan as NonNullable<typeof store.plan>
    const patch = { inputsHash: planner.hash, result }
    server.fromElsewhere([{ op: 'patch', entity: 'plan', id, baseVersion: version, patch }])
    for (const ms of [400, 200]) {
      await wait(ms)
      await flushPromises()
    }
    // Within the wait: a worker's answer takes turns, and no time.
    for (let turns = 0; turns < 500 && planner.busy; turns++) await new Promise(setImmediate)
    expect([planner.busy, HomeWorker.asked]).toEqual([false, ['standing']])
    expect(said()).toEqual(['Theirs', 'Theirs'])
    // The next does not come.
    server.fromElsewhere([longer(7, 2)])
    await wait(6000)
    await settled()
    expect(HomeWorker.asked).toEqual(['standing', 'plan'])
    expect(said()).toEqual(['Theirs', 'Plan', 'Week'])
    // What is changed here is planned here, whatever was changed elsewhere just before.
    server.fromElsewhere([longer(5, 3)])
    await wait(1000)
    await store.submit('Mine', [longer(6, 4)])
    await wait(200)
    await settled()
    expect(said()).toEqual(['Theirs', 'Mine', 'Plan', 'Week'])
    // What was promised here is accepted at once, too.
    server.fromElsewhere([longer(5, 5)])
    await wait(1000)
    expect(await planner.take('Promised', [longer(6, 6)])).toBe(true)
    await wait(200)
    await settled()
    expect(said()).toEqual(['Theirs', 'Promised', 'Plan', 'Week'])
    // Nobody waits for a refit that is left.
    server.fromElsewhere([longer(5, 7)])
    await wait(1000)
    expect(planner.busy).toBe(true)
    store.close()
    await flushPromises()
    expect(planner.busy).toBe(false)
  })

  it('that could not be made says why, and is made when it can be', async () => {
    let isBroken = true
    const { planner, store, settled } = await planned(boat(), {
      standing: () => ({ ranking: [] }),
      take: () => {
        if (isBroken) throw new Error('No memory is left.')
      },
    })
    await vi.waitFor(() => expect(planner.failed).toBe('No memory is left.'))
    expect([planner.busy, store.accepted]).toEqual([false, null])
    isBroken = false
    await store.submit('Longer', [longer(5)])
    await settled()
    expect(planner.failed).toBe('')
  })

  it('goes back to one made before, without a worker, when what it rests on is taken back', async () => {
    const { store, planner, settled, said } = await planned()
    await settled()
    const before = JSON.stringify(store.accepted?.placements)
    await store.submit('Longer', [longer(6)])
    await settled()
    said()
    HomeWorker.made.forEach((one) => one.terminate())
    await store.submit('As it was', [longer(4, 2)])
    await settled()
    expect(said()).toEqual(['As it was', 'Plan', 'Week'])
    expect(JSON.stringify(store.accepted?.placements)).toBe(before)
    expect(planner.failed).toBe('')
  })
})

describe('a supposed change', () => {
  it('says what it does to the gate, and taken brings that very plan', async () => {
    const { store, planner, settled, said } = await planned()
    await settled()
    said()
    const before = store.accepted?.placements.find((one) => one.stepId === 'paint')?.segments
    // Eight hours more than fit into today and tomorrow.
    const answer = await planner.consequence([longer(20)])
    expect(answer?.effects).toMatchObject([{ gate: { id: 'sail' } }])
    const days = answer?.effects[0]?.days
    expect(days).toBeGreaterThan(0)
    expect(answer?.said).toContain(`${days} days later`)
    expect(said()).toEqual([])
    const gate = () => dayNumber(store.derived.gates[0]?.plannedOn ?? '')
    const stood = gate()
    expect(await planner.take('Longer', [longer(20)])).toBe(true)
    await settled()
    expect(said()).toEqual(['Longer', 'Plan', 'Week'])
    expect(gate() - stood).toBe(days)
    const after = store.accepted?.placements.find((one) => one.stepId === 'paint')?.segments
    expect(after).not.toEqual(before)
    // And is not made again, neither for it nor by itself.
    await vi.advanceTimersByTimeAsync(3000)
    expect(said()).toEqual([])
    expect(HomeWorker.asked).toEqual(['plan', 'whatIf', 'planWith'])
  })

  it('that is refused leaves the plan as it stood', async () => {
    const { server, store, planner, settled, said } = await planned()
    await settled()
    said()
    const stood = store.accepted
    server.refusal = {
      status: 422,
      problem: { code: 'rule', message: 'Too long.', fields: [] },
    }
    expect(await planner.take('Longer', [longer(20)])).toBe(false)
    await vi.advanceTimersByTimeAsync(3000)
    expect([store.accepted, said()]).toEqual([stood, []])
    expect(HomeWorker.asked).toEqual(['plan', 'planWith'])
    expect(useToastStore().toasts.at(-1)?.text).toBe('Too long.')
  })

  it('gives way to a newer question, which alone is answered', async () => {
    const { planner, settled } = await planned()
    await settled()
    const [older, newer] = [planner.whatIf([longer(20)]), planner.whatIf([longer(4)])]
    expect(await older).toBeNull()
    expect(await newer).toBe('No gate moves.')
  })
})

describe('what nobody waits for', () => {
  it('is asked after what somebody does, and again where that came between', async () => {
    const { planner, settled } = await planned()
    await settled()
    const quiet = planner.quietConsequence([longer(20)], () => true)
    await flushPromises()
    expect(await planner.whatIf([longer(4)])).toBe('No gate moves.')
    expect((await quiet)?.effects[0]?.days).toBeGreaterThan(0)
    expect(HomeWorker.asked).toEqual(['plan', 'whatIf', 'whatIf'])
  })

  it('is not asked when it is not wanted any more, and a lack gives way to a question', async () => {
    const { planner, settled } = await planned()
    await settled()
    expect(await planner.quietConsequence([longer(20)], () => false)).toBeNull()
    const asked = planner.whatIf([longer(4)])
    expect(await planner.lack([longer(20)])).toBeNull()
    expect(await asked).toBe('No gate moves.')
    expect(HomeWorker.asked).toEqual(['plan', 'whatIf'])
    expect(await planner.lack([longer(4)])).toBe('')
    // Nothing to be asked about.
    expect(await planner.drags('sail', [], () => true)).toBeNull()
    expect(HomeWorker.asked).toHaveLength(3)
  })

  it('says what a step holds up by days, and how far its job can slip', async () => {
    const { planner, settled } = await planned()
    await settled()
    const found = await planner.drags('sail', ['plies', 'paint'], () => true)
    expect(found?.map((one) => one.stepId)).toEqual(['plies', 'paint'])
    // It is all that there is before the gate: a day put off is a day later.
    expect(await planner.slip('sail', 'deck')).toBe(0)
  })
})

describe('a plan made afresh', () => {
  it('is taken for the rows it was made of, and left for others', async () => {
    const { store, planner, settled, said } = await planned()
    await settled()
    const madeFor = planner.hash
    const found = await planner.afresh(() => undefined)
    expect(found?.consequence.effects.every((one) => one.days === 0)).toBe(true)
    said()
    if (!found) throw new Error('nothing was found')
    expect(await planner.takeAfresh(found, madeFor)).toBe(true)
    expect(said()).toEqual(['Plan', 'Week'])
    await store.submit('Longer', [longer(6)])
    expect(await planner.takeAfresh(found, madeFor)).toBe(false)
    expect(said()).toEqual(['Longer'])
  })
})

describe('a decision', () => {
  it('has its date while somebody looks, and none when it is taken', async () => {
    const rows = boat()
    add(rows, 'decision', 'core', { title: 'Which core', order: 'a' })
    add(rows, 'option', 'balsa', { decisionId: 'core', title: 'Balsa', order: 'a' })
    add(rows, 'option', 'foam', { decisionId: 'core', title: 'Foam', order: 'b' })
    const answers = vi.fn(() => Promise.resolve([{ decisionId: 'core', by: 'soon' }] as never))
    const { store, planner, settled } = await planned(rows, { decideBy: answers })
    await settled()
    // Nobody looks at it yet: it is not worked out.
    expect(answers).not.toHaveBeenCalled()
    const look = planner.lookAtDecideBy()
    await vi.waitFor(() => expect(planner.decideBy).toEqual([{ decisionId: 'core', by: 'soon' }]))
    const asked = answers.mock.calls.length
    const taken = { decidedOn: '2027-04-17', chosenOptionId: 'foam' }
    await store.submit('Foam', [
      { op: 'patch', entity: 'decision', id: 'core', baseVersion: 1, patch: taken },
    ])
    await vi.waitFor(() => expect(planner.decideBy).toEqual([]))
    expect(answers.mock.calls.length).toBe(asked)
    // Open again: once to who looks, and not to a page that was left.
    look()
    await store.submit('Open', [
      {
        op: 'patch',
        entity: 'decision',
        id: 'core',
        baseVersion: 2,
        patch: { decidedOn: null, chosenOptionId: null },
      },
    ])
    await settled()
    expect(answers.mock.calls.length).toBe(asked)
  })
})
