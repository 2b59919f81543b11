/** How figures of the launch view came about. */
import type { LiftCost, LiftOdds } from '../model/odds'
import type { How } from './how'

interface Words {
  /** Minor units as money. */
  readonly money: (minor: number) => string
  readonly day: (day: number) => string
}

const total = ([yard, berth, fee]: LiftCost): number => yard - berth + fee

/** What booking the lift of a day comes to, beside the cheapest; null: it was not weighed. */
export function howLift(odds: LiftOdds, day: number, { money, day: sayDay }: Words): How | null {
  const [, ready, extra, own] = odds.all?.find(([each]) => each === day) ?? []
  const [, , , least] = odds.all?.find(([each]) => each === odds.bestDay) ?? []
  if (ready === undefined || extra == null || !own || !least || odds.bestDay === null) return null
  const isBest = day === odds.bestDay
  const best = isBest ? '' : sayDay(odds.bestDay)
  const beside = (mine: string, theirs: string) =>
    isBest ? mine : `${mine}; ${theirs} for ${best}`
  const sum = (cost: LiftCost) =>
    [
      money(cost[0]),
      cost[1] === 0 ? '' : `− ${money(cost[1])}`,
      cost[2] === 0 ? '' : `+ ${money(cost[2])}`,
    ]
      .filter(Boolean)
      .join(' ')
  const worked = (cost: LiftCost) =>
    sum(cost) === money(total(cost)) ? money(total(cost)) : `${sum(cost)} = ${money(total(cost))}`
  return {
    title: `Booking ${sayDay(day)}`,
    result: isBest
      ? `${money(total(own))}, the least of those weighed`
      : extra === 0
        ? `as much as ${best}`
        : `${money(extra)} more than ${best}`,
    inputs: [
      { name: 'All is ready for it', value: `in ${ready} of 100 runs` },
      { name: 'She goes in, on average', value: beside(sayDay(own[3]), sayDay(least[3])) },
      {
        name: 'The yard’s days from lift-out till then',
        value: beside(money(own[0]), money(least[0])),
      },
      ...(own[1] === 0 && least[1] === 0
        ? []
        : [
            {
              name: 'Less a berth she does not need meanwhile',
              value: beside(money(own[1]), money(least[1])),
            },
          ]),
      ...(own[2] === 0 && least[2] === 0
        ? []
        : [
            {
              name: 'Changing the day where it is missed',
              value: beside(money(own[2]), money(least[2])),
            },
          ]),
    ],
    working: [
      `${sayDay(day)}: ${worked(own)}`,
      ...(isBest
        ? []
        : [
            `${best}: ${worked(least)}`,
            `${money(total(own))} − ${money(total(least))} = ${money(extra)}`,
          ]),
    ],
    source:
      'The runs of the forecast at the yard’s prices: booked and ready, she goes in; missed, the fee is paid and she goes in on the first lift that can be had with the yard’s notice. Lifts with too few hands there, and those that hardly any run is ready for, are not weighed.',
    distrust: `${own[2] > 0 ? 'A day that is given up in time costs no fee, and comes to less. ' : ''}Days after launch, travel and what a late season costs you are not in it.`,
  }
}
