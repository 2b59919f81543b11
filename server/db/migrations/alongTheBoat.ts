/** How far forward a place on the boat is. Places of the starter list get theirs. Frozen, like every migration. */
const known: readonly (readonly [string, number])[] = [
  ['Foredeck, port', 0.8],
  ['Foredeck, starboard', 0.8],
  ['Side deck, port', 0.5],
  ['Side deck, starboard', 0.5],
  ['Coachroof', 0.55],
  ['Cockpit', 0.2],
  ['Bow and anchor gear', 0.95],
  ['Mast and rigging', 0.58],
  ['Topsides', 0.92],
  ['Underwater hull, port', 0.68],
  ['Underwater hull, starboard', 0.8],
  ['Keel', 0.48],
  ['Rudder and skeg', 0.08],
  ['Stern gear', 0.26],
  ['Through-hulls', 0.4],
  ['Forecabin', 0.8],
  ['Saloon', 0.6],
  ['Galley', 0.48],
  ['Chart table', 0.39],
  ['Heads', 0.7],
  ['Aft cabin', 0.16],
  ['Engine space', 0.28],
  ['Bilge', 0.54],
]

export const statements: readonly string[] = [
  `ALTER TABLE "zone" ADD COLUMN "along" DOUBLE PRECISION`,
  ...known.map(([name, along]) => `UPDATE "zone" SET "along" = ${along} WHERE "name" = '${name}'`),
]
