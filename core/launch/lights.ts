/** Lights she shows under way by night. Source: the international rules for preventing collisions at sea, rules 21 to 23 and 25. */
import type { RefitRow } from '../model/entities'

export interface LightWanted {
  readonly name: string
  /** Degrees of the horizon. */
  readonly arcDeg: number
  /** Nautical miles at which it has to be seen. */
  readonly miles: number
}

/** By her length overall, metres, and whether she has an engine or is one that sails. Local rules may ask more. */
export function lightsWanted({
  loaM,
  boatType,
}: Pick<RefitRow, 'loaM' | 'boatType'>): LightWanted[] {
  const [mast, side, other] =
    loaM >= 50 ? [6, 3, 3] : loaM >= 20 ? [5, 2, 2] : loaM >= 12 ? [3, 2, 2] : [2, 1, 2]
  return [
    { name: 'sides', arcDeg: 112.5, miles: side },
    { name: 'stern', arcDeg: 135, miles: other },
    { name: boatType === 'motor' ? 'masthead' : 'steaming', arcDeg: 225, miles: mast },
    { name: 'anchor', arcDeg: 360, miles: other },
  ]
}

/** "sides 112.5°, 2 miles; …". */
export const sayLights = (lights: readonly LightWanted[]): string =>
  lights
    .map(({ name, arcDeg, miles }) => {
      const arc = arcDeg === 360 ? 'all round' : `${arcDeg}°`
      return `${name} ${arc}, ${miles} ${miles === 1 ? 'mile' : 'miles'}`
    })
    .join('; ')
