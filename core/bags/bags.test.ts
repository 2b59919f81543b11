import { expect, it } from 'vitest'
import { add, emptyRefit, job, step } from '../testing/build'
import { makePlan } from '../plan/makePlan'
import { bagsToFind, bagsWanted, isLocated } from './bags'

const now = Date.UTC(2027, 3, 17, 8)
const day = 86_400_000

it('bags are wanted by open steps, soonest first, and looked for a fortnight before', () => {
  const rows = emptyRefit()
  job(rows, 'Deck')
  const starts: Record<string, number | null> = {
    exactly: now + 14 * day,
    over: now + 14 * day + 1,
    soon: now + day,
    unplanned: null,
  }
  for (const [id] of Object.entries(starts)) step(rows, 'Deck', id)
  step(rows, 'Deck', 'under way', { state: 'doing' })
  step(rows, 'Deck', 'over and done', { state: 'done', doneAt: 1 })
  const bag = (code: string, wantedByStepId: string | null, given: object = {}) =>
    add(rows, 'bag', code, { code, what: code, order: code, wantedByStepId, ...given })
  bag('A', 'over')
  bag('B', 'exactly')
  bag('C', 'soon', { storedAt: 'Shed' })
  bag('D', 'soon', { storedAt: 'Shed', state: 'lost' })
  bag('E', 'under way', { storedAt: '  ' })
  bag('F', 'unplanned')
  bag('G', 'over and done')
  bag('H', 'soon', { state: 'fitted' })
  bag('I', null)
  const placement = (stepId: string, at: number) => ({
    stepId,
    segments: [[at, at + 1]] as const,
    readyAt: at + 1,
    personIds: [],
    binding: { kind: 'now' as const },
  })
  const plan = {
    ...makePlan(rows, now).plan,
    placements: Object.entries(starts).flatMap(([id, at]) =>
      at === null ? [] : [placement(id, at)],
    ),
  }
  expect(bagsWanted(rows, plan).map((one) => one.bag.code)).toEqual(['C', 'D', 'B', 'A', 'E', 'F'])
  expect(bagsToFind(rows, plan, now).map((one) => one.bag.code)).toEqual(['D', 'B', 'E'])
  expect(rows.bag.filter(isLocated).map((one) => one.code)).toEqual(['C'])
})
