/** How sums of the money view came about. */
import type { AccountFigures, Money } from '../money/accounts'
import type { CostOdds } from '../model/odds'
import { exactMoney, formatMoney } from '../money/money'
import type { YardMeter } from '../money/yardMeter'
import { counted } from '../units/counted'
import type { How } from './how'

/** What one account is likely to come to. */
export function howAccount(one: AccountFigures, money: Money): How {
  const say = (minor: number) => exactMoney(minor, money.currency)
  const rest = Math.round(one.planLeftMinor * one.ratio)
  const isYard = one.account === 'yard'
  const toCome = one.likelyMinor - one.spentMinor - one.foundOpenMinor
  return {
    title: `${one.name}, likely in the end`,
    result: say(one.likelyMinor),
    inputs: [
      {
        name: one.isTyped ? 'Planned' : 'Planned, as its parts, trades and yard are guessed at',
        value: say(one.plannedMinor),
      },
      { name: 'Spent', value: say(one.spentMinor) },
      { name: 'Ordered, booked or run up', value: say(one.owedMinor) },
      { name: 'Of the plan, not used up by a payment', value: say(one.planLeftMinor) },
      ...(one.foundOpenMinor > 0
        ? [{ name: 'For found work, not ordered yet', value: say(one.foundOpenMinor) }]
        : []),
    ],
    working: [
      isYard
        ? `What is owed, and the days ashore, lifts and days at a berth to come, each at its price: ${say(toCome)}`
        : `The larger of what is owed, ${say(one.owedMinor)}, and the rest of the plan × ${sayRatio(one.ratio)}, ${say(rest)}`,
      `${say(one.spentMinor)} + ${say(toCome)}${one.foundOpenMinor > 0 ? ` + ${say(one.foundOpenMinor)}` : ''} = ${say(one.likelyMinor)}`,
      ...(isYard ? [] : [sayOverrun(money)]),
    ],
    source:
      'Budget lines as refit leads keep them: spent, and the larger of promised and still planned.',
    distrust: isYard
      ? 'It follows the planned launches. A launch put off costs its days, a bill may hold what the price list does not, and of days at a berth that are gone only what was paid is in it.'
      : 'A plan that was a guess stays one. Price lists leave out freight, ends, cable and glue: ask what is missing.',
  }
}

/** As fine as the sum that is shown with it: checked by hand, it must come out. */
const sayRatio = (ratio: number): string => String(Number(ratio.toFixed(6)))

/** Where the ratio comes from. */
const sayOverrun = ({ overrun, currency }: Pick<Money, 'overrun' | 'currency'>): string =>
  overrun.lines >= 3
    ? `${sayRatio(overrun.ratio)}: ${counted(overrun.lines, 'closed line')} guessed at ${exactMoney(overrun.guessedMinor, currency)} cost ${exactMoney(overrun.actualMinor, currency)}, freight and tax with them`
    : `${sayRatio(overrun.ratio)} is taken until three lines have closed; so far ${counted(overrun.lines, 'line')}`

/** All that is likely; `outcome`: where the runs end, moved by what was written down since; null: none. */
export function howLikely(money: Money, outcome: CostOdds['at'] | null = null): How {
  const say = (minor: number) => exactMoney(minor, money.currency)
  const about = (minor: number) => formatMoney(minor, money.currency)
  return {
    title: 'Likely in the end',
    result: say(outcome?.p50 ?? money.likelyMinor),
    inputs: [
      ...money.accounts
        .filter((one) => one.likelyMinor !== 0)
        .map((one) => ({ name: one.name, value: say(one.likelyMinor) })),
      { name: 'Found work still to come', value: say(money.foundToComeMinor) },
      ...(outcome
        ? [
            {
              name: 'As the runs come out: dates, found work and prices drawn',
              value: say(outcome.p50 - money.likelyMinor),
            },
          ]
        : []),
    ],
    working: [
      ...(outcome
        ? [
            `Half of the runs end at ${about(outcome.p50)} or less, 8 in 10 at ${about(outcome.p80)} or less; 1 in 10 at less than ${about(outcome.p10)}, 1 in 10 at more than ${about(outcome.p90)}.`,
          ]
        : []),
      'Every account, spent with what is still to come.',
      'Found work still to come: the hours still to be found × what an hour of found work cost so far in parts and trades.',
      sayOverrun(money),
    ],
    source: 'The accounts below; each opens to its own working and its lines.',
    distrust: outcome
      ? 'The band rests on how far your own closed lines strayed, and on guesses where few have closed.'
      : 'It is one number without a band. Prices not in writing, and found work, stray furthest.',
  }
}

/** What this time in the yard comes to. */
export function howYard(meter: YardMeter, currency: string): How {
  const say = (minor: number) => exactMoney(minor, currency)
  return {
    title: `${meter.haulOut.name}: what the yard comes to`,
    result: say(meter.totalMinor),
    inputs: [
      { name: 'Lifted out, blocked, washed', value: say(meter.outMinor) },
      {
        name: `Days so far, ${meter.daysSoFar}${meter.freeDays > 0 ? `, ${Math.min(meter.freeDays, meter.daysSoFar)} of them free` : ''}`,
        value: say(meter.daysSoFarMinor),
      },
      {
        name: `Days to the planned launch, ${meter.daysToCome}`,
        value: say(meter.daysToComeMinor),
      },
      { name: 'Lift in', value: say(meter.inMinor) },
    ],
    working: [
      `${say(meter.outMinor)} + ${say(meter.daysSoFarMinor)} + ${say(meter.daysToComeMinor)} + ${say(meter.inMinor)} = ${say(meter.totalMinor)}`,
    ],
    source: 'The prices of the yard as they are written down in Settings.',
    distrust: 'The bill decides: power by the meter, moved stands and weekends are often extra.',
  }
}
