/** What an hour of weather is at the work itself. */
import type { WeatherHour } from '../cure/dewPoint'
import { isUnderRoof, standingAt } from './site'
import type { Site } from './site'
import { sunShare } from './sun'

/** An hour at the work: its air and the surface that is worked on. */
export interface FeltHour {
  readonly at: number
  readonly airC: number
  readonly surfaceC: number
  readonly dewC: number
  readonly rain: boolean
}

/** Degrees that full sun at noon lifts a surface over the air. Source: handbook-2 C2. */
const sunLiftC = { white: 5, grey: 12, dark: 20 } as const
/** Degrees a deck falls under the air beneath a clear night sky. Source: handbook-2 C2. */
const clearNightC = 3

/** Where she lies, degrees; null: not said, and neither sun nor night is reckoned. */
export interface Position {
  readonly latitudeDeg: number
  readonly longitudeDeg: number
}

/** An hour as it is at a site. Heat that is put up warms air and surface; a cover keeps off rain, sun and sky. */
export function feltAt(hour: WeatherHour, site: Site, position: Position | null): FeltHour {
  const covered = isUnderRoof(site, hour.at)
  const heatC = standingAt(site, hour.at).reduce((sum, one) => sum + one.addsC, 0)
  const airC = hour.tempC + heatC
  return {
    at: hour.at,
    airC,
    surfaceC: airC + (covered ? 0 : skyC(hour, site, position)),
    dewC: hour.dewC,
    rain: hour.rain && !covered,
  }
}

/** Degrees that sun or clear night sky make of a bare surface. A sky nobody reported is taken as overcast. */
function skyC(hour: WeatherHour, site: Site, position: Position | null): number {
  if (!position || hour.cloud === undefined) return 0
  const share = sunShare(hour.at, position.latitudeDeg, position.longitudeDeg)
  const clear = 1 - hour.cloud
  if (share <= 0) return site.isDeck ? -clearNightC * clear : 0
  return site.colour === null ? 0 : sunLiftC[site.colour] * share * clear
}
