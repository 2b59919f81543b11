/** Links between steps, months and last days of steps, hours of an absence, launches without you. Frozen, like every migration. */
const column = (name: string, definition: string): string =>
  `ALTER TABLE "${name}" ADD COLUMN ${definition}`

export const statements: readonly string[] = [
  column('place', `"launchesWithoutYou" TINYINT(1) NOT NULL DEFAULT 0`),
  column('link', `"fromStepId" TEXT`),
  column('link', `"toStepId" TEXT`),
  column('step', `"notAfter" TEXT`),
  column('step', `"months" JSON NOT NULL DEFAULT '[]'`),
  column('personDay', `"wholeDay" TINYINT(1) NOT NULL DEFAULT 1`),
]
