/** Times of sealants, bare metal, drying, counts that stop short, readings on as-built sheets, shops. Frozen, like every migration. */
const column = (name: string, definition: string): string =>
  `ALTER TABLE "${name}" ADD COLUMN ${definition}`

const limits = (name: string): readonly string[] => [
  column(name, `"reading" REAL`),
  column(name, `"readUnit" TEXT NOT NULL DEFAULT ''`),
  column(name, `"readLow" REAL`),
  column(name, `"readHigh" REAL`),
  column(name, `"readFailAt" REAL`),
]

export const statements: readonly string[] = [
  ...['skinH', 'lightH', 'loadH', 'waterH', 'firstDayMm'].map((name) =>
    column('product', `"${name}" REAL`),
  ),
  column('step', `"beginsOnce" TEXT NOT NULL DEFAULT 'cured'`),
  column('step', `"bedDepthMm" REAL`),
  column('step', `"windowKind" TEXT NOT NULL DEFAULT 'bond'`),
  column('step', `"readDry" REAL`),
  column('step', `"shortBecause" TEXT NOT NULL DEFAULT ''`),
  column('step', `"shortById" TEXT`),
  column('link', `"once" TEXT NOT NULL DEFAULT 'cured'`),
  column('bringLine', `"shopId" TEXT`),
  ...limits('asBuiltLine'),
  ...limits('asBuiltTest'),
]
