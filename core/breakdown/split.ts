import type { ChangeItem } from '../model/changes'
import type { Job, Step } from '../model/entities'
import { keyBetween } from '../model/order'
import { inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { patchOf } from '../model/removal'
import { accepted, refused } from '../result'
import type { Outcome } from './outcome'

const stepsOf = (rows: RefitRows, jobId: string): Step[] =>
  inOrder(rows.step.filter((step) => step.jobId === jobId))

/** Where the chosen steps lie among all: at the end, at the start, or among the others. */
function lie(steps: readonly Step[], chosen: ReadonlySet<string>): 'tail' | 'head' | 'among' {
  const flags = steps.map((step) => chosen.has(step.id))
  const first = flags.indexOf(true)
  if (flags.slice(first).every(Boolean)) return 'tail'
  const last = flags.lastIndexOf(true)
  return flags.slice(0, last + 1).every(Boolean) ? 'head' : 'among'
}

/**
 * Moves chosen steps of a job into a new one. Steps from its end come after the rest by a link, steps
 * from its start before; links to other jobs follow the steps they were about. A job that is split is no
 * longer worked by its recipe. Refused when nothing or everything is chosen.
 */
export function splitJob(
  rows: RefitRows,
  job: Job,
  stepIds: readonly string[],
  title: string,
  newId: () => string,
): Outcome {
  const steps = stepsOf(rows, job.id)
  const chosen = new Set(stepIds)
  const moving = steps.filter((step) => chosen.has(step.id))
  if (moving.length === 0) return refused('Choose the steps that go into the new job first.')
  if (moving.length === steps.length)
    return refused('That is every step: nothing would stay. Leave out what belongs here.')
  if (title.trim() === '') return refused('Give the new job a name.')
  const newJobId = newId()
  const { zoneId, systemId, purpose, severity, spreading, gateId, haulOutId, decision } = job
  const like = { zoneId, systemId, purpose, severity, spreading, gateId, haulOutId, decision }
  const next = inOrder(rows.job).find((one) => one.order > job.order)
  const items: ChangeItem[] = [
    {
      op: 'create',
      entity: 'job',
      id: newJobId,
      patch: {
        ...like,
        title,
        parentJobId: job.parentJobId,
        placed: job.placed,
        order: keyBetween(job.order, next?.order ?? null),
      },
    },
    ...moving.map((step) =>
      patchOf('step', step, { jobId: newJobId, recipeStep: '', recipeMade: {} }),
    ),
    ...rows.part
      .filter((part) => chosen.has(part.neededByStepId ?? ''))
      .map((part) => patchOf('part', part, { jobId: newJobId, recipePart: '', recipeMade: {} })),
  ]
  if (job.recipeKey !== null)
    items.push(patchOf('job', job, { recipeKey: null, recipeInputs: {}, inputSources: {} }))
  const where = lie(steps, chosen)
  // A link that names a step follows that step; the rest follow the end of the row they were about.
  const named = { fromJobId: 'fromStepId', toJobId: 'toStepId' } as const
  for (const side of ['fromJobId', 'toJobId'] as const)
    for (const link of rows.link.filter((one) => one[side] === job.id))
      if (chosen.has(link[named[side]] ?? ''))
        items.push(patchOf('link', link, { [side]: newJobId }))
  if (where !== 'among') {
    const [fromJobId, toJobId] = where === 'tail' ? [job.id, newJobId] : [newJobId, job.id]
    items.push({ op: 'create', entity: 'link', id: newId(), patch: { fromJobId, toJobId } })
    const side = where === 'tail' ? 'fromJobId' : 'toJobId'
    for (const link of rows.link.filter((one) => one[side] === job.id))
      if (link[named[side]] === null) items.push(patchOf('link', link, { [side]: newJobId }))
  }
  const said =
    where === 'among'
      ? 'Split. No link was made: the steps lay among the others. Add one where order matters.'
      : 'Split, and linked in the order the steps had.'
  return accepted({ items, said })
}

const hundredths = (hours: number): number => Math.round(hours * 100) / 100
/** Shortest piece worth a line of its own, hours. */
const leastHours = 0.05

/** The first of two parts that add up to the whole, to a hundredth of an hour. */
const firstPart = (hours: number, share: number): number =>
  hundredths(Math.min(hours - leastHours, Math.max(leastHours, hundredths(hours * share))))

/** Cuts a step in two at a share of its hours, 0 to 1 (both excluded); the wait stays with the second. */
export function splitStep(
  rows: RefitRows,
  step: Step,
  share: number,
  newId: () => string,
): Outcome {
  if (step.state === 'done') return refused('This step is done; there is nothing left to split.')
  if (step.hoursLikely < 0.1) return refused('There are no hours in it to split.')
  if (step.unitsDone > 0)
    return refused('Some of it is counted off already. Set the count back, or leave it whole.')
  if (!(share > 0 && share < 1)) return refused('Split it somewhere between its start and its end.')
  const after = stepsOf(rows, step.jobId).find((one) => one.order > step.order)
  const firstOf = (hours: number | null) => (hours === null ? null : firstPart(hours, share))
  const restOf = (hours: number | null) =>
    hours === null ? null : hundredths(hours - firstPart(hours, share))
  const hoursOf = (of: (hours: number | null) => number | null) => ({
    hoursLikely: of(step.hoursLikely),
    hoursLow: of(step.hoursLow),
    hoursHigh: of(step.hoursHigh),
  })
  const { id: _, version: _version, earnedIn: _earned, ...fields } = step
  const units = step.unitCount ?? 0
  // One unit cannot be two halves: it goes with the first part.
  const firstUnits = units === 0 ? null : Math.max(1, Math.round(units * share))
  const restUnits = firstUnits === null || units === firstUnits ? null : units - firstUnits
  return accepted({
    said: 'Split in two. Cut the hours as you like.',
    items: [
      patchOf('step', step, {
        ...hoursOf(firstOf),
        unitCount: firstUnits,
        title: `${step.title}, first part`.slice(0, 300),
        waitKind: 'none',
        waitHours: 0,
        maxWaitHours: null,
      }),
      {
        op: 'create',
        entity: 'step',
        id: newId(),
        patch: {
          ...fields,
          ...hoursOf(restOf),
          title: `${step.title}, second part`.slice(0, 300),
          unitCount: restUnits,
          // What was begun, and what is good enough for now, is the first part.
          startedAt: null,
          byIds: [],
          provisionalFor: '',
          provisionalNot: '',
          rightBeforeGateId: null,
          rightByJobId: null,
          state: 'open',
          doneAt: null,
          parallel: false,
          recipeStep: '',
          recipeMade: {},
          order: keyBetween(step.order, after?.order ?? null),
        },
      },
    ],
  })
}
