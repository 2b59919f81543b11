/** A boat ashore whose plan is given step by step, for the rules of order. */
import type { StoredPlan } from '../model/stored'
import { zoneClock } from '../time/zone'
import { add, emptyRefit, job, person } from './build'
import type { Building } from './build'

export const clock = zoneClock('UTC')
/** Day and hour of May 2027; she is ashore from 1 April and launched on the 20th at 9:00. */
export const may = (day: number, hour = 9) => Date.UTC(2027, 4, day, hour)
export const now = may(1)

export function boat(): Building {
  const rows = emptyRefit()
  add(rows, 'place', 'yard', { name: 'Yard', kind: 'yard' })
  add(rows, 'haulOut', 'haul', {
    name: 'Spring',
    placeId: 'yard',
    liftOutAimed: '2027-04-01',
    liftOutActual: '2027-04-01',
    launchAimed: '2027-05-20',
  })
  add(rows, 'gate', 'launch', { name: 'Launch', kind: 'launch', haulOutId: 'haul' })
  add(rows, 'zone', 'hull', { name: 'Hull', strake: 'underwater', belowWaterline: true })
  add(rows, 'zone', 'deck', { name: 'Deck', strake: 'deck', coreKind: 'balsa' })
  add(rows, 'zone', 'saloon', { name: 'Saloon', strake: 'below' })
  person(rows, 'ida', [6, 7], '08:00', '18:00')
  return rows
}

/** When steps are planned: from, to, and when they are ready. */
export type Times = Record<string, readonly [from: number, to: number, readyAt?: number]>

export function planOf(times: Times, more: Partial<StoredPlan> = {}): StoredPlan {
  return {
    status: 'feasible',
    now,
    placements: Object.entries(times).map(([stepId, [from, to, readyAt]]) => ({
      stepId,
      segments: [[from, to]],
      readyAt: readyAt ?? to,
      personIds: ['ida'],
      binding: { kind: 'now' },
    })),
    urgencies: {},
    gates: [{ gateId: 'launch', at: may(20), readyAt: may(19), binding: { kind: 'now' } }],
    launches: [{ haulOutId: 'haul', from: Date.UTC(2027, 3, 1, 12), at: may(20) }],
    reasons: [],
    warnings: [],
    ...more,
  }
}

export const hullJob = (rows: Building, id: string) =>
  job(rows, id, { zoneId: 'hull', gateId: 'launch' })
