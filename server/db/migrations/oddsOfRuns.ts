/** What runs of the plan said, what was promised for a week, and what putting off a lift costs. Frozen, like every migration. */
export const statements: readonly string[] = [
  `CREATE TABLE "odds" (
    refitId TEXT NOT NULL,
    id TEXT NOT NULL,
    version INTEGER NOT NULL,
    seq INTEGER NOT NULL,
    deletedAt INTEGER,
    "inputsHash" TEXT NOT NULL,
    "seed" INTEGER NOT NULL,
    "at" INTEGER NOT NULL,
    "result" JSON NOT NULL,
    PRIMARY KEY (refitId, id)
  )`,
  `CREATE INDEX "odds_seq" ON "odds" (refitId, seq)`,
  `CREATE TABLE "weekPromise" (
    refitId TEXT NOT NULL,
    id TEXT NOT NULL,
    version INTEGER NOT NULL,
    seq INTEGER NOT NULL,
    deletedAt INTEGER,
    "week" TEXT NOT NULL,
    "stepId" TEXT NOT NULL,
    "at" INTEGER NOT NULL,
    PRIMARY KEY (refitId, id)
  )`,
  `CREATE INDEX "weekPromise_seq" ON "weekPromise" (refitId, seq)`,
  `ALTER TABLE "yardTariff" ADD COLUMN "changeMinor" INTEGER NOT NULL DEFAULT 0`,
  `ALTER TABLE "yardTariff" ADD COLUMN "noticeDays" INTEGER NOT NULL DEFAULT 7`,
]
