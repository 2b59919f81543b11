import { entities, entityNames } from './entities'
import type { EntityName } from './entities'
import type { Field, Fields } from './field'

/** A field of one kind of row that points to another. */
export interface Reference {
  readonly from: EntityName
  readonly field: string
  readonly to: EntityName
  readonly many: boolean
}

/** Every reference between kinds of rows. */
export const references: readonly Reference[] = entityNames.flatMap((from) =>
  (Object.entries(entities[from] as Fields) as [string, Field<unknown>][]).flatMap(
    ([field, spec]): Reference[] =>
      spec.to === undefined
        ? []
        : [{ from, field, to: spec.to as EntityName, many: spec.kind === 'refs' }],
  ),
)

/** Names of kinds of rows for sentences. */
export const entityWord: Readonly<Record<EntityName, string>> = {
  refit: 'refit',
  system: 'system',
  zone: 'place on the boat',
  place: 'place',
  yardTariff: 'yard price',
  person: 'person',
  weekSlot: 'weekly hours',
  personDay: 'dated exception',
  season: 'season',
  haulOut: 'haul-out',
  gate: 'gate',
  finding: 'finding',
  job: 'job',
  product: 'product',
  step: 'step',
  link: 'link',
  bringLine: 'line to bring',
  part: 'part',
  recipe: 'recipe',
  bag: 'bag',
  bagWire: 'wire',
  document: 'document',
  webLink: 'link',
  tradeBooking: 'trade booking',
  clock: 'clock',
  clockReading: 'temperature reading',
  hoursEntry: 'hours entry',
  asBuiltSheet: 'as-built sheet',
  asBuiltLine: 'as-built line',
  asBuiltTest: 'test',
  picture: 'picture',
  dayPlan: 'day plan',
  plan: 'plan',
  weekSnapshot: 'weekly snapshot',
}
