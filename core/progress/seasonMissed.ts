/** A launch that misses its season: where it falls, and what that costs. */
import type { StoredPlan } from '../model/stored'
import type { RefitRows } from '../model/refit'
import { tariffOf, usualDayMinor } from '../money/yard'
import { dayNumber } from '../time/civil'
import type { ZoneClock } from '../time/zone'

export interface SeasonMissed {
  readonly gateId: string
  /** The season its haul-out belongs to, and the one its launch falls into; null: after all that are written down, or between two. */
  readonly season: string
  readonly fallsInto: string | null
  /** Days from the end of the season to the launch. */
  readonly daysOver: number
  /** Those days in the yard, minor units; null: no yard price. */
  readonly costMinor: number | null
  /** True: she is not afloat between the two seasons at all. */
  readonly losesTheSummer: boolean
}

/** Launches planned after the last day of their haul-out's season, the first to come first. Source: handbook 6. */
export function seasonsMissed(rows: RefitRows, plan: StoredPlan, clock: ZoneClock): SeasonMissed[] {
  const seasons = [...rows.season].sort((a, b) => (a.from < b.from ? -1 : 1))
  return [...plan.gates]
    .sort((a, b) => a.at - b.at)
    .flatMap((planned): SeasonMissed[] => {
      const gate = rows.gate.find((one) => one.id === planned.gateId)
      const haulOut = rows.haulOut.find((one) => one.id === gate?.haulOutId)
      const season = seasons.find((one) => one.id === haulOut?.seasonId)
      const on = clock.dateOf(planned.at)
      if (gate?.kind !== 'launch' || !haulOut || !season || on <= season.to) return []
      const into = seasons.find((one) => one.from > season.to && one.from <= on) ?? null
      const daysOver = dayNumber(on) - dayNumber(season.to)
      const tariff = tariffOf(rows, haulOut)
      return [
        {
          gateId: gate.id,
          season: season.name,
          fallsInto: into?.name ?? null,
          daysOver,
          costMinor: tariff ? daysOver * usualDayMinor(tariff, rows.refit[0]?.loaM ?? 0) : null,
          losesTheSummer: into !== null,
        },
      ]
    })
}
