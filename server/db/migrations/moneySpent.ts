/** What is planned and paid, what trades ask for, and the whole tariff of a yard. Frozen, like every migration. */
const table = (name: string, columns: readonly string[]): readonly string[] => [
  `CREATE TABLE "${name}" (
    refitId TEXT NOT NULL,
    id TEXT NOT NULL,
    version INTEGER NOT NULL,
    seq INTEGER NOT NULL,
    deletedAt INTEGER,
    ${columns.join(',\n    ')},
    PRIMARY KEY (refitId, id)
  )`,
  `CREATE INDEX "${name}_seq" ON "${name}" (refitId, seq)`,
]

const column = (name: string, ...columns: readonly string[]): readonly string[] =>
  columns.map((one) => `ALTER TABLE "${name}" ADD COLUMN ${one}`)

export const statements: readonly string[] = [
  ...table('budget', ['"account" TEXT NOT NULL', '"systemId" TEXT', '"minor" INTEGER NOT NULL']),
  ...table('spend', [
    '"on" TEXT NOT NULL',
    '"what" TEXT NOT NULL',
    '"kind" TEXT NOT NULL',
    '"minor" INTEGER NOT NULL',
    '"isBack" BOOLEAN NOT NULL',
    '"currency" TEXT NOT NULL',
    '"rate" REAL',
    '"rateOn" TEXT',
    '"supplierId" TEXT',
    '"bookingId" TEXT',
    '"haulOutId" TEXT',
    '"note" TEXT NOT NULL',
  ]),
  ...table('spendShare', [
    '"spendId" TEXT NOT NULL',
    '"jobId" TEXT',
    '"systemId" TEXT',
    '"minor" INTEGER NOT NULL',
    '"order" TEXT NOT NULL',
  ]),
  ...table('invoice', [
    '"bookingId" TEXT NOT NULL',
    '"number" TEXT NOT NULL',
    '"on" TEXT NOT NULL',
    '"minor" INTEGER NOT NULL',
    '"note" TEXT NOT NULL',
  ]),
  ...column('purchase', '"paidOn" TEXT'),
  ...column('tradeBooking', '"retainPercent" INTEGER NOT NULL DEFAULT 0'),
  ...column('tradeItem', '"quoteMinor" INTEGER'),
  ...column('picture', '"spendId" TEXT'),
  ...column('refit', '"contingencyPercent" INTEGER NOT NULL DEFAULT 20'),
  ...column(
    'yardTariff',
    '"freeDays" INTEGER NOT NULL DEFAULT 0',
    '"laterFromDay" INTEGER',
    '"laterPerDayMinor" INTEGER NOT NULL DEFAULT 0',
    '"byMetre" BOOLEAN NOT NULL DEFAULT 0',
    '"powerPerDayMinor" INTEGER NOT NULL DEFAULT 0',
    '"blockMinor" INTEGER NOT NULL DEFAULT 0',
    '"washMinor" INTEGER NOT NULL DEFAULT 0',
  ),
]
