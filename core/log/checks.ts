/** What is to be looked at again, and when: by a date, by a meter, at the next haul-out. */
import type { ChangeItem } from '../model/changes'
import type { Row } from '../model/entities'
import { groupBy } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { patchOf } from '../model/removal'
import { dateOf, dayNumber, daysBetween } from '../time/civil'
import { dayAfloat, daysAfloat } from './daysAfloat'
import type { IsAfloat } from './daysAfloat'

type Check = Row<'check'>

export interface CheckDue {
  readonly key: string
  readonly title: string
  /** The check, when it is a row of its own; null: it stands on a sheet. */
  readonly check: Check | null
  readonly sheetId: string | null
  /** Civil date; null: nobody can say. */
  readonly on: string | null
  /** What it waits for besides a date: "at 150 h, now 128 h"; ''. */
  readonly by: string
  /** It was worked out, and is no promise. */
  readonly isLikely: boolean
  /** Days until it, negative when late; null: no date. */
  readonly inDays: number | null
}

export interface MeterState {
  readonly meter: Row<'meter'>
  readonly readings: readonly Row<'meterReading'>[]
  readonly last: Row<'meterReading'> | null
  /** A day afloat, by its first and last reading; null: fewer than two, or it does not count up. */
  readonly perDay: number | null
}

/** Meters with their series, in time, and how fast they run. */
export function meterStates(
  rows: Pick<RefitRows, 'meter' | 'meterReading'>,
  isAfloat: IsAfloat,
): MeterState[] {
  const readings = groupBy(rows.meterReading, (one) => one.meterId)
  return rows.meter.map((meter) => {
    const own = [...(readings.get(meter.id) ?? [])].sort((a, b) => (a.on < b.on ? -1 : 1))
    const [first, last] = [own[0] ?? null, own.at(-1) ?? null]
    const days = first && last ? daysAfloat(first.on, last.on, isAfloat) : 0
    return {
      meter,
      readings: own,
      last,
      perDay: meter.counts && first && last && days > 0 ? (last.value - first.value) / days : null,
    }
  })
}

/** The day on which a meter is likely to read a value, running only afloat; null: it does not run, or was never read. */
export const likelyOn = (
  { last, perDay }: MeterState,
  value: number,
  isAfloat: IsAfloat,
): string | null =>
  !last || perDay === null || perDay <= 0
    ? null
    : dayAfloat(last.on, (value - last.value) / perDay, isAfloat)

/** The first lift-out that is still to come, civil date; null: none is written down. */
const nextLiftOut = (rows: Pick<RefitRows, 'haulOut'>, today: string): string | null =>
  rows.haulOut
    .filter((one) => one.liftOutActual === null)
    .map((one) => one.liftOutBooked ?? one.liftOutAimed)
    .filter((on) => on >= today)
    .sort()[0] ?? null

/** Everything due, of checks and of sheets, the latest first; what nobody can date comes last. */
export function checksDue(
  rows: Pick<RefitRows, 'check' | 'meter' | 'meterReading' | 'haulOut' | 'asBuiltSheet'>,
  today: string,
  isAfloat: IsAfloat,
): CheckDue[] {
  const meters = new Map(meterStates(rows, isAfloat).map((one) => [one.meter.id, one]))
  const liftOut = nextLiftOut(rows, today)
  const inDays = (on: string | null) => (on === null ? null : daysBetween(today, on))
  const ofChecks = rows.check
    .filter((one) => isOpenCheck(one))
    .map((check): CheckDue => {
      const state = meters.get(check.meterId ?? '')
      const byMeter =
        state && check.dueAtValue !== null ? likelyOn(state, check.dueAtValue, isAfloat) : null
      const dates = [check.dueOn, check.atHaulOut ? liftOut : null, byMeter].flatMap(
        (one) => one ?? [],
      )
      const on = dates.sort()[0] ?? null
      const now = state?.last ? `, now ${Math.round(state.last.value)}` : ', never read'
      const by = [
        state && check.dueAtValue !== null
          ? `at ${Math.round(check.dueAtValue)} ${state.meter.unit}${now}`
          : '',
        check.atHaulOut ? (liftOut === null ? 'at the next haul-out' : 'lift-out') : '',
      ]
        .filter(Boolean)
        .join(', ')
      return {
        key: check.id,
        title: check.title,
        check,
        sheetId: check.sheetId,
        on,
        by,
        isLikely: on !== null && on === byMeter && on !== check.dueOn,
        inDays: inDays(on),
      }
    })
  const ofSheets = rows.asBuiltSheet
    .filter((one) => one.nextCheckOn !== null)
    .map((sheet): CheckDue => ({
      key: `sheet ${sheet.id}`,
      title: sheet.nextCheckWhat || sheet.title,
      check: null,
      sheetId: sheet.id,
      on: sheet.nextCheckOn,
      by: '',
      isLikely: false,
      inDays: inDays(sheet.nextCheckOn),
    }))
  return [...ofChecks, ...ofSheets].sort((a, b) =>
    (a.on ?? '9') < (b.on ?? '9') ? -1 : (a.on ?? '9') > (b.on ?? '9') ? 1 : 0,
  )
}

/** A check that is still to be done: one that comes once is over when it was done. */
const isOpenCheck = (one: Check): boolean =>
  one.doneOn === null || one.dueOn !== null || one.dueAtValue !== null || one.atHaulOut

/** Later by whole months; the last day of a shorter month where the day is not in it. */
export function monthsLater(on: string, months: number): string {
  const [year = 0, month = 1, day = 1] = on.split('-').map(Number)
  const first = dayNumber(dateOf(Date.UTC(year, month - 1 + months, 1) / 86_400_000))
  const last = Date.UTC(year, month + months, 0) / 86_400_000
  return dateOf(Math.min(first + day - 1, last))
}

/** A check done: what was seen is kept, and the next one set from its own intervals. */
export function checkDone(
  check: Check,
  done: { readonly on: string; readonly note: string; readonly personId: string | null },
  meterNow: number | null,
): ChangeItem {
  const value = check.everyValue !== null && check.dueAtValue !== null
  return patchOf('check', check, {
    doneOn: done.on,
    doneNote: done.note,
    doneById: done.personId,
    dueOn: check.everyMonths === null ? null : monthsLater(done.on, check.everyMonths),
    dueAtValue: value ? (meterNow ?? check.dueAtValue ?? 0) + (check.everyValue ?? 0) : null,
    atHaulOut: check.atHaulOut && check.everyMonths === null && check.everyValue === null,
  })
}
