/** How figures of the walk came about: a core map, its drying, a count sheet, a pad, water in, and what she is worth. */
import type { CountSheet, Panel, Row } from '../model/entities'
import type { SheetFigures } from '../members/sheetFigures'
import type { SupportFigures } from '../members/pressure'
import { sayBand } from '../members/saySheet'
import { exactMoney } from '../money/money'
import type { OutlookFigures } from '../outlook/worth'
import type { Drying } from '../panel/drying'
import type { PanelFigures } from '../panel/panelCase'
import { sayArea } from '../panel/sayPanel'
import type { CoreWay } from '../panel/ways'
import { draftStepHours } from '../recipes/draftHours'
import { capital, figured } from '../units/counted'
import { formatHours } from '../units/hours'
import type { WaterFigures } from '../water/waterIn'
import type { How } from './how'

type Dates = (date: string) => string
const percent = (share: number): string => `${Math.round(share * 100)} %`
/** As fine as what is shown with it: worked by hand, it must come out. */
const plain = (value: number): string => String(Number(value.toFixed(6)))

/** The wet area of a map and its share of the panel. */
export function howWet(panel: Panel, { grid, figures }: PanelFigures): How {
  const cellM2 = grid.cellM ** 2
  const cut = grid.cells.filter(
    (one) => figures.wetKeys.has(one.key) && one.share < 1 - 1e-6,
  ).length
  return {
    title: `${panel.title}, wet`,
    result: `${sayArea(figures.wetM2)} of ${sayArea(grid.areaM2)}, ${percent(figures.wetShare)}`,
    inputs: [
      { name: 'Wet cells', value: String(figures.wetKeys.size) },
      ...(cut > 0 ? [{ name: 'Of them cut by the outline', value: String(cut) }] : []),
      { name: 'A whole cell', value: `${plain(cellM2)} m²` },
      { name: 'Wet from a reading of', value: String(panel.wetFrom) },
      { name: 'Not read', value: sayArea(figures.unreadM2) },
    ],
    working: [
      cut > 0
        ? `${figured(figures.wetKeys.size, 'cell')}, those at the edge by their share inside: ${plain(figures.wetM2 / cellM2)} × ${plain(cellM2)} m² = ${sayArea(figures.wetM2)}`
        : `${figures.wetKeys.size} × ${plain(cellM2)} m² = ${sayArea(figures.wetM2)}`,
      `${sayArea(figures.wetM2)} ÷ ${sayArea(grid.areaM2)} = ${percent(figures.wetShare)}`,
      'A sample outranks the meter: wet or powder is wet, sound is dry, whatever was read.',
    ],
    source: 'Cells over the panel’s own outline; where wet begins is set with the panel.',
    distrust:
      'A meter reads salt, metal, carbon and wet paint as water. Where it matters, drill from inside and look at the core.',
  }
}

/** The day a panel is likely dry; null: no line falls to it. */
export function howDry(panel: Panel, drying: Drying, sayDate: Dates): How | null {
  if (drying.is !== 'falling' || panel.dryReading === null) return null
  const over = panel.dampFrom - panel.dryReading
  const fall = drying.k.toPrecision(4)
  return {
    title: `${panel.title}, likely dry`,
    result: sayDate(drying.on),
    inputs: [
      { name: 'Readings over the reference', value: String(drying.used) },
      { name: 'Dry reference', value: String(panel.dryReading) },
      { name: 'Dry below', value: String(panel.dampFrom) },
      {
        name: 'Four chances in five',
        value: `${sayDate(drying.from)} to ${drying.to === null ? 'no day that can be said' : sayDate(drying.to)}`,
      },
    ],
    working: [
      'ln(reading − reference) on the days is a straight line; the one with the least squares is taken.',
      `It falls by ${fall} a day: ln 2 ÷ ${fall} = ${drying.halfDays.toFixed(1)} days for each halving.`,
      `It reaches ${panel.dampFrom} − ${panel.dryReading} = ${plain(over)} over the reference on ${sayDate(drying.on)}.`,
      'The range is where the band of the line crosses, by Student’s t on what the readings stray.',
    ],
    source:
      'Least squares with Fieller’s bounds; that what is over the reference halves in equal times is the usual first guess for drying.',
    distrust:
      'Weather, a leaking cover, a meter held elsewhere. Read at one place, in one temperature; the last part dries slower than the line.',
  }
}

/** Hours and waits of a way to put a panel right, by its recipe. */
export function howWay(way: CoreWay): How | null {
  if (!way.draft) return null
  return {
    title: `${way.recipe.title}: hours`,
    result: formatHours(way.hours),
    inputs: way.draft.steps.map((one) => ({
      name: one.fields.title,
      value: formatHours(draftStepHours(one)),
    })),
    working: [
      `Added up, as if all of it is in open reach: ${formatHours(way.hours)} of work.`,
      `Waits one after the other, each as long as at 20 °C: ${figured(Math.round(way.waitDays), 'day')}.`,
    ],
    source: 'The recipe, at the size that the map says is to be opened.',
    distrust:
      'What is opened grows: wet core ends where it is dry, not where the meter said. Cold makes the waits longer, the plan works with the weather.',
  }
}

/** How many of a kind are bad in all. */
export function howExpected(one: SheetFigures['kinds'][number]): How {
  const { bad, seen, unseen, expected } = one
  return {
    title: `${capital(one.kind)}s, more to expect`,
    result: expected.more.toFixed(1),
    inputs: [
      { name: 'Seen', value: String(seen) },
      { name: 'Of them bad', value: String(bad) },
      { name: 'Not seen', value: String(unseen) },
    ],
    working: [
      `(${bad} + ½) ÷ (${seen} + 1) = ${percent(expected.rate)} bad`,
      `${unseen} × ${expected.rate.toFixed(5)} = ${expected.more.toFixed(1)} more among those nobody has seen`,
      `Bad: ${sayBand(expected.from, expected.to)}, four chances in five`,
    ],
    source:
      'Beta-binomial with Jeffreys’ prior: half a bad one and half a sound one are known before anybody looks.',
    distrust:
      'It takes the unseen for like the seen. Behind tanks and under the engine it is wetter than where one looks easily.',
  }
}

