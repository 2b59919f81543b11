/** What she weighs now: a known start, and what came off and went on since. Source: handbook-2 H3. */
import type { LiftSheet, RefitRow, Row } from '../model/entities'
import { byId } from '../model/refit'
import type { RefitRows } from '../model/refit'
import type { ZoneClock } from '../time/zone'

/** A line of the ledger. Metres from the stem and to starboard; null: nobody said where. */
interface WeightMove {
  readonly key: string
  readonly what: string
  readonly kg: number
  readonly alongM: number | null
  readonly acrossM: number
  readonly isWeighed: boolean
  /** Civil date. */
  readonly on: string
  /** The job whose finishing moved it; null: written down by hand. */
  readonly jobId: string | null
}

export interface Ledger {
  readonly startT: number | null
  readonly moves: readonly WeightMove[]
  /** Kilograms of all moves. */
  readonly movedKg: number
  readonly weightT: number | null
  /** Centre of gravity from the stem; null: not known at the start. */
  readonly centreM: number | null
  /** Moves whose place nobody knows: the centre leaves them out. */
  readonly withoutPlace: number
  /** Down when positive; null: her waterline is not known. */
  readonly sinkCm: number | null
  /** Kilogram metres to starboard; 0: upright. */
  readonly heelKgM: number
  /** Tonnes against what the crane firm was told last; null: they were told nothing. */
  readonly sinceAskedT: number | null
}

/** Share of LWL × beam that her waterline takes up. Assumed by kind of boat. */
const planeShare = (refit: Pick<RefitRow, 'boatType' | 'keel'>): number =>
  refit.boatType === 'motor' ? 0.78 : refit.keel === 'long' ? 0.7 : 0.67

/** Density of sea water, t/m³. */
const seaT = 1.025

/** Jobs finished after the start that change what she weighs, at the place of their zone. */
function movesOfJobs(
  rows: Pick<RefitRows, 'job' | 'step' | 'zone'>,
  since: string,
  loaM: number,
  clock: ZoneClock,
): WeightMove[] {
  const zones = byId(rows.zone)
  return rows.job.flatMap((job): WeightMove[] => {
    if (job.addsKg === null || job.addsKg === 0) return []
    const steps = rows.step.filter((one) => one.jobId === job.id && one.state !== 'dropped')
    if (steps.length === 0 || steps.some((one) => one.state !== 'done')) return []
    const on = clock.dateOf(Math.max(...steps.map((one) => one.doneAt ?? 0)))
    if (on <= since) return []
    const along = zones.get(job.zoneId ?? '')?.along ?? null
    return [
      {
        key: `job ${job.id}`,
        what: job.title,
        kg: job.addsKg,
        alongM: along === null ? null : (1 - along) * loaM,
        acrossM: 0,
        isWeighed: false,
        on,
        jobId: job.id,
      },
    ]
  })
}

const moveOf = (line: Row<'weightLine'>): WeightMove => ({
  key: line.id,
  what: line.what,
  kg: line.kg,
  alongM: line.alongM,
  acrossM: line.acrossM,
  isWeighed: line.knownAs === 'weighed',
  on: line.on,
  jobId: null,
})

/** The ledger of a lift sheet; without one, of her weight as the boat's sizes have it. */
export function ledgerOf(
  rows: Pick<RefitRows, 'refit' | 'job' | 'step' | 'zone' | 'weightLine'>,
  sheet: LiftSheet | null,
  clock: ZoneClock,
): Ledger {
  const refit = rows.refit[0]
  const startT = sheet?.weightT ?? refit?.weightT ?? null
  const since = sheet?.weighedOn ?? refit?.startedOn ?? '0000-00-00'
  const moves = [
    ...rows.weightLine.filter((one) => one.on > since).map(moveOf),
    ...movesOfJobs(rows, since, refit?.loaM ?? 0, clock),
  ].sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0))
  const movedKg = moves.reduce((sum, one) => sum + one.kg, 0)
  const weightT = startT === null ? null : startT + movedKg / 1000
  const placed = moves.filter((one) => one.alongM !== null)
  const centreM =
    startT === null || !sheet || sheet.centreM === null
      ? null
      : (startT * 1000 * sheet.centreM +
          placed.reduce((sum, one) => sum + one.kg * (one.alongM ?? 0), 0)) /
        (startT * 1000 + placed.reduce((sum, one) => sum + one.kg, 0))
  const plane =
    refit && refit.lwlM !== null && refit.beamM !== null
      ? refit.lwlM * refit.beamM * planeShare(refit)
      : null
  return {
    startT,
    moves,
    movedKg,
    weightT,
    centreM,
    withoutPlace: moves.length - placed.length,
    // Tonnes to the centimetre: area × 1.025 / 100.
    sinkCm: plane === null ? null : movedKg / 1000 / ((plane * seaT) / 100),
    heelKgM: moves.reduce((sum, one) => sum + one.kg * one.acrossM, 0),
    sinceAskedT:
      weightT === null || !sheet || sheet.askedT === null ? null : weightT - sheet.askedT,
  }
}
