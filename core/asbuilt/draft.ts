import type { ChangeItem } from '../model/changes'
import type { Job, Row, Step } from '../model/entities'
import { keysAfter } from '../model/order'
import { byId, inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { liveHours } from '../plan/liveHours'
import type { ZoneClock } from '../time/zone'
import { jobCosts, partsByJob } from '../money/jobCost'
import { isCounted } from '../steps/counted'
import { lastReadings, limitsOf, verdictOf } from '../steps/readings'
import { sayShort } from '../steps/stopShort'
import { formatQuantity } from '../units/quantity'

/** The change list of an as-built sheet filled with what is known of a job. */
export function draftSheet(
  job: Job,
  rows: RefitRows,
  clock: ZoneClock,
  newId: () => string,
): { readonly sheetId: string; readonly items: ChangeItem[] } {
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
  const parts = (partsByJob(rows).get(job.id) ?? []).filter((part) => part.state !== 'returned')
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
      },
    },
  ]
  const materials = [
    ...rows.bringLine
      .filter((line) => stepIds.has(line.stepId) && line.kind !== 'tool')
      .map((line) => ({ what: line.what, value: line.amount })),
    ...parts.map((part) => ({
      what: part.name,
      value: formatQuantity(part.quantity, part.unit, rows.refit[0]?.units ?? 'metric'),
    })),
  ]
  const counts = steps.filter(isCounted).map((step) => ({
    what: step.title,
    value:
      sayShort(step, (id) => people.get(id)?.name ?? '') ||
      `${step.unitCount} ${step.unitName.trim() || 'units'}`,
  }))
  const lines = [
    ...materials.map((line) => ({ kind: 'material', ...line })),
    ...counts.map((line) => ({ kind: 'size', ...line })),
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
  return { sheetId, items }
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
