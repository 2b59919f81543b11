/** Short names of jobs for drawings. */
export const statements: readonly string[] = [
  `ALTER TABLE "job" ADD COLUMN "shortName" TEXT NOT NULL DEFAULT ''`,
]
