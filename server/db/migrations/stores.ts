/** Suppliers, orders, deliveries, the shelf and tools; what parts and lines to bring know of them. Frozen, like every migration. */
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

/** A supplier of each name that was typed, with its parts pointing to it. */
const suppliersFromNames: readonly string[] = [
  `INSERT INTO "supplier" (refitId, id, version, seq, deletedAt, "name", "placeId", "leadDays", "leadLateDays", "note")
   SELECT refitId, lower(hex(randomblob(16))), 1, MAX(seq), NULL, MIN(trim("supplier")), NULL, 0, NULL, ''
   FROM "part" WHERE trim("supplier") <> '' AND deletedAt IS NULL GROUP BY refitId, lower(trim("supplier"))`,
  `UPDATE "part" SET "supplierId" = (
     SELECT s.id FROM "supplier" s
     WHERE s.refitId = "part".refitId AND lower(s."name") = lower(trim("part"."supplier"))
   ) WHERE trim("supplier") <> ''`,
  `ALTER TABLE "part" DROP COLUMN "supplier"`,
]

export const statements: readonly string[] = [
  ...table('supplier', [
    '"name" TEXT NOT NULL',
    '"placeId" TEXT',
    '"leadDays" INTEGER NOT NULL',
    '"leadLateDays" INTEGER',
    '"note" TEXT NOT NULL',
  ]),
  ...table('purchase', [
    '"number" TEXT NOT NULL',
    '"supplierId" TEXT',
    '"orderedOn" TEXT',
    '"dueOn" TEXT',
    '"currency" TEXT NOT NULL',
    '"rate" REAL',
    '"rateOn" TEXT',
    '"freightMinor" INTEGER NOT NULL',
    '"taxMinor" INTEGER NOT NULL',
    '"note" TEXT NOT NULL',
  ]),
  ...table('purchaseLine', [
    '"purchaseId" TEXT NOT NULL',
    '"name" TEXT NOT NULL',
    '"quantity" REAL NOT NULL',
    '"unit" TEXT NOT NULL',
    '"packSize" REAL',
    '"priceMinor" INTEGER',
    '"dueOn" TEXT',
    '"order" TEXT NOT NULL',
  ]),
  ...table('lineWant', ['"lineId" TEXT NOT NULL', '"partId" TEXT NOT NULL']),
  ...table('delivery', [
    '"lineId" TEXT NOT NULL',
    '"cameOn" TEXT NOT NULL',
    '"quantity" REAL NOT NULL',
    '"checkedOn" TEXT',
    '"checkedById" TEXT',
    '"batch" TEXT NOT NULL',
    '"expiresOn" TEXT',
    '"faulty" REAL NOT NULL',
    '"fault" TEXT NOT NULL',
    '"returnBy" TEXT',
    '"returned" REAL NOT NULL',
    '"instead" TEXT NOT NULL',
  ]),
  ...table('stock', [
    '"name" TEXT NOT NULL',
    '"quantity" REAL NOT NULL',
    '"unit" TEXT NOT NULL',
    '"at" TEXT NOT NULL',
    '"bin" TEXT NOT NULL',
    '"batch" TEXT NOT NULL',
    '"expiresOn" TEXT',
    '"lowAt" REAL',
    '"isOffcut" INTEGER NOT NULL',
    '"size" TEXT NOT NULL',
    '"deliveryId" TEXT',
    '"order" TEXT NOT NULL',
  ]),
  ...table('tool', [
    '"name" TEXT NOT NULL',
    '"owned" TEXT NOT NULL',
    '"owner" TEXT NOT NULL',
    '"at" TEXT NOT NULL',
    '"backBy" TEXT',
    '"hireDayMinor" INTEGER',
    '"reachMm" REAL',
    '"size" TEXT NOT NULL',
    '"order" TEXT NOT NULL',
  ]),
  ...column('bringLine', '"toolId" TEXT', '"needsMm" REAL'),
  ...column('tradeBooking', '"noticeDays" INTEGER', `"comesOn" JSON NOT NULL DEFAULT '[]'`),
  ...column(
    'part',
    '"supplierId" TEXT',
    `"specification" TEXT NOT NULL DEFAULT ''`,
    `"hand" TEXT NOT NULL DEFAULT 'none'`,
    `"metal" TEXT NOT NULL DEFAULT ''`,
    `"size" TEXT NOT NULL DEFAULT ''`,
    '"fixedByStepId" TEXT',
    '"leadDays" INTEGER',
    '"leadLateDays" INTEGER',
    '"shelfMonths" REAL',
    '"madeOn" TEXT',
    '"warrantyMonths" REAL',
    '"sparePercent" REAL NOT NULL DEFAULT 0',
    `"boughtAs" TEXT NOT NULL DEFAULT ''`,
    '"lookUntil" TEXT',
    `"planB" TEXT NOT NULL DEFAULT ''`,
    `"gamble" TEXT NOT NULL DEFAULT 'open'`,
    '"gambleMinor" INTEGER',
    '"at" TEXT',
  ),
  ...suppliersFromNames,
]
