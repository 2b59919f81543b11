/** Requests at random, from a seed: half right and half wrong in every way a request can be. */
import { createRandom } from '#core/random'
import { entities, entityNames } from '#core/model/entities'
import type { EntityName } from '#core/model/entities'
import type { Field, Fields } from '#core/model/field'
import { routes } from './routes'
import type { BodyKind, Route } from './routes'

export interface Request {
  readonly method: string
  readonly path: string
  readonly body: string | null
}

/** Ids and versions that are there, so that some requests reach further in. */
export type Known = Readonly<
  Partial<Record<EntityName, readonly { readonly id: string; readonly version: number }[]>>
>

const oddTexts = [
  '',
  ' ',
  '../../etc/passwd',
  '%00',
  'a\u0000b',
  '\ud800',
  "'; DROP TABLE step; --",
  '<script>1</script>',
  'x'.repeat(70_000),
  '__proto__',
  'constructor',
  'null',
  '1e999',
  '２０２７-05-01',
  '🚤'.repeat(50),
]
const oddValues: readonly unknown[] = [
  ...oddTexts,
  ...[null, true, 0, -1, 1.5, 1e308, -1e308, 9007199254740991, [], {}, [[]], { a: { b: {} } }],
  { __proto__: 1, toString: 'x' },
  Array.from({ length: 300 }, () => 'x'),
]

export function requestMaker(seed: number, refitIds: readonly string[], known: Known) {
  const dice = createRandom(seed)
  /** How often a value is odd: half of the changes are made with care, or hardly any would come in. */
  let oddShare = 0
  const fresh = (): string => String(Math.floor(dice() * 1e12))
  const chance = (share: number): boolean => dice() < share
  const pick = <T>(list: readonly T[]): T => list[Math.floor(dice() * list.length)] as T
  const id = (): string =>
    chance(0.7)
      ? pick(refitIds)
      : encodeURIComponent(wellFormed(String(pick(oddTexts))).slice(0, 300))
  const rowOf = (entity: EntityName) => {
    const rows = known[entity] ?? []
    return rows.length > 0 && chance(0.8) ? pick(rows) : { id: `new-${fresh()}`, version: 1 }
  }
  /** A value of the right kind for a field, now and then just outside of it. */
  const valueOf = (field: Field<unknown>): unknown => {
    if (chance(oddShare)) return pick(oddValues)
    if (field.nullable && chance(0.2)) return null
    if (field.kind === 'text') return `text ${Math.floor(dice() * 99)}`
    if (field.kind === 'choice') return pick(field.options ?? [''])
    if (field.kind === 'choices') return (field.options ?? []).slice(0, 2)
    if (field.kind === 'flag') return chance(0.5)
    if (field.kind === 'date')
      return `20${20 + Math.floor(dice() * 30)}-0${1 + Math.floor(dice() * 9)}-15`
    if (field.kind === 'clockTime') return `${10 + Math.floor(dice() * 14)}:30`
    if (field.kind === 'instant') return Math.floor(dice() * 2e12)
    if (field.kind === 'ref') return rowOf(field.to as EntityName).id
    if (field.kind === 'refs') return [rowOf(field.to as EntityName).id]
    if (field.kind === 'record')
      return pick([{}, [], [1, 2], Array.from({ length: 12 }, () => 0.5)])
    const [least, most] = [field.min ?? 0, field.max ?? 100]
    const number = least + dice() * (most - least)
    return field.kind === 'integer' ? Math.round(number) : number
  }
  const item = (): unknown => {
    const entity = pick(entityNames)
    const fields = Object.entries(entities[entity] as Fields)
    const row = rowOf(entity)
    const ops = ['create', 'create', 'patch', 'patch', 'patch', 'patch', 'delete']
    const op = chance(oddShare) ? 'explode' : pick(ops)
    const some = op === 'create' ? fields : [pick(fields), pick(fields)]
    const patch = Object.fromEntries(some.map(([name, field]) => [name, valueOf(field)]))
    const base = { op, entity, id: op === 'create' ? `made-${fresh()}` : row.id }
    if (op === 'create') return { ...base, patch }
    return op === 'delete'
      ? { ...base, baseVersion: row.version }
      : { ...base, patch, baseVersion: chance(oddShare) ? pick(oddValues) : row.version }
  }
  const change = (): unknown => {
    oddShare = chance(0.5) ? 0 : 0.2
    const odd = (share: number) => chance(share * oddShare)
    return {
      changeId: odd(0.5) ? pick(oddValues) : `fuzz-${fresh()}`,
      deviceId: 'fuzz',
      items: odd(0.25) ? pick(oddValues) : Array.from({ length: 1 + Math.floor(dice() * 3) }, item),
      ...(odd(0.5) ? { epoch: pick(oddValues) } : {}),
      ...(odd(0.5) ? { basedOn: pick(oddValues) } : {}),
      label: odd(0.5) ? pick(oddValues) : 'Fuzz',
    }
  }
  const bodies: Readonly<Record<BodyKind, () => string | null>> = {
    none: () => null,
    change: () => JSON.stringify(change()),
    undo: () =>
      JSON.stringify({ changeId: `undo-${fresh()}`, deviceId: 'fuzz', force: chance(0.5) }),
    name: () => JSON.stringify({ name: wellFormed(String(pick(oddTexts))) }),
    bytes: () =>
      pick([
        'PK\u0003\u0004 not a zip',
        '{"format":"inch-ahead-refit","version":1,"rows":{"refit":[{}]}}',
        '%PDF-1.4',
        ...oddTexts,
      ]),
  }
  const torn = (text: string): string => text.slice(0, Math.floor(dice() * text.length))
  return (): Request => {
    // Half of all go to the one door: there is most to break there.
    const route: Route = pick(
      chance(0.5)
        ? routes.filter((one) => one.body === 'change')
        : routes.filter((one) => !one.notAtRandom && (!one.isHeavy || chance(0.3))),
    )
    const query = (route.query ?? [])
      .filter(() => chance(0.6))
      .map(
        (word) =>
          `${word}=${encodeURIComponent(wellFormed(String(pick([...oddTexts, '3']))).slice(0, 300))}`,
      )
    const path =
      route.path.replace(/:(refit|hash|anything)/, id) +
      (query.length > 0 ? `?${query.join('&')}` : '')
    const method = chance(0.05) ? pick(['PUT', 'PATCH', 'OPTIONS', 'DELETE']) : route.method
    // Taking the refit away would leave nothing to ask about.
    const safe = method === 'DELETE' ? 'PUT' : method
    const made = bodies[route.body]()
    const body = made === null ? null : chance(0.1) ? torn(made) : made
    return { method: safe, path, body: safe === 'GET' ? null : body }
  }
}

const wellFormed = (text: string): string => text.toWellFormed()
