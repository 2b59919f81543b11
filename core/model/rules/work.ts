/** Rules of the work: jobs, their steps and links, what was found, what is curing. */
import { topological } from '../../graph'
import { cycleSentence, findCycle } from '../../plan/network'
import type { Row } from '../entities'
import { groupBy } from '../refit'
import { stepRules } from './steps'
import { mendWhen, when } from './rule'
import type { RuleContext, RuleProblem, Rules } from './rule'

/** Jobs that were found during themselves, all at once: each has one parent, so only circles are left out. */
function ownAncestors({ rows }: RuleContext): ReadonlySet<string> {
  const parents = new Map(rows.job.map((one) => [one.id, one.parentJobId]))
  const ids = [...parents.keys()]
  const fine = new Set(
    topological(ids, (id) => {
      const parent = parents.get(id)
      return parent ? [parent] : []
    }),
  )
  return new Set(ids.filter((id) => !fine.has(id)))
}

function linkRule(row: Row<'link'>, { rows, once }: RuleContext): RuleProblem[] {
  if (row.fromJobId === row.toJobId)
    return when(true, 'toJobId', 'A job cannot wait for itself. Pick another job.')
  const pairOf = (link: Row<'link'>) => `${link.fromJobId} ${link.toJobId}`
  const pairs = once('linkPairs', () => groupBy(rows.link, pairOf))
  if ((pairs.get(pairOf(row)) ?? []).some((other) => other.id !== row.id))
    return when(true, 'toJobId', 'That link is there already.')
  const stepJob = once('stepJobs', () => new Map(rows.step.map((one) => [one.id, one.jobId])))
  for (const [stepId, jobId, field] of [
    [row.fromStepId, row.fromJobId, 'fromStepId'],
    [row.toStepId, row.toJobId, 'toStepId'],
  ] as const)
    if (stepId !== null && stepJob.has(stepId) && stepJob.get(stepId) !== jobId)
      return when(true, field, 'That step belongs to another job. Pick a step of this one.')
  const cycle = once('linkCycle', () => findCycle(rows.link))
  const at = cycle?.indexOf(row.fromJobId) ?? -1
  if (cycle && at >= 0 && cycle[(at + 1) % cycle.length] === row.toJobId)
    return when(true, 'toJobId', cycleSentence(cycle, rows.job))
  return when(
    row.maxWaitHours !== null && row.minWaitHours > row.maxWaitHours,
    'maxWaitHours',
    'The least wait is longer than the most.',
  )
}

export const workRules: Rules = {
  step: (row) => [
    ...when(
      row.hoursLow !== null && row.hoursLow > row.hoursLikely,
      'hoursLow',
      'Low hours are over the likely ones.',
    ),
    ...when(
      row.hoursHigh !== null && row.hoursHigh < row.hoursLikely,
      'hoursHigh',
      'High hours are under the likely ones.',
    ),
    ...when(
      row.notBefore !== null && row.notAfter !== null && row.notAfter < row.notBefore,
      'notAfter',
      'The last day is before the first one.',
    ),
    ...when(
      row.crewMax < row.crewMin,
      'crewMax',
      `At most ${row.crewMax} people is fewer than at least ${row.crewMin}.`,
    ),
    ...when(
      row.maxWaitHours !== null && row.waitKind !== 'none' && row.waitHours > row.maxWaitHours,
      'maxWaitHours',
      `The bond window closes after ${row.maxWaitHours} h, before the wait of ${row.waitHours} h is over.`,
    ),
    ...stepRules(row),
  ],
  job: (row, context) =>
    when(
      row.parentJobId !== null &&
        context.once('ownAncestors', () => ownAncestors(context)).has(row.id),
      'parentJobId',
      'A job cannot be found during itself, or during one that it bred.',
    ),
  link: linkRule,
  clock: (row) => [
    ...mendWhen(
      row.kind === 'pot' && row.endedAt === null && !row.closesH,
      'closesH',
      'A pot needs its pot life: it is on the data sheet.',
    ),
    ...mendWhen(
      row.kind !== 'pot' && row.endedAt === null && row.opensH === null && row.closesH === null,
      'opensH',
      'A clock needs a time to run to: when it is ready, or when it shuts.',
    ),
    ...when(
      row.opensH !== null && row.closesH !== null && row.closesH < row.opensH,
      'closesH',
      'It would close before it opens. Check the two times on the data sheet.',
    ),
    ...when(
      row.endedAt !== null && row.endedAt < row.startedAt,
      'endedAt',
      'It ended before it started.',
    ),
  ],
}
