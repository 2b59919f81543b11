/** Answers of the bench that are kept, and how large a piece left over is. Frozen, like every migration. */
export const statements: readonly string[] = [
  `CREATE TABLE "keptSum" (
    refitId TEXT NOT NULL,
    id TEXT NOT NULL,
    version INTEGER NOT NULL,
    seq INTEGER NOT NULL,
    deletedAt INTEGER,
    "sumKey" TEXT NOT NULL,
    "jobId" TEXT,
    "stepId" TEXT,
    "note" TEXT NOT NULL,
    "inputs" TEXT NOT NULL,
    "known" TEXT NOT NULL,
    "filled" TEXT NOT NULL,
    "says" TEXT NOT NULL,
    "heading" TEXT NOT NULL,
    "asBuilt" TEXT NOT NULL,
    "made" TEXT NOT NULL,
    "keptAt" INTEGER NOT NULL,
    "byId" TEXT,
    PRIMARY KEY (refitId, id)
  )`,
  `CREATE INDEX "keptSum_seq" ON "keptSum" (refitId, seq)`,
  `ALTER TABLE "stock" ADD COLUMN "longMm" REAL`,
  `ALTER TABLE "stock" ADD COLUMN "wideMm" REAL`,
]
