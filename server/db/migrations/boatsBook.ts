/** What the next one should know of a job, and anodes with what they weighed. Frozen, like every migration. */
export const statements: readonly string[] = [
  `ALTER TABLE "asBuiltSheet" ADD COLUMN "nextTime" TEXT NOT NULL DEFAULT ''`,
  `CREATE TABLE "anode" (
    refitId TEXT NOT NULL,
    id TEXT NOT NULL,
    version INTEGER NOT NULL,
    seq INTEGER NOT NULL,
    deletedAt INTEGER,
    "title" TEXT NOT NULL,
    "zoneId" TEXT,
    "metal" TEXT NOT NULL,
    "newG" INTEGER NOT NULL,
    "fittedOn" TEXT NOT NULL,
    "order" TEXT NOT NULL,
    PRIMARY KEY (refitId, id)
  )`,
  `CREATE INDEX "anode_seq" ON "anode" (refitId, seq)`,
  `CREATE TABLE "anodeWeighing" (
    refitId TEXT NOT NULL,
    id TEXT NOT NULL,
    version INTEGER NOT NULL,
    seq INTEGER NOT NULL,
    deletedAt INTEGER,
    "anodeId" TEXT NOT NULL,
    "on" TEXT NOT NULL,
    "weightG" INTEGER NOT NULL,
    PRIMARY KEY (refitId, id)
  )`,
  `CREATE INDEX "anodeWeighing_seq" ON "anodeWeighing" (refitId, seq)`,
]
