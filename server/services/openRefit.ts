/** A refit held in memory as its tables are: read once, then written through. */
import { randomUUID } from 'node:crypto'
import { entityNames } from '#core/model/entities'
import type { EntityName } from '#core/model/entities'
import type { RefitRows } from '#core/model/refit'
import { database } from '../db/store'
import { problem } from '#shared/problems'
import { readGone, readRows } from './rows'
import type { Plain } from './rows'
import { Trouble } from './trouble'

/** Which fields a change touched in a row, and at which version it left the row. */
export interface Touch {
  readonly version: number
  readonly fields: readonly string[]
  readonly changeId: string
}

/** Touches remembered; for older ones the journal is asked. */
const mostTouched = 20_000
/** Of these, so many of one row. */
const mostOfRow = 200
/** Refits kept in memory; those longest unused are read again when they are wanted. */
const mostOpen = 8

const keyOf = (entity: EntityName, id: string): string => `${entity} ${id}`

export class OpenRefit {
  private readonly kinds: ReadonlyMap<EntityName, Map<string, Plain>>
  private readonly lists = new Map<EntityName, readonly Plain[]>()
  private readonly touched = new Map<string, readonly Touch[]>()
  private undoing: (() => void)[] = []
  /** All rows as core knows them; lists are made when they are asked for. */
  readonly rows: RefitRows

  /** `gone`: versions of rows that were deleted, by kind and id; their ids are not free. */
  constructor(
    readonly refitId: string,
    public epoch: string,
    public seq: number,
    rows: RefitRows,
    private readonly gone: Map<string, number>,
    /** Ids of changes that went through: the same id twice is one change. */
    readonly changeIds: Set<string>,
  ) {
    this.kinds = new Map(
      entityNames.map((entity) => [
        entity,
        new Map(
          (rows[entity] as unknown as readonly Plain[]).map((row) => [row.id as string, row]),
        ),
      ]),
    )
    const lists = {}
    for (const entity of entityNames)
      Object.defineProperty(lists, entity, { enumerable: true, get: () => this.list(entity) })
    this.rows = lists as RefitRows
  }

  private kind(entity: EntityName): Map<string, Plain> {
    return this.kinds.get(entity) as Map<string, Plain>
  }

  private list(entity: EntityName): readonly Plain[] {
    const made = this.lists.get(entity) ?? [...this.kind(entity).values()]
    this.lists.set(entity, made)
    return made
  }

  get(entity: EntityName, id: string): Plain | null {
    return this.kind(entity).get(id) ?? null
  }

  /** Version of a row that was deleted; null: the id is free or in use. */
  goneVersion(entity: EntityName, id: string): number | null {
    return this.gone.get(keyOf(entity, id)) ?? null
  }

  /** Puts a row as it will be, or takes it away; taken back by `rollBack` until `keep`. */
  set(entity: EntityName, id: string, row: Plain | null): void {
    const kind = this.kind(entity)
    const before = kind.get(id)
    const key = keyOf(entity, id)
    const goneBefore = this.gone.get(key)
    this.undoing.push(() => {
      if (before) kind.set(id, before)
      else kind.delete(id)
      if (goneBefore === undefined) this.gone.delete(key)
      else this.gone.set(key, goneBefore)
      this.lists.delete(entity)
    })
    if (row) {
      kind.set(id, row)
      this.gone.delete(key)
    } else {
      kind.delete(id)
      this.gone.set(key, Number(before?.version ?? 1))
    }
    this.lists.delete(entity)
  }

  /** Counts a change; gives its number. */
  advance(changeId: string): number {
    this.seq += 1
    this.changeIds.add(changeId)
    this.undoing.push(() => {
      this.seq -= 1
      this.changeIds.delete(changeId)
    })
    return this.seq
  }

  /** Notes which fields a change touched. */
  touch(entity: EntityName, id: string, touch: Touch): void {
    const key = keyOf(entity, id)
    const before = this.touched.get(key)
    this.touched.set(key, [...(before ?? []).slice(-mostOfRow), touch])
    this.undoing.push(() => {
      if (before) this.touched.set(key, before)
      else this.touched.delete(key)
    })
  }

  /** Touches of a row after a version, as far as they are remembered. */
  touchesAfter(entity: EntityName, id: string, version: number): readonly Touch[] {
    return (this.touched.get(keyOf(entity, id)) ?? []).filter((touch) => touch.version > version)
  }

  /** How many steps there are to take back; hand it to `rollBack`. */
  mark(): number {
    return this.undoing.length
  }

  /** Takes back what was set since a mark. */
  rollBack(mark: number): void {
    while (this.undoing.length > mark) this.undoing.pop()?.()
  }

  /** What was set is on the disk. */
  keep(): void {
    this.undoing = []
    for (const key of this.touched.keys()) {
      if (this.touched.size <= mostTouched) break
      this.touched.delete(key)
    }
  }
}

const open = new Map<string, OpenRefit>()

async function read(refitId: string): Promise<OpenRefit> {
  const opened = await database()
  const [rows, removed, life, changes] = await Promise.all([
    readRows(opened, refitId),
    readGone(opened, refitId),
    opened.models.life.findOne({ where: { refitId } }),
    opened.models.change.findAll({
      where: { refitId },
      attributes: ['seq', 'changeId'],
      raw: true,
    }),
  ])
  const gone = new Map(removed.map(({ entity, id, version }) => [keyOf(entity, id), version]))
  const seqs = changes as unknown as readonly { seq: number; changeId: string }[]
  return new OpenRefit(
    refitId,
    String(life?.get('epoch') ?? randomUUID()),
    seqs.reduce((most, one) => Math.max(most, one.seq), 0),
    rows,
    gone,
    new Set(seqs.map((one) => one.changeId)),
  )
}

/**
 * The refit from memory, or read into it. A refit that is not there has no rows. To be called inside
 * `alone`, so that no change is half written meanwhile.
 */
export async function openRefit(refitId: string): Promise<OpenRefit> {
  const one = open.get(refitId) ?? (await read(refitId))
  // Nothing is held for names that were never a refit.
  if (one.rows.refit.length > 0) hold(one)
  return one
}

/** Keeps a refit in memory, as the one used last. */
export function hold(one: OpenRefit): void {
  open.delete(one.refitId)
  open.set(one.refitId, one)
  for (const refitId of open.keys()) {
    if (open.size <= mostOpen) break
    open.delete(refitId)
  }
}

/** Lets a refit go: its tables were changed past this memory, or it is gone. */
export const letGo = (refitId: string): boolean => open.delete(refitId)

/** Lets all go. */
export const letAllGo = (): void => open.clear()

/** A refit that is there; to be called inside `alone`. Throws Trouble 404. */
export async function presentRefit(refitId: string): Promise<OpenRefit> {
  const one = await openRefit(refitId)
  if (one.rows.refit.length === 0)
    throw new Trouble(
      404,
      problem('notFound', 'There is no such refit here. It may have been removed.'),
    )
  return one
}
