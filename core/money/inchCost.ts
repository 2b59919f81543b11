/** What an inch of the Tape costs: by season what was paid for each earned, and what those to come are likely to. */
import type { RefitRows } from '../model/refit'
import type { Derived } from '../progress/derive'
import type { Money } from './accounts'
import { sumOf } from './lines'

export interface InchCost {
  readonly name: string
  readonly inches: number
  readonly minor: number
  /** Null: no inch was earned for it. */
  readonly perInchMinor: number | null
  readonly isToCome: boolean
}

/** Seasons that began, those without money and inches left out, and what is to come. Every coin and inch is in one of them. */
export function inchCosts(
  rows: Pick<RefitRows, 'season' | 'step'>,
  money: Money,
  { clock, today, loaIn, earnedIn }: Derived,
): InchCost[] {
  const seasons = [...rows.season]
    .filter((one) => one.from <= today)
    .sort((a, b) => (a.from < b.from ? -1 : 1))
  // What falls between two seasons belongs to the one before; what comes before all of them to the first.
  const seasonAt = (on: string | null): number =>
    on === null
      ? seasons.length - 1
      : Math.max(
          0,
          seasons.findLastIndex((one) => one.from <= on),
        )
  const spent = money.lines.filter((one) => one.isSpent)
  const earned = rows.step.filter((one) => one.earnedIn !== null && one.doneAt !== null)
  const past = seasons.map((season, index): InchCost => {
    const minor = sumOf(spent.filter((one) => seasonAt(one.on) === index))
    const inches = earned
      .filter((one) => seasonAt(clock.dateOf(one.doneAt ?? 0)) === index)
      .reduce((sum, one) => sum + (one.earnedIn ?? 0), 0)
    return {
      name: season.name,
      inches,
      minor,
      perInchMinor: perInch(minor, inches),
      isToCome: false,
    }
  })
  const [left, minor] = [Math.max(0, loaIn - earnedIn), money.likelyMinor - money.spentMinor]
  return [
    ...past.filter((one) => one.minor !== 0 || one.inches > 0),
    { name: 'to come', inches: left, minor, perInchMinor: perInch(minor, left), isToCome: true },
  ]
}

const perInch = (minor: number, inches: number): number | null =>
  inches > 0.05 ? Math.round(minor / inches) : null
