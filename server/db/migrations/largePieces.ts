/** What has to pass, and what stays open to pass by. Frozen, like every migration. */
export const statements: readonly string[] = [
  `ALTER TABLE "refit" ADD COLUMN "wayWideMm" REAL`,
  `ALTER TABLE "refit" ADD COLUMN "wayHighMm" REAL`,
  `ALTER TABLE "job" ADD COLUMN "pieceWideMm" REAL`,
  `ALTER TABLE "job" ADD COLUMN "pieceHighMm" REAL`,
]