/** Hours of mending what is likely bad, or of renewing all. */
export function howMend(sheet: CountSheet, figures: SheetFigures, way: 'mend' | 'renew'): How {
  const { likelyBad, main, openHours } = figures
  const isMend = way === 'mend'
  const own = isMend ? sheet.mendHours : sheet.renewHours
  const opening = openHours > 0 ? ` + ${formatHours(openHours)}` : ''
  return {
    title: isMend
      ? `Mend ${figured(likelyBad, main.kind)}`
      : `Renew all ${figured(main.all, main.kind)}`,
    result: formatHours(isMend ? figures.mendHours : figures.renewHours),
    inputs: [
      ...(isMend ? [{ name: 'Likely bad in all', value: String(likelyBad) }] : []),
      { name: isMend ? 'To mend one' : 'To renew all', value: formatHours(own) },
      ...(openHours > 0
        ? [{ name: 'To open and shut the bays', value: formatHours(openHours) }]
        : []),
    ],
    working: [
      isMend
        ? `${main.bad} seen + ${main.expected.more.toFixed(1)} to expect, whole: ${likelyBad} × ${formatHours(own)}${opening} = ${formatHours(figures.mendHours)}`
        : `${formatHours(own)}${opening} = ${formatHours(figures.renewHours)}`,
      `Renewing all takes fewer hours from ${figures.renewFrom} bad ones on; the chance of so many is ${percent(figures.chanceRenew)}.`,
    ],
    source: 'Hours and prices of this sheet; opening is in both.',
    distrust:
      'Mended one by one they wear on beside the new. How much of a frame may be sistered is the surveyor’s word.',
  }
}

/** Pressure under a pad. */
export function howPressure(
  { support, pressure, timesOthers }: SupportFigures,
  weightT: number,
): How {
  const kilonewtons = (support.sharePct / 100) * weightT * 9.81
  return {
    title: `Under ${support.title}`,
    result: `${Math.round(pressure)} kPa`,
    inputs: [
      { name: 'Share of her weight', value: `${support.sharePct} %` },
      { name: 'Her weight', value: `${weightT} t` },
      { name: 'Pad', value: `${plain(support.padLengthM)} × ${plain(support.padWidthM)} m` },
    ],
    working: [
      `${support.sharePct} % × ${weightT} t × 9.81 = ${kilonewtons.toPrecision(5)} kN`,
      `${kilonewtons.toPrecision(5)} kN ÷ (${plain(support.padLengthM)} × ${plain(support.padWidthM)} m²) = ${Math.round(pressure)} kPa`,
      ...(timesOthers === null
        ? []
        : [`${timesOthers.toFixed(1)} times the middle of the other pads, keel left out.`]),
    ],
    source:
      'Weight over area. From 1.5 times the others, and more than 50 mm off a frame, it is called marking her.',
    distrust:
      'The shares are guessed unless a load cell said them, and they shift as she dries out and is emptied. The yard moves pads; you do not.',
  }
}

/** Litres a day and how long to the sole. */
export function howWaterIn(
  reading: Pick<Row<'waterIn'>, 'litres' | 'days'>,
  { perDayL, daysToSole }: WaterFigures,
  litresToSole: number | null,
): How {
  return {
    title: 'Water in, a day',
    result: `${perDayL.toFixed(1)} L a day`,
    inputs: [
      { name: 'Pumped out', value: `${reading.litres} L` },
      { name: 'Since it was dry', value: figured(reading.days, 'day') },
      ...(litresToSole === null ? [] : [{ name: 'To the sole', value: `${litresToSole} L` }]),
    ],
    working: [
      `${reading.litres} L ÷ ${reading.days} = ${perDayL.toFixed(1)} L a day`,
      ...(daysToSole === null || litresToSole === null
        ? []
        : [
            `${litresToSole} L × ${reading.days} ÷ ${reading.litres} L = ${daysToSole.toFixed(1)} days`,
          ]),
    ],
    source: 'Division; what a taste and a dry spell rule out stands with it.',
    distrust:
      'A leak that is slow today need not stay so: a hose or a hole goes at once. Look again sooner than the days say.',
  }
}

/** What one way leaves over selling her today. */
export function howWorth(
  { outlook, gainMinor, perHourMinor }: OutlookFigures,
  worthNowMinor: number,
  currency: string,
): How {
  const say = (minor: number) => exactMoney(minor, currency)
  return {
    title: outlook.title,
    result: say(gainMinor),
    inputs: [
      { name: 'Worth afterwards', value: say(outlook.worthMinor) },
      { name: 'Worth as she lies', value: say(worthNowMinor) },
      { name: 'Money still to spend', value: say(outlook.spendMinor) },
      { name: 'Hours of your own', value: formatHours(outlook.ownHours) },
    ],
    working: [
      `${say(outlook.worthMinor)} − ${say(worthNowMinor)} − ${say(outlook.spendMinor)} = ${say(gainMinor)}`,
      ...(perHourMinor === null
        ? []
        : [`${say(gainMinor)} ÷ ${plain(outlook.ownHours)} h = ${say(perHourMinor)} an hour`]),
    ],
    source: 'What is left over against selling her today.',
    distrust:
      'Both worths are guesses of what somebody would pay. Sailing her is not in it, nor the years it takes.',
  }
}
