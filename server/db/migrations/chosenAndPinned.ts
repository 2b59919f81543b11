/** Steps pinned to a day, days on which a yard lifts nothing, decisions with their options. Frozen, like every migration. */
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
  `ALTER TABLE "step" ADD COLUMN "pinnedOn" TEXT`,
  `ALTER TABLE "place" ADD COLUMN "noLifts" JSON NOT NULL DEFAULT '[]'`,
  ...table('decision', [
    '"title" TEXT NOT NULL',
    '"jobId" TEXT NOT NULL',
    '"beforeStepId" TEXT',
    '"whoId" TEXT',
    '"safetyDays" INTEGER NOT NULL',
    '"decidedOn" TEXT',
    '"optionId" TEXT',
    '"because" TEXT NOT NULL',
    '"order" TEXT NOT NULL',
  ]),
  ...table('option', [
    '"decisionId" TEXT NOT NULL',
    '"title" TEXT NOT NULL',
    '"leadDays" INTEGER NOT NULL',
    '"costMinor" INTEGER',
    '"steps" JSON NOT NULL',
    '"parts" JSON NOT NULL',
    '"order" TEXT NOT NULL',
  ]),
]
