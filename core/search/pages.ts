/** Where what is written in a row is read: the path of its page within the refit. */
import type { EntityName, Row } from '../model/entities'
import type { RefitRows } from '../model/refit'

type PathOf<Name extends EntityName> = (
  row: Row<Name>,
  rows: Pick<RefitRows, 'step' | 'bag'>,
) => string | null

const job = (id: string | null) => (id === null ? null : `jobs?job=${id}`)
const ofStep = (id: string | null, { step }: Pick<RefitRows, 'step'>) =>
  job(step.find((one) => one.id === id)?.jobId ?? null)
const finding = (id: string | null) => (id === null ? null : `walk?finding=${id}`)
const sheet = (id: string | null) => (id === null ? null : `log/${id}`)

/** Kinds of rows in which people write something worth finding. What has no page of its own is read on that of its owner. */
export const pagesOf: { readonly [Name in EntityName]?: PathOf<Name> } = {
  zone: (row) => `walk?place=${row.id}`,
  system: () => 'jobs',
  person: () => 'settings',
  place: () => 'settings',
  finding: (row) => finding(row.id),
  evidence: (row) => finding(row.findingId),
  panel: (row) => `walk/core/${row.id}`,
  countSheet: (row) => `walk/members/${row.id}`,
  member: (row) => `walk/members/${row.sheetId}`,
  limit: () => 'walk/limits',
  hoseTest: () => 'walk/leaks',
  job: (row) => job(row.id),
  step: (row) => job(row.jobId),
  bringLine: (row, rows) => ofStep(row.stepId, rows),
  clock: (row, rows) => ofStep(row.stepId, rows),
  reading: (row, rows) => ofStep(row.stepId, rows),
  part: (row) => (row.jobId === null ? 'parts' : job(row.jobId)),
  product: () => 'settings',
  supplier: () => 'stores',
  tool: () => 'stores',
  purchase: () => 'stores',
  purchaseLine: () => 'stores',
  delivery: () => 'stores',
  stock: () => 'stores',
  makerSheet: (row) => `maker/${row.id}`,
  makerItem: (row) => `maker/${row.sheetId}`,
  tradeBooking: (row) => `trade/${row.id}`,
  tradeItem: (row) => `trade/${row.bookingId}`,
  recipe: (row) => `recipes/${row.id}`,
  bag: (row) => `bags?bag=${row.id}`,
  bagWire: (row) => `bags?bag=${row.bagId}`,
  document: (row) => job(row.jobId),
  webLink: (row) => job(row.jobId),
  hoursEntry: (row, rows) => (row.jobId ? job(row.jobId) : ofStep(row.stepId, rows)),
  asBuiltSheet: (row) => sheet(row.id),
  asBuiltLine: (row) => sheet(row.sheetId),
  asBuiltTest: (row) => sheet(row.sheetId),
  meter: () => 'log',
  meterReading: () => 'log',
  check: () => 'log',
  trial: () => 'log',
  trialReading: () => 'log',
  earlierWork: () => 'log',
  anode: () => 'log',
  picture: (row) => sheet(row.sheetId) ?? finding(row.findingId) ?? job(row.jobId),
  spend: () => 'money',
  invoice: () => 'money',
  hullOpening: () => 'launch/inputs',
  readySign: () => 'launch',
  watchLook: () => 'launch/watch',
  weightLine: () => 'launch',
  decision: (row) => `decide/${row.id}`,
  option: (row) => `decide/${row.decisionId}`,
}
