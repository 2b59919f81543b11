/** Where the sun stands: enough to say when a deck is warmed and when it loses heat to the sky. */
import { dayMs, hourMs } from '../time/civil'

const rad = Math.PI / 180
const tiltDeg = 23.45

/** Sine of the sun's height for an hour angle in degrees from its noon. */
const sineOfHeight = (latitudeDeg: number, declinationDeg: number, hourAngleDeg: number): number =>
  Math.sin(latitudeDeg * rad) * Math.sin(declinationDeg * rad) +
  Math.cos(latitudeDeg * rad) * Math.cos(declinationDeg * rad) * Math.cos(hourAngleDeg * rad)

/**
 * How high the sun stands against its noon that day: 1 at noon, 0 on the horizon, below 0 at night. `at`: UTC ms.
 * Declination by Cooper's formula; the clock's sixteen minutes against the sun are left out.
 */
export function sunShare(at: number, latitudeDeg: number, longitudeDeg: number): number {
  const year = new Date(at).getUTCFullYear()
  const dayOfYear = Math.floor((at - Date.UTC(year, 0, 1)) / dayMs) + 1
  const declination = tiltDeg * Math.sin(((360 * (284 + dayOfYear)) / 365) * rad)
  const solarHour = (at % dayMs) / hourMs + longitudeDeg / 15
  const height = sineOfHeight(latitudeDeg, declination, (solarHour - 12) * 15)
  const noon = sineOfHeight(latitudeDeg, declination, 0)
  return noon <= 0 ? height - 1 : height / noon
}
