/** The change door on a data folder of its own: one small refit a test, and short words for what is sent. */
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { randomUUID } from 'node:crypto'
import type { Change, ChangeItem } from '#core/model/changes'
import type { EntityName } from '#core/model/entities'

const { passDoor } = await import('../../server/services/changeDoor')
const { undoLast } = await import('../../server/services/undo')
const { wholeRefit } = await import('../../server/services/refits')
const { closeStore, database } = await import('../../server/db/store')
export { database }

let before: string | undefined
/** The data folder of this file. */
let folder = ''
export const ownFolder = (): string => folder
/** For `beforeAll`: other files in this process have folders of their own. */
export function beginFolder(): void {
  before = process.env.INCH_AHEAD_DATA
  folder = mkdtempSync(join(tmpdir(), 'inch-ahead-door-'))
  process.env.INCH_AHEAD_DATA = folder
}
/** For `afterAll`. */
export async function endFolder(): Promise<void> {
  await closeStore()
  rmSync(folder, { recursive: true, force: true })
  if (before === undefined) delete process.env.INCH_AHEAD_DATA
  else process.env.INCH_AHEAD_DATA = before
}

let refit = ''
/** Id of the test's refit. */
export const refitId = (): string => refit

export const create = (
  entity: EntityName,
  id: string,
  patch: Record<string, unknown>,
): ChangeItem => ({ op: 'create', entity, id, patch })
export const patch = (
  entity: EntityName,
  id: string,
  baseVersion: number,
  fields: object,
): ChangeItem => ({
  op: 'patch',
  entity,
  id,
  baseVersion,
  patch: fields as Record<string, unknown>,
})
export const remove = (entity: EntityName, id: string, baseVersion: number): ChangeItem => ({
  op: 'delete',
  entity,
  id,
  baseVersion,
})
export const pass = (items: readonly ChangeItem[], more: Partial<Change> = {}) =>
  passDoor(refit, {
    changeId: randomUUID(),
    deviceId: 'laptop',
    personId: null,
    label: 'Test',
    quiet: false,
    items,
    ...more,
  })
export const rowsOf = async () => (await wholeRefit(refit)).rows
export const stepRow = async (id: string) => (await rowsOf()).step.find((one) => one.id === id)
export const undo = (force = false, deviceId = 'laptop', changeId: string = randomUUID()) =>
  undoLast(refit, { changeId, deviceId, personId: null, force })
const newRefit = () =>
  create('refit', refit, {
    name: `Refit ${refit}`,
    boatName: 'Test boat',
    loaM: 12.192,
    zone: 'UTC',
    currency: 'EUR',
    startedOn: '2027-04-01',
  })
const step = (id: string, hoursLikely: number) =>
  create('step', id, { jobId: 'deck', title: id, order: id, hoursLikely })

/** A plan in which nothing is placed. */
export const noPlan = {
  ...{ status: 'feasible', now: 1, placements: [], gates: [], launches: [] },
  ...{ reasons: [], warnings: [] },
}

/** For `beforeEach`: a refit of one job, with 6 h of cutting and 18 h of fairing. */
export async function beginRefit(): Promise<void> {
  refit = randomUUID()
  await pass([
    newRefit(),
    create('job', 'deck', { title: 'Deck', order: 'b' }),
    step('cut', 6),
    step('fair', 18),
  ])
}
