/** Finds anything that somebody wrote down, slips of typing forgiven. */
import MiniSearch from 'minisearch'
import type { QueryCombination } from 'minisearch'
import { kinds } from '../model/entities'
import type { EntityName, Row } from '../model/entities'
import { fieldsOf } from '../model/references'
import { byId } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { ownerOf } from './owner'
import { pagesOf } from './pages'
import { capital } from '../units/counted'

/** Something written, and where it is read. */
export interface Written {
  /** Kind and id of its row. */
  readonly key: string
  readonly name: string
  /** "Job", "Reading": what kind of row it is. */
  readonly kind: string
  /** Path of its page within the refit. */
  readonly to: string
  /** What else is written there, lines after each other. */
  readonly words: string
  /** What it is part of, when it was read; ''. */
  readonly within: string
}

export interface Hit extends Omit<Written, 'words'> {
  /** The line in which a word was found that the name has not; ''. */
  readonly line: string
}

const searched = Object.keys(pagesOf) as EntityName[]
/** Fields of text that nobody writes to be read: keys, units, names of files' types. */
const notRead = new Set([
  'order',
  'hash',
  'mime',
  'currency',
  'unit',
  'readUnit',
  'recipeKey',
  'recipeStep',
  'recipePart',
  'item',
])
/** Of these the name is what they are about; rank them before what stands within them. */
const heads: ReadonlySet<EntityName> = new Set([
  'job',
  'finding',
  'asBuiltSheet',
  'part',
  'decision',
  'hullOpening',
])

const written = new Map<EntityName, readonly string[]>(
  searched.map((entity) => [
    entity,
    fieldsOf(entity)
      .filter(([name, field]) => field.kind === 'text' && !notRead.has(name))
      .map(([name]) => name),
  ]),
)

const tokens = MiniSearch.getDefault('tokenize') as (said: string) => string[]

/** Without accents and capitals. */
const folded = (word: string): string =>
  word
    .normalize('NFD')
    .replace(/\p{Diacritic}/gu, '')
    .toLowerCase()

type PathOf = (row: Row<EntityName>, rows: RefitRows) => string | null

/**
 * The index over a refit's rows. Rows never change in place, so that only those that are new are read again. It is filled
 * in parts, so that nothing waits for it.
 */
export class Search {
  private readonly index = new MiniSearch<Written>({
    idField: 'key',
    fields: ['name', 'words', 'within', 'kind'],
    storeFields: ['name', 'kind', 'to', 'words'],
    processTerm: (term) => folded(term) || null,
  })
  private readonly known = new Map<string, unknown>()
  private zones: unknown = null
  private systems: unknown = null

  /** Reads at most so many rows that are new or changed. True when there are more. */
  take(rows: RefitRows, most: number): boolean {
    if (this.zones !== rows.zone || this.systems !== rows.system) {
      // Their names stand in many rows.
      this.index.removeAll()
      this.known.clear()
      this.zones = rows.zone
      this.systems = rows.system
    }
    const here = new Set<string>()
    let left = most
    const places = byId(rows.zone)
    const systems = byId(rows.system)
    for (const entity of searched) {
      for (const row of rows[entity] as readonly Row<EntityName>[]) {
        const key = `${entity} ${row.id}`
        here.add(key)
        if (this.known.get(key) === row) continue
        if (left === 0) return true
        left -= 1
        if (this.known.has(key)) this.forget(key)
        this.known.set(key, row)
        const about = row as { readonly zoneId?: string | null; readonly systemId?: string | null }
        const one = writtenIn(entity, row, rows, [
          places.get(about.zoneId ?? '')?.name ?? '',
          systems.get(about.systemId ?? '')?.name ?? '',
        ])
        if (one) this.index.add(one)
      }
    }
    for (const key of [...this.known.keys()]) if (!here.has(key)) this.forget(key)
    return false
  }

  private forget(key: string): void {
    this.known.delete(key)
    if (this.index.has(key)) this.index.discard(key)
  }

  /** What has all of the words or their like, the best first, at most so many. */
  find(rows: RefitRows, said: string, most: number): Hit[] {
    const words = tokens(said).map(folded).filter(Boolean)
    if (words.length === 0) return []
    const whole = words.join(' ')
    return this.index
      .search(
        { combineWith: 'AND', queries: words.map(withSlips) },
        {
          boost: { name: 4, within: 0.3, kind: 0.3 },
          weights: { fuzzy: 0.3, prefix: 0.7 },
          boostDocument: (key, _, stored) => {
            const name = folded(String(stored?.name ?? ''))
            const like = name === whole ? 8 : name.startsWith(whole) ? 3 : 1
            return like * (heads.has(String(key).split(' ')[0] as EntityName) ? 1.5 : 1)
          },
        },
      )
      .slice(0, most)
      .map((one) => {
        const { name, kind, to, words: lines } = one as unknown as Written
        const key = String(one.id)
        const [entity, id] = key.split(' ') as [EntityName, string]
        const row = (rows[entity] as readonly Row<EntityName>[]).find((each) => each.id === id)
        const within = row ? ownerOf(row, rows) : ''
        return { key, name, kind, to, within, line: lineWith(one.terms, name, lines) }
      })
  }
}

/** A word as typed and as begun, with letters wrong, missing or too many, and with two neighbours swapped. */
function withSlips(word: string): QueryCombination {
  const swapped = Array.from(
    { length: word.length < 4 ? 0 : word.length - 1 },
    (_, at) => word.slice(0, at) + word.charAt(at + 1) + word.charAt(at) + word.slice(at + 2),
  )
  const exactly = { prefix: false, fuzzy: false, queries: swapped, boostDocument: () => 0.3 }
  // One slip in four letters, two from ten on.
  const fuzzy = word.length < 4 ? false : word.length < 10 ? 1 : 2
  const like: QueryCombination = { combineWith: 'OR', prefix: true, fuzzy, queries: [word] }
  return swapped.length === 0 ? like : { combineWith: 'OR', queries: [like, exactly] }
}

/** The line that a found word stands in, where the name has none of them. */
function lineWith(terms: readonly string[], name: string, lines: string): string {
  const inName = folded(name)
  const missing = terms.filter((term) => !inName.includes(term))
  if (missing.length === 0) return ''
  return lines.split('\n').find((line) => missing.some((term) => folded(line).includes(term))) ?? ''
}

function writtenIn(
  entity: EntityName,
  row: Row<EntityName>,
  rows: RefitRows,
  about: readonly string[],
): Written | null {
  const to = (pagesOf[entity] as PathOf | undefined)?.(row, rows) ?? null
  const values = row as unknown as Readonly<Record<string, unknown>>
  const said = (written.get(entity) ?? [])
    .map((name) => String(values[name] ?? '').trim())
    .filter(Boolean)
  const [name, ...words] = said
  if (to === null || name === undefined) return null
  return {
    key: `${entity} ${row.id}`,
    name: name.split('\n')[0] as string,
    kind: capital(kinds[entity].word),
    to,
    within: ownerOf(row, rows),
    words: [...(name.includes('\n') ? [name] : []), ...words, ...about.filter(Boolean)].join('\n'),
  }
}
