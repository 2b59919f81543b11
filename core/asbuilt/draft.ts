import type { ChangeItem } from '../model/changes'
import type { Clock, Job, Row, Step } from '../model/entities'
import { keysAfter } from '../model/order'
import { byId, inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { liveHours } from '../plan/liveHours'
import type { ZoneClock } from '../time/zone'
import { jobCosts } from '../money/jobCost'
import { knownInputs } from '../recipes/known'
import { recipeFor } from '../recipes/shelf'
import { isCounted } from '../steps/counted'
import { lastReadings, limitsOf, verdictOf } from '../steps/readings'
import { sayShort } from '../steps/stopShort'
import { formatHours } from '../units/hours'
import { formatQuantity } from '../units/quantity'
import { cureRun } from './cures'
import type { CureFacts } from './cures'
import { materialsUsed } from './materials'

/** What is needed to fill a sheet besides the rows. */
export interface DraftFacts {
  readonly clock: ZoneClock
  readonly newId: () => string
  readonly expectedBy: CureFacts['expectedBy']
  /** UTC ms. */
  readonly now: number
}

/**
 * The change list of an as-built sheet filled with what is known of a job: who, when, hours, money; materials with their
 * batch; dimensions that were measured and what was counted; cures as they ran; bags; readings; its pictures.
 */
export function draftSheet(
  job: Job,
  rows: RefitRows,
  facts: DraftFacts,
): { readonly sheetId: string; readonly items: ChangeItem[] } {
  const { clock, newId } = facts
  const units = rows.refit[0]?.units ?? 'metric'
  const steps = inOrder(
    rows.step.filter((step) => step.jobId === job.id && step.state !== 'dropped'),
  )
  const stepIds = new Set(steps.map((step) => step.id))
  const entries = liveHours(rows).filter(
    (entry) => entry.jobId === job.id || stepIds.has(entry.stepId ?? ''),
  )
  const people = byId(rows.person)
  const doneAt = Math.max(0, ...steps.map((step) => step.doneAt ?? 0))
  const trades = rows.tradeBooking.filter(
    (one) => stepIds.has(one.stepId) && one.state !== 'cancelled',
  )
  const who = [
    ...new Set([
      ...entries.map((entry) => people.get(entry.personId)?.name ?? ''),
      ...trades.map((one) => one.trade),
    ]),
  ]
  const cost = jobCosts(rows)(job.id)
  const sheetId = newId()
  const items: ChangeItem[] = [
    {
      op: 'create',
      entity: 'asBuiltSheet',
      id: sheetId,
      patch: {
        jobId: job.id,
        systemId: job.systemId,
        title: job.title,
        where: rows.zone.find((zone) => zone.id === job.zoneId)?.name ?? '',
        doneOn: doneAt > 0 ? clock.dateOf(doneAt) : null,
        who: who.filter((name) => name !== '').join(', '),
        hours: entries.length > 0 ? entries.reduce((sum, entry) => sum + entry.hours, 0) : null,
        costMinor: cost.known ? cost.totalMinor : null,
        nextTime: doneAgain(entries),
      },
    },
  ]
  const counts = steps.filter(isCounted).map((step) => ({
    what: step.title,
    value:
      sayShort(step, (id) => people.get(id)?.name ?? '') ||
      `${step.unitCount} ${step.unitName.trim() || 'units'}`,
  }))
  const cures = inTime(rows.clock.filter((one) => stepIds.has(one.stepId ?? ''))).flatMap(
    (one) =>
      cureRun(
        one,
        rows.clockReading.filter((each) => each.clockId === one.id),
        { clock, units, expectedBy: facts.expectedBy, now: facts.now },
      ) ?? [],
  )
  const lines = [
    ...materialsUsed(job.id, steps, rows).map((line) => ({ kind: 'material', ...line })),
    ...recipeSizes(job, rows).map((line) => ({ kind: 'size', ...line })),
    ...counts.map((line) => ({ kind: 'size', ...line })),
    ...rows.keptSum.filter((one) => one.jobId === job.id).flatMap((one) => one.asBuilt),
    ...cures.map((line) => ({ kind: 'clock', ...line })),
    ...bagsOf(job, steps, rows).map((line) => ({ kind: 'note', ...line })),
  ]
  keysAfter(null, lines.length).forEach((order, index) =>
    items.push({
      op: 'create',
      entity: 'asBuiltLine',
      id: newId(),
      patch: { sheetId, ...lines[index], order },
    }),
  )
  const tests = steps.filter((step) => step.operation === 'test' || limitsOf(step) !== null)
  keysAfter(null, tests.length).forEach((order, index) =>
    items.push({
      op: 'create',
      entity: 'asBuiltTest',
      id: newId(),
      patch: { sheetId, ...testOf(tests[index] as Step, rows.reading), order },
    }),
  )
  for (const one of rows.picture)
    if (one.jobId === job.id && one.sheetId === null)
      items.push({
        op: 'patch',
        entity: 'picture',
        id: one.id,
        baseVersion: one.version,
        patch: { sheetId },
      })
  return { sheetId, items }
}

const inTime = (clocks: readonly Clock[]): Clock[] =>
  [...clocks].sort((a, b) => a.startedAt - b.startedAt)

/** Dimensions somebody measured or wanted. What the recipe guessed is no record of what was done. */
function recipeSizes(job: Job, rows: RefitRows): { what: string; value: string }[] {
  const recipe = job.recipeKey === null ? undefined : recipeFor(rows, job.recipeKey)
  const units = rows.refit[0]?.units ?? 'metric'
  if (!recipe) return []
  return knownInputs(recipe, job)
    .filter((one) => one.source !== null)
    .map(({ input, value }) => ({
      what: input.label,
      value: formatQuantity(value, input.unit, units),
    }))
}

/** Bags stripped out for it, and those its steps want back: a note, for they do not say how it comes apart. */
function bagsOf(
  job: Job,
  steps: readonly Step[],
  rows: RefitRows,
): { what: string; value: string }[] {
  const stepIds = new Set(steps.map((one) => one.id))
  return inOrder(
    rows.bag.filter((one) => one.jobId === job.id || stepIds.has(one.wantedByStepId ?? '')),
  ).map((one) => ({ what: `Bag ${one.code}`, value: one.what }))
}

/** Why work was done twice: what the next one should know. */
function doneAgain(entries: readonly Row<'hoursEntry'>[]): string {
  const hours = new Map<string, number>()
  for (const one of entries)
    if (one.reworkCause !== '')
      hours.set(one.reworkCause, (hours.get(one.reworkCause) ?? 0) + one.hours)
  return [...hours].map(([cause, sum]) => `Done again, ${formatHours(sum)}: ${cause}.`).join('\n')
}

/** A test as its step had it: its limits, the reading that stands, and what that says. */
function testOf(step: Step, readings: RefitRows['reading']): Record<string, unknown> {
  const limits = limitsOf(step)
  if (!limits) return { what: step.title }
  const own = [...lastReadings(step, readings).values()]
  const verdicts = own.map((one) => verdictOf(one.value, limits))
  const worst = own[verdicts.indexOf('fail')] ?? own.at(-1)
  return {
    what: step.title,
    expected: limits.source,
    reading: worst?.value ?? null,
    readUnit: limits.unit,
    readLow: limits.low,
    readHigh: limits.high,
    readFailAt: limits.failAt,
    outcome: !worst ? 'notYet' : verdicts.includes('fail') ? 'failed' : 'passed',
  }
}

/** What a full record has, and which of it is there. */
export function completeness(
  sheet: Row<'asBuiltSheet'>,
  rows: Pick<RefitRows, 'asBuiltLine' | 'asBuiltTest' | 'picture'>,
): { readonly have: number; readonly want: number; readonly missing: readonly string[] } {
  const lines = rows.asBuiltLine.filter((line) => line.sheetId === sheet.id)
  const tests = rows.asBuiltTest.filter((test) => test.sheetId === sheet.id)
  const wants: readonly (readonly [string, boolean])[] = [
    ['where', sheet.where !== ''],
    ['when', sheet.doneOn !== null],
    ['who', sheet.who !== ''],
    ['materials', lines.some((line) => line.kind === 'material')],
    ['sizes or settings', lines.some((line) => line.kind === 'size' || line.kind === 'setting')],
    [
      'a test with its reading',
      tests.some(
        (test) => (test.measured !== '' || test.reading !== null) && test.outcome !== 'notYet',
      ),
    ],
    ['a picture', rows.picture.some((picture) => picture.sheetId === sheet.id)],
    ['how to take it apart', sheet.takeApart !== ''],
    ['the next check', sheet.nextCheckOn !== null],
  ]
  return {
    have: wants.filter(([, there]) => there).length,
    want: wants.length,
    missing: wants.filter(([, there]) => !there).map(([name]) => name),
  }
}
