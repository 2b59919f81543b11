/** Tides as people have them: a list of constituents, or a table of high and low waters. */
import { constituents as known } from '@neaps/tide-predictor'
import type { TideConstituent, TideTurn } from '../model/entities/launch'
import { accepted, refused } from '../result'
import type { Result } from '../result'
import { dayNumber, isDate, minutesOf } from '../time/civil'
import { readNumber } from '../units/parsed'
import type { ZoneClock } from '../time/zone'
import { isKnownConstituent } from './tide'

/** Speeds further off than this, degrees an hour, are another constituent's. */
const sameSpeed = 0.01

const isZ0 = (name: string) => /^z0$/i.test(name)

export interface ReadConstituents {
  readonly constituents: readonly TideConstituent[]
  /** Mean level of a line named Z0; null: there is none. */
  readonly meanM: number | null
}

/**
 * Lines of name, amplitude in metres, phase lag in degrees (UTC), and perhaps the speed in degrees an hour. A first
 * line of headings is passed over. Refused line by line: a number that is none, a name whose speed is not known, a
 * speed that is another's.
 */
export function readConstituents(lines: readonly (readonly string[])[]): Result<ReadConstituents> {
  const found: TideConstituent[] = []
  let meanM: number | null = null
  for (const [index, cells] of lines.entries()) {
    const [given = '', amplitude = '', phase = '', speed = ''] = cells.map((one) => one.trim())
    if (given === '') continue
    const name = given.toUpperCase()
    const [amplitudeM, phaseDeg] = [readNumber(amplitude), readNumber(phase)]
    if (index === 0 && amplitudeM === null && phaseDeg === null) continue
    const line = `Line ${index + 1} (${given})`
    if (isZ0(name) && amplitudeM !== null) {
      meanM = amplitudeM
      continue
    }
    if (amplitudeM === null || amplitudeM < 0)
      return refused(`${line}: “${amplitude}” is no amplitude. Give metres, such as 1.66.`)
    if (phaseDeg === null)
      return refused(`${line}: “${phase}” is no phase. Give degrees, such as 210.`)
    if (!isKnownConstituent(name))
      return refused(
        `${line}: its speed is not known here, and a speed alone does not say where it stands in the sky. Leave the line out, or use its usual name.`,
      )
    const own = speed === '' ? null : readNumber(speed)
    const usual = known[name]?.speed ?? 0
    if (speed !== '' && (own === null || Math.abs(own - usual) > sameSpeed))
      return refused(
        `${line}: its speed is ${usual.toFixed(4)}° an hour, and the line says ${speed}. Is it another constituent?`,
      )
    if (found.some((one) => one.name === name)) return refused(`${line} stands there twice.`)
    found.push({ name, amplitudeM, phaseDeg: ((phaseDeg % 360) + 360) % 360 })
  }
  if (found.length === 0)
    return refused('No line has a name, an amplitude and a phase: M2, 1.66, 210.')
  return accepted({ constituents: found, meanM })
}

/**
 * Lines such as '2027-06-05 08:20 4.7', times of the yard's clock; a line without a date takes that of the line before.
 * Refused: fewer than two, a line that cannot be read, one that is not later than the line before.
 */
export function readTurns(
  text: string,
  clock: ZoneClock,
  today: string,
): Result<readonly TideTurn[]> {
  const turns: TideTurn[] = []
  let on = today
  for (const [index, line] of text.split('\n').entries()) {
    const words = line
      .trim()
      .split(/[\s;]+/)
      .filter(Boolean)
    if (words.length === 0) continue
    const named = `Line ${index + 1}`
    if (isDate(words[0] ?? '')) on = words.shift() as string
    const [time = '', height = ''] = words
    const heightM = readNumber(height.replace(/m$/i, ''))
    if (!/^([01]?\d|2[0-3]):[0-5]\d$/.test(time) || heightM === null)
      return refused(
        `${named} cannot be read: “${line.trim()}”. Write date, time and metres: 2027-06-05 08:20 4.7`,
      )
    const at = clock.at(dayNumber(on), minutesOf(time))
    if (at <= (turns.at(-1)?.at ?? -Infinity))
      return refused(
        `${named}, ${on} ${time}, is not later than the line before. Put the high and low waters in order of time.`,
      )
    turns.push({ at, heightM })
  }
  if (turns.length < 2)
    return refused(
      'Type at least two waters, a high and the low after it: the curve runs between them.',
    )
  return accepted(turns)
}
