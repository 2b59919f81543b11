/** Where a step's weather is: in the open, below deck or under a roof, and what is put up over it. */
import type { Row, Step, Zone } from '../model/entities'
import { byId } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { dayNumber } from '../time/civil'
import type { ZoneClock } from '../time/zone'

/** A cover or a heater while it stands. */
export interface Standing {
  readonly id: string
  readonly from: number
  /** Infinity: nobody said when it comes down. */
  readonly to: number
  readonly addsC: number
  /** Rain and sky do not reach what is under it. */
  readonly isRoof: boolean
}

/** A place as weather sees it. */
export interface Site {
  /** 'open': rained on; 'below': air of the day, no rain; 'roof': a shed or a house. */
  readonly exposure: 'open' | 'below' | 'roof'
  /** What the sun does to its surface; null: not said, and no lift is reckoned. */
  readonly colour: Zone['colour']
  /** A deck under the sky: colder than the air on a clear night. */
  readonly isDeck: boolean
  /** Mean air by month there; null: that of the yard. */
  readonly monthMeanC: readonly number[] | null
  readonly standing: readonly Standing[]
  /** The same for places that weather treats alike. */
  readonly key: string
}

/** Zones that lie in a building. */
const housed: readonly string[] = ['shed', 'away']

/** Covers and heat as they stand, by zone. A cover ends after its last day, or when its strike step was done. */
function standingByZone(
  rows: Pick<RefitRows, 'cover' | 'step'>,
  clock: ZoneClock,
): ReadonlyMap<string, readonly Standing[]> {
  const steps = byId(rows.step)
  const found = new Map<string, Standing[]>()
  for (const one of rows.cover) {
    const standing = standingOf(one, steps.get(one.strikeStepId ?? ''), clock)
    for (const zoneId of one.zoneIds) found.set(zoneId, [...(found.get(zoneId) ?? []), standing])
  }
  return found
}

function standingOf(one: Row<'cover'>, strike: Step | undefined, clock: ZoneClock): Standing {
  const struck = strike?.state === 'done' ? (strike.doneAt ?? 0) : Infinity
  const last = one.downOn === null ? Infinity : clock.at(dayNumber(one.downOn) + 1, 0)
  return {
    id: one.id,
    from: clock.at(dayNumber(one.upOn), 0),
    to: Math.min(struck, last),
    addsC: one.addsC,
    isRoof: one.kind !== 'heat',
  }
}

/** Tells where the weather of a step is. A job without a place on the boat is taken as in the open. */
export function siteReader(
  rows: Pick<RefitRows, 'job' | 'zone' | 'cover' | 'step' | 'place'>,
  clock: ZoneClock,
): (step: Pick<Step, 'jobId' | 'placeNeed'>) => Site {
  const jobs = byId(rows.job)
  const zones = byId(rows.zone)
  const standing = standingByZone(rows, clock)
  const shed = rows.place.find((place) => place.kind === 'shed') ?? null
  /** By job, then kind of place: this is asked for every step of every pass. */
  const known = new Map<string, Partial<Record<Step['placeNeed'], Site>>>()
  const siteOf = (zone: Zone | undefined, placeNeed: Step['placeNeed']): Site => {
    const isHoused = placeNeed !== 'boat' || (zone !== undefined && housed.includes(zone.strake))
    if (isHoused) {
      const monthMeanC = placeNeed === 'shed' ? (shed?.monthMeanC ?? null) : null
      return { ...roof, monthMeanC, key: `roof ${placeNeed}` }
    }
    return {
      exposure: zone?.strake === 'below' ? 'below' : 'open',
      colour: zone?.colour ?? null,
      isDeck: zone?.strake === 'deck',
      monthMeanC: null,
      standing: standing.get(zone?.id ?? '') ?? [],
      key: `zone ${zone?.id ?? ''}`,
    }
  }
  return (step) => {
    let ofJob = known.get(step.jobId)
    if (!ofJob) {
      ofJob = {}
      known.set(step.jobId, ofJob)
    }
    return (ofJob[step.placeNeed] ??= siteOf(
      zones.get(jobs.get(step.jobId)?.zoneId ?? ''),
      step.placeNeed,
    ))
  }
}

const roof: Omit<Site, 'key'> = {
  exposure: 'roof',
  colour: null,
  isDeck: false,
  monthMeanC: null,
  standing: [],
}

/** What stands over a site at an instant. */
export const standingAt = (site: Site, at: number): readonly Standing[] =>
  site.standing.filter((one) => one.from <= at && at < one.to)

/** True where neither rain nor the sky reaches the work at an instant. */
export const isUnderRoof = (site: Site, at: number): boolean =>
  site.exposure !== 'open' || standingAt(site, at).some((one) => one.isRoof)
