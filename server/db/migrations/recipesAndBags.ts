/** Recipes, strip-out bags, documents and who does a job. Frozen, like every migration. */
const table = (name: string, columns: string): string[] => [
  `CREATE TABLE "${name}" (
    refitId TEXT NOT NULL,
    id TEXT NOT NULL,
    version INTEGER NOT NULL,
    seq INTEGER NOT NULL,
    deletedAt INTEGER,
    ${columns},
    PRIMARY KEY (refitId, id)
  )`,
  `CREATE INDEX "${name}_seq" ON "${name}" (refitId, seq)`,
]

const column = (name: string, definition: string): string =>
  `ALTER TABLE "${name}" ADD COLUMN ${definition}`

export const statements: readonly string[] = [
  column('refit', `"ownHourMinor" INTEGER`),
  column('refit', `"licensedHere" JSON NOT NULL DEFAULT '["mains","gas","lithium"]'`),
  column('job', `"recipeKey" TEXT`),
  column('job', `"recipeInputs" JSON NOT NULL DEFAULT '{}'`),
  column('job', `"placed" TINYINT(1) NOT NULL DEFAULT 0`),
  column('job', `"doBy" TEXT NOT NULL DEFAULT 'undecided'`),
  column('job', `"doByReason" TEXT NOT NULL DEFAULT ''`),
  column('job', `"tradePriceMinor" INTEGER`),
  column('step', `"licensedKind" TEXT`),
  column('step', `"recipeStep" TEXT NOT NULL DEFAULT ''`),
  column('step', `"recipeMade" JSON NOT NULL DEFAULT '{}'`),
  column('part', `"packSize" REAL`),
  column('part', `"recipePart" TEXT NOT NULL DEFAULT ''`),
  column('part', `"recipeMade" JSON NOT NULL DEFAULT '{}'`),
  column('picture', `"bagId" TEXT`),
  ...table('recipe', `"name" TEXT NOT NULL, "body" JSON NOT NULL, "order" TEXT NOT NULL`),
  ...table(
    'bag',
    `"code" TEXT NOT NULL, "what" TEXT NOT NULL, "contents" TEXT NOT NULL, "fromZoneId" TEXT,
    "jobId" TEXT, "wantedByStepId" TEXT, "storedAt" TEXT NOT NULL, "lastSeenOn" TEXT,
    "state" TEXT NOT NULL, "order" TEXT NOT NULL`,
  ),
  ...table(
    'bagWire',
    `"bagId" TEXT NOT NULL, "from" TEXT NOT NULL, "to" TEXT NOT NULL, "colour" TEXT NOT NULL,
    "label" TEXT NOT NULL, "order" TEXT NOT NULL`,
  ),
  ...table(
    'document',
    `"title" TEXT NOT NULL, "fileName" TEXT NOT NULL, "hash" TEXT NOT NULL, "mime" TEXT NOT NULL,
    "sizeBytes" INTEGER NOT NULL, "jobId" TEXT, "productId" TEXT`,
  ),
  ...table('webLink', `"title" TEXT NOT NULL, "url" TEXT NOT NULL, "jobId" TEXT, "productId" TEXT`),
]
