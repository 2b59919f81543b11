/** Which life of a refit this is, and how much of its history is kept. Frozen, like every migration. */
export const statements: readonly string[] = [
  `CREATE TABLE "life" (
    refitId TEXT NOT NULL PRIMARY KEY,
    epoch TEXT NOT NULL
  )`,
  `INSERT INTO "life" (refitId, epoch) SELECT refitId, lower(hex(randomblob(16))) FROM "refit"`,
  `ALTER TABLE "refit" ADD COLUMN "historyKept" INTEGER NOT NULL DEFAULT 2000`,
]
