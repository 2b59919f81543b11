import { priorityFactors, purposeName, severityName } from './priority'
import type { Ranked } from './priority'

/** One line of a comparison: what each job has, and how much it moves the first above the second. */
interface ComparedLine {
  readonly what: string
  readonly first: string
  readonly second: string
  /** Above 1 it speaks for the first, below 1 for the second. Points speak by their share of the score. */
  readonly weight: number
}
export interface Comparison {
  readonly lines: readonly ComparedLine[]
  /** "Re-core the foredeck is above Engine re-commission mostly because it is Float, not Go." */
  readonly sentence: string
}

const days = (slack: number | null): string =>
  slack === null ? 'no gate waits' : `${slack} ${slack === 1 ? 'day' : 'days'} slack`

function linesOf(first: Ranked, second: Ranked): ComparedLine[] {
  const [a, b] = [priorityFactors(first.basis), priorityFactors(second.basis)]
  const spreads = (one: Ranked) => (one.basis.spreading ? 'gets worse by itself' : 'stays as it is')
  const severity = (one: Ranked) => severityName[one.basis.severity - 1] ?? ''
  return [
    {
      what: 'purpose',
      first: `${purposeName[first.basis.purpose]} ${a.purpose}`,
      second: `${purposeName[second.basis.purpose]} ${b.purpose}`,
      weight: a.purpose / b.purpose,
    },
    {
      what: 'how bad',
      first: `${severity(first)} × ${a.severity}`,
      second: `${severity(second)} × ${b.severity}`,
      weight: a.severity / b.severity,
    },
    {
      what: 'spreading',
      first: `${spreads(first)} × ${a.spreading}`,
      second: `${spreads(second)} × ${b.spreading}`,
      weight: a.spreading / b.spreading,
    },
    {
      what: 'slack',
      first: `${days(first.basis.slackDays)} × ${a.slack.toFixed(2)}`,
      second: `${days(second.basis.slackDays)} × ${b.slack.toFixed(2)}`,
      weight: a.slack / b.slack,
    },
    {
      what: 'jobs that wait on it',
      first: `${first.basis.waitingJobs}, + ${a.waiting}`,
      second: `${second.basis.waitingJobs}, + ${b.waiting}`,
      weight:
        (1 + a.waiting / Math.max(1, first.score - a.waiting)) /
        (1 + b.waiting / Math.max(1, second.score - b.waiting)),
    },
  ]
}

/** Why the first stands above the second; the order they are given in is the order of the list. */
export function whyAbove(first: Ranked, second: Ranked): Comparison {
  const lines = linesOf(first, second)
  const [a, b] = [first.job.title, second.job.title]
  const scores = `${Math.round(first.score)} against ${Math.round(second.score)}`
  if (first.job.pinnedRank !== null || second.job.pinnedRank !== null) {
    const pinned = [first, second].filter((one) => one.job.pinnedRank !== null)
    const named = pinned.map((one) => `${one.job.title} is pinned to rank ${one.job.pinnedRank}`)
    return { lines, sentence: `${named.join(', ')}. By score it would be ${scores}.` }
  }
  if (Math.abs(first.score - second.score) < 1e-9)
    return { lines, sentence: `Their scores are equal, ${scores}; the order is the one by hand.` }
  const main = lines.reduce((most, line) => (line.weight > most.weight ? line : most))
  return {
    lines,
    sentence: `“${a}” stands above “${b}”, ${scores}, mostly by ${main.what}: ${main.first.replace(/ [×+].*| \d+$/, '')} against ${main.second.replace(/ [×+].*| \d+$/, '')}.`,
  }
}
