/** A step that did not work: what is undone, made good and done again. */
import type { ChangeItem } from '../model/changes'
import type { Step } from '../model/entities'
import { keysAfter } from '../model/order'
import { inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { patchOf } from '../model/removal'
import { plannedHours } from '../plan/planned'
import { accepted, refused } from '../result'
import type { Result } from '../result'

/** What of a step is done again: fields that say how, none that say what became of it. */
const alike = [
  'jobId',
  'operation',
  'hoursLow',
  'hoursLikely',
  'hoursHigh',
  'crewMin',
  'crewMax',
  'access',
  'skill',
  'placeNeed',
  'hullNeed',
  'splittable',
  'needsDry',
  'minTempC',
  'maxTempC',
  'waitKind',
  'waitHours',
  'waitRefC',
  'waitMinC',
  'maxWaitHours',
  'windowKind',
  'beginsOnce',
  'bedDepthMm',
  'productId',
  'months',
  'caution',
  'licensedKind',
  'unitName',
  'unitCount',
  'proveOnOne',
  'noNeighbours',
  'readWhat',
  'readUnit',
  'readLow',
  'readHigh',
  'readFailAt',
  'readSource',
  'readDry',
  'afterGate',
] as const satisfies readonly (keyof Step)[]

/** Answers of the person. */
export interface Failure {
  /** Why; kept with the hours. */
  readonly cause: string
  /** The first step that has to be done again; the failed one, or one before it. */
  readonly backToId: string
  /** Person-hours to undo, and to make good what undoing left; 0: none. */
  readonly undoHours: number
  readonly makeGoodHours: number
  /** Hours round the clock that the making good cures. */
  readonly makeGoodCureHours: number
}

/** What is proposed, and what it costs by hand. */
export interface Redo {
  readonly items: readonly ChangeItem[]
  /** Person-hours added. */
  readonly hours: number
  /** Steps done again, in order. */
  readonly again: readonly Step[]
}

/** Steps of its job that may have to be done again: the failed one first, then those before it, the nearest first. */
export function backTo(rows: Pick<RefitRows, 'step'>, failed: Step): Step[] {
  const steps = inOrder(rows.step.filter((one) => one.jobId === failed.jobId))
  const at = steps.findIndex((one) => one.id === failed.id)
  return [
    failed,
    ...steps
      .slice(0, Math.max(0, at))
      .reverse()
      .filter((one) => one.state === 'done'),
  ]
}

/**
 * The failed step is closed as it went; undo, making good and the steps done again come right after it. Refused
 * without a cause, and for a step that lies behind.
 */
export function didNotWork(
  rows: Pick<RefitRows, 'step'>,
  failed: Step,
  given: Failure,
  newId: () => string,
): Result<Redo> {
  const cause = given.cause.trim()
  if (cause === '')
    return refused('Say why it did not work: the next one who does it will read it.')
  const choices = backTo(rows, failed)
  const far = choices.findIndex((one) => one.id === given.backToId)
  if (far < 0) return refused('Choose how far back: this step, or a finished one before it.')
  const again = choices.slice(0, far + 1).reverse()
  const steps = inOrder(rows.step.filter((one) => one.jobId === failed.jobId))
  const next = steps[steps.findIndex((one) => one.id === failed.id) + 1] ?? null
  const many = again.length + (given.undoHours > 0 ? 1 : 0) + (given.makeGoodHours > 0 ? 1 : 0)
  const keys = keysAfter(failed.order, many, next?.order ?? null)
  let used = 0
  const create = (patch: Record<string, unknown>): ChangeItem => ({
    op: 'create',
    entity: 'step',
    id: newId(),
    patch: { ...patch, redoesStepId: failed.id, order: keys[used++] as string },
  })
  const like = Object.fromEntries(
    (['jobId', 'access', 'skill', 'placeNeed', 'hullNeed', 'licensedKind'] as const).map((name) => [
      name,
      failed[name],
    ]),
  )
  const items: ChangeItem[] = [
    ...(failed.state === 'done' ? [] : [patchOf('step', failed, { state: 'done' })]),
    ...(given.undoHours > 0
      ? [
          create({
            ...like,
            title: `Undo: ${failed.title}`.slice(0, 300),
            operation: 'strip',
            hoursLikely: given.undoHours,
            caution: `It did not work: ${cause}`,
          }),
        ]
      : []),
    ...(given.makeGoodHours > 0
      ? [
          create({
            ...like,
            title: `Make good before: ${failed.title}`.slice(0, 300),
            operation: 'clean',
            hoursLikely: given.makeGoodHours,
            ...(given.makeGoodCureHours > 0
              ? {
                  waitKind: 'chem',
                  waitHours: given.makeGoodCureHours,
                  waitRefC: failed.waitRefC,
                  waitMinC: failed.waitMinC,
                }
              : {}),
          }),
        ]
      : []),
    ...again.map((one) =>
      create({
        ...Object.fromEntries(alike.map((name) => [name, one[name]])),
        title: `Again: ${one.title.replace(/^Again: /, '')}`.slice(0, 300),
      }),
    ),
  ]
  const hours =
    given.undoHours + given.makeGoodHours + again.reduce((sum, one) => sum + plannedHours(one), 0)
  return accepted({ items, hours, again })
}
