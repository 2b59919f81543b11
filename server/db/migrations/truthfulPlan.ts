/** Steps after a gate and kept for somebody, where she lies, inches of removed steps. Frozen, like every migration. */
const column = (name: string, definition: string): string =>
  `ALTER TABLE "${name}" ADD COLUMN ${definition}`

export const statements: readonly string[] = [
  column('refit', `"latitudeDeg" REAL`),
  column('refit', `"longitudeDeg" REAL`),
  column('refit', `"madeUpWeather" TINYINT(1) NOT NULL DEFAULT 0`),
  column('refit', `"earnedKeptIn" REAL NOT NULL DEFAULT 0`),
  column('job', `"lookAgainOn" TEXT`),
  column('step', `"afterGate" TINYINT(1) NOT NULL DEFAULT 0`),
  column('step', `"dueBy" TEXT`),
  column('step', `"wantedPersonId" TEXT`),
]
