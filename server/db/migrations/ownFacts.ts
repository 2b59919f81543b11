/** What a step does where it differs from its operation. Frozen, like every migration. */
export const statements: readonly string[] = [
  `ALTER TABLE "step" ADD COLUMN "dusty" TINYINT(1)`,
  `ALTER TABLE "step" ADD COLUMN "wet" TINYINT(1)`,
  `ALTER TABLE "step" ADD COLUMN "opens" TINYINT(1)`,
  `ALTER TABLE "step" ADD COLUMN "closes" TINYINT(1)`,
]
