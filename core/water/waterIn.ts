import type { Row } from '../model/entities'

type Reading = Pick<Row<'waterIn'>, 'litres' | 'days' | 'taste' | 'afterRain'>

export interface WaterFigures {
  readonly perDayL: number
  /** Days until it reaches the sole at this rate; null: no water, or the bilge was not measured. */
  readonly daysToSole: number | null
  readonly ruledOut: readonly string[]
  readonly left: readonly string[]
}

const sources = {
  hull: 'Stern gear, sea valves, the hull',
  deck: 'Rain through deck and fittings',
  tank: 'A tank or a fresh-water pipe',
  condensation: 'Condensation',
} as const
type Source = keyof typeof sources

/** Litres a day over which damp air cannot be the source. Assumed. */
const mostCondensationL = 1

/** What a water reading says: how fast, how long until the sole, and which sources it rules out. Days over 0. */
export function waterFigures(reading: Reading, litresToSole: number | null): WaterFigures {
  const perDayL = reading.litres / reading.days
  const out = new Set<Source>()
  if (reading.taste === 'salt')
    for (const one of ['deck', 'tank', 'condensation'] as const) out.add(one)
  if (reading.taste === 'fresh') out.add('hull')
  if (!reading.afterRain) out.add('deck')
  if (perDayL > mostCondensationL) out.add('condensation')
  const all = Object.keys(sources) as Source[]
  return {
    perDayL,
    daysToSole: perDayL > 0 && litresToSole !== null ? litresToSole / perDayL : null,
    ruledOut: all.filter((one) => out.has(one)).map((one) => sources[one]),
    left: all.filter((one) => !out.has(one)).map((one) => sources[one]),
  }
}

/** How long it takes to the sole, what is ruled out and what is left, in sentences. */
export function sayWater({ daysToSole, ruledOut, left }: WaterFigures): string {
  const days = daysToSole === null ? null : Math.floor(daysToSole)
  return [
    days === null ? '' : `${days} ${days === 1 ? 'day' : 'days'} to the sole with nobody there.`,
    ruledOut.length > 0 ? `Ruled out: ${ruledOut.join('; ').toLowerCase()}.` : '',
    left.length > 0
      ? `Left: ${left.join('; ').toLowerCase()}.`
      : 'Nothing is left: look at the reading again.',
  ]
    .filter(Boolean)
    .join(' ')
}
