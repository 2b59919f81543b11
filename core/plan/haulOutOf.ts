import type { Job, Step } from '../model/entities'
import type { RefitRows } from '../model/refit'
import { dayNumber } from '../time/civil'
import type { ZoneClock } from '../time/zone'
import type { Ashore } from './schedule/haulOuts'

/** Civil date a gate is aimed at; null for as soon as possible. A launch takes it from its haul-out. */
export function gateDate(
  rows: Pick<RefitRows, 'haulOut'>,
  gate: { readonly kind: string; readonly haulOutId: string | null; readonly on: string | null },
): string | null {
  if (gate.kind !== 'launch') return gate.on
  const haulOut = rows.haulOut.find((one) => one.id === gate.haulOutId)
  return haulOut ? (haulOut.launchActual ?? haulOut.launchBooked ?? haulOut.launchAimed) : null
}

/** UTC ms by which a gate's jobs must be ready: the end of its date. Null: as soon as possible. */
export function gateDeadline(
  rows: Pick<RefitRows, 'haulOut'>,
  gate: Parameters<typeof gateDate>[1],
  clock: ZoneClock,
): number | null {
  const on = gateDate(rows, gate)
  return on === null ? null : clock.at(dayNumber(on) + 1, 0)
}

/**
 * The haul-out in which a job's ashore steps are done: the one named on the job, else its launch
 * gate's, else the last that launches before its dated gate, else the current one. Null when there
 * is none left.
 */
export function haulOutOf(
  job: Job,
  rows: Pick<RefitRows, 'gate' | 'haulOut'>,
  coming: readonly Ashore[],
): Ashore | null {
  const named = (id: string | null) => coming.find((one) => one.haulOut.id === id)
  const gate = rows.gate.find((one) => one.id === job.gateId)
  const direct =
    named(job.haulOutId) ?? (gate?.kind === 'launch' ? named(gate.haulOutId) : undefined)
  if (direct) return direct
  const on = gate ? gateDate(rows, gate) : null
  const before = on === null ? [] : coming.filter((one) => one.haulOut.launchAimed <= on)
  return before.at(-1) ?? coming[0] ?? null
}

/**
 * The haul-out whose launch has to wait for this step of a job; null: none. Ashore work holds the launch that ends it,
 * work with the hull either way that of its job's own launch gate; what comes after the gate never holds one.
 * Precondition: the step says what it needs of the hull (`withHullNeeds`).
 */
export function launchHeldBy(
  job: Job,
  step: Step,
  rows: Pick<RefitRows, 'gate' | 'haulOut'>,
  coming: readonly Ashore[],
): Ashore | null {
  if (step.afterGate || step.hullNeed === 'afloat' || step.hullNeed === 'slings') return null
  if (step.hullNeed === 'ashore') return haulOutOf(job, rows, coming)
  const gate = rows.gate.find((one) => one.id === job.gateId)
  if (gate?.kind !== 'launch') return null
  return coming.find((one) => one.haulOut.id === gate.haulOutId) ?? null
}
