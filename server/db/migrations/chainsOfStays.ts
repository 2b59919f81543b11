/** Dimensions measured or guessed; opening hours, nights away, pauses, ways between places, berths for a time, wanted days. Frozen, like every migration. */
const column = (name: string, definition: string): string =>
  `ALTER TABLE "${name}" ADD COLUMN ${definition}`

const table = (name: string, columns: readonly string[]): readonly string[] => [
  `CREATE TABLE "${name}" (
    refitId TEXT NOT NULL,
    id TEXT NOT NULL,
    version INTEGER NOT NULL,
    seq INTEGER NOT NULL,
    deletedAt INTEGER,
    ${columns.join(',\n    ')},
    PRIMARY KEY (refitId, id)
  )`,
  `CREATE INDEX "${name}_seq" ON "${name}" (refitId, seq)`,
]

export const statements: readonly string[] = [
  column('job', `"inputSources" JSON NOT NULL DEFAULT '{}'`),
  column('refit', `"twoPlaces" TINYINT(1) NOT NULL DEFAULT 0`),
  column('place', `"order" TEXT NOT NULL DEFAULT ''`),
  column('place', `"opensAt" TEXT`),
  column('place', `"shutsAt" TEXT`),
  column('place', `"shutWeekdays" JSON NOT NULL DEFAULT '[]'`),
  column('place', `"nights" TEXT NOT NULL DEFAULT 'none'`),
  column('place', `"nightsFrom" TEXT`),
  column('place', `"nightMinor" INTEGER`),
  column('person', `"breakFrom" TEXT`),
  column('person', `"breakMin" INTEGER NOT NULL DEFAULT 30`),
  column('person', `"staysNights" TINYINT(1) NOT NULL DEFAULT 1`),
  ...table('drive', [
    '"fromPlaceId" TEXT NOT NULL',
    '"toPlaceId" TEXT NOT NULL',
    '"minutes" INTEGER NOT NULL',
  ]),
  ...table('lying', ['"placeId" TEXT NOT NULL', '"from" TEXT NOT NULL', '"to" TEXT NOT NULL']),
  ...table('wantedDays', [
    '"from" TEXT NOT NULL',
    '"to" TEXT NOT NULL',
    '"why" TEXT NOT NULL',
    '"note" TEXT NOT NULL',
  ]),
]
