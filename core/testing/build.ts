/** Builds small refits for tests, with readable ids. */
import type { Entities, EntityName, Row, Step } from '../model/entities'
import type { PatchOf } from '../model/field'
import { newRow } from '../model/newRow'
import { emptyRows } from '../model/refit'
import { zoneClock } from '../time/zone'

export type Building = { -readonly [Name in EntityName]: Row<Name>[] }

/** Adds a row and gives it back. */
export function add<Name extends EntityName>(
  rows: Building,
  entity: Name,
  id: string,
  given: PatchOf<Entities[Name]>,
): Row<Name> {
  const row = newRow(entity, id, given)
  ;(rows[entity] as Row<Name>[]).push(row)
  return row
}

/** A refit in UTC with a mean of 20 °C all year, so that cures take what the sheet says. */
export function emptyRefit(zone = 'UTC'): Building {
  const rows = emptyRows() as Building
  add(rows, 'refit', 'r', {
    name: 'Test',
    boatName: 'Test',
    loaM: 12.192,
    zone,
    currency: 'EUR',
    startedOn: '2027-04-01',
    monthMeanC: Array.from({ length: 12 }, () => 20),
    workableShare: Array.from({ length: 12 }, () => 0.8),
  })
  return rows
}

let lastOrder = 0
/** A rising order key, of letters as real ones are. */
const nextOrder = (): string =>
  `${String(lastOrder++)
    .padStart(6, '0')
    .replace(/\d/g, (digit) => 'bcdefghijk'[Number(digit)] as string)}x`

export const job = (rows: Building, id: string, given: Partial<PatchOf<Entities['job']>> = {}) =>
  add(rows, 'job', id, { title: id, order: nextOrder(), ...given })

export const step = (
  rows: Building,
  jobId: string,
  id: string,
  given: Partial<PatchOf<Entities['step']>> = {},
): Step => add(rows, 'step', id, { jobId, title: id, order: nextOrder(), ...given })

/** A person with the same hours on some weekdays (1 Monday to 7 Sunday). */
export function person(
  rows: Building,
  id: string,
  weekdays: readonly number[],
  from: string,
  to: string,
  given: Partial<PatchOf<Entities['person']>> = {},
) {
  for (const weekday of weekdays)
    add(rows, 'weekSlot', `${id}-${weekday}`, { personId: id, weekday, from, to })
  return add(rows, 'person', id, { name: id, order: id, ...given })
}

/** For drafts of as-built sheets: in UTC, 15 °C, before anything. */
export const draftFacts = (newId: () => string, now = 0) => ({
  clock: zoneClock('UTC'),
  newId,
  expectedBy: () => () => 15,
  now,
})
