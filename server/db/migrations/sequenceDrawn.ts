/** Short names of jobs for drawings; what is let be though it is out of order. Frozen, like every migration. */
export const statements: readonly string[] = [
  `ALTER TABLE "job" ADD COLUMN "shortName" TEXT NOT NULL DEFAULT ''`,
  `CREATE TABLE "orderKept" (
    refitId TEXT NOT NULL,
    id TEXT NOT NULL,
    version INTEGER NOT NULL,
    seq INTEGER NOT NULL,
    deletedAt INTEGER,
    "rule" INTEGER NOT NULL,
    "evidence" TEXT NOT NULL,
    "because" TEXT NOT NULL,
    "personId" TEXT,
    "at" INTEGER NOT NULL,
    PRIMARY KEY (refitId, id)
  )`,
  `CREATE INDEX "orderKept_seq" ON "orderKept" (refitId, seq)`,
]
