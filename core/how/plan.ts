import { priorityFactors, prioritySentence, purposeName, severityName } from '../plan/priority'
import type { PriorityBasis } from '../plan/priority'
import type { ChainLink } from '../plan/chain'
import type { GateFigures } from '../progress/derive'
import { sayFullDate } from '../time/say'
import { formatHours } from '../units/hours'
import type { How } from './how'

const sayDays = (days: number): string => `${days} ${days === 1 ? 'day' : 'days'}`
/** Links read out; the whole chain stands in Sequence. */
const mostLinks = 6
const round = (value: number, digits = 1): string => String(Number(value.toFixed(digits)))

/** Why a job stands where it does in the list. */
export function howRank(basis: PriorityBasis, rank: number, of: number, score: number): How {
  const { purpose, severity, spreading, slack, waiting } = priorityFactors(basis)
  return {
    title: 'Place in the list',
    result: `${rank} of ${of}, score ${Math.round(score)}`,
    inputs: [
      { name: `Purpose: ${purposeName[basis.purpose]}`, value: String(purpose) },
      { name: `How bad: ${severityName[basis.severity - 1] ?? ''}`, value: `× ${severity}` },
      {
        name: basis.spreading ? 'Gets worse by itself' : 'Stays as it is',
        value: `× ${spreading}`,
      },
      {
        name:
          basis.slackDays === null ? 'No gate waits for it' : `Slack: ${sayDays(basis.slackDays)}`,
        value: `× ${round(slack, 3)}`,
      },
      { name: `Jobs that wait on it: ${basis.waitingJobs}`, value: `+ ${waiting}` },
    ],
    working: [
      `${purpose} × ${severity} × ${spreading} × ${round(slack, 3)} + ${waiting} = ${round(score)}`,
      'Slack counts 2 when there is none and falls to 1 at four weeks.',
    ],
    source: 'Our own weights: keeping her afloat first, looks last.',
    distrust: `${prioritySentence(basis)} It ranks what you said of the job; a wrong purpose or severity outweighs everything else. Pin a rank where you know better.`,
  }
}

/** Days a job's gate would not feel. `finishes`: earliest and latest end without anybody being busy, as dates. */
export function howSlack(days: number | null): How {
  return {
    title: 'Slack by the calendar',
    result: days === null ? 'no gate waits for it' : sayDays(days),
    inputs: [],
    working: [
      'The latest day it may end without moving its gate, less the earliest day it can end, in whole days.',
      'Both are found with everybody’s hours and all waits, as if nobody were ever busy with something else.',
    ],
    source: 'Critical path with calendars, without capacity.',
    distrust:
      'In the plan itself people are busy: a job with slack here can still be what holds the launch, when its people are.',
  }
}

/** Days a job can be put off in the plan before its gate moves; null: not measured. */
export function howSlip(days: number | null, gate: string): How {
  return {
    title: 'Slip in this plan',
    result: days === null ? 'not measured' : sayDays(days),
    inputs: [],
    working: [
      'All that is still to be done of the job is put off by a number of days, and the plan is laid again at the time it was made, everything else in the same order.',
      `The most days with which ${gate} keeps its date are the answer, up to a year.`,
    ],
    source: 'The plan itself, laid again for each number of days tried.',
    distrust:
      'It counts on everybody keeping to the order of this plan. Slack by the calendar, which priority goes by, counts as if nobody were ever busy, and is mostly more.',
  }
}

/** Where the date of a gate comes from: the last links of what holds it. `leavesOut` is said of it beside its date. */
export function howGateDate(
  figures: GateFigures,
  chain: readonly ChainLink[],
  leavesOut: readonly string[],
): How {
  const { gate, plannedOn, aimedOn, hasWork } = figures
  return {
    title: `Date of ${gate.name}`,
    result: plannedOn === null ? 'not dated' : sayFullDate(plannedOn),
    inputs: [
      { name: 'Aimed', value: aimedOn === null ? 'as soon as possible' : sayFullDate(aimedOn) },
      {
        name: 'Open for it, gates before it left out',
        value: hasWork ? formatHours(figures.hoursNeeded) : 'nothing waits for it',
      },
    ],
    working:
      plannedOn === null
        ? ['Some of what it waits for has no place in a plan, so no date would be true.']
        : chain
            .slice(0, mostLinks)
            .map((link) => `${link.title}: ${link.when === '' ? '' : `${link.when}. `}${link.why}`),
    source:
      'The plan: each step in the earliest room that its people, the waits, her hull and the yard leave.',
    distrust: [
      'It takes every step at its likely hours; what has not been found yet is not in it.',
      ...leavesOut,
    ].join(' '),
  }
}
