/** The server as a page sees it: one refit in memory, changes passed by core, answers held back or refused at will. */
import { createPinia, disposePinia, setActivePinia } from 'pinia'
import type { Pinia } from 'pinia'
import { vi } from 'vitest'
import { applyRows } from '#core/model/applyChange'
import type { Change, ChangeItem, Problem } from '#core/model/changes'
import { entityNames } from '#core/model/entities'
import { newRow } from '#core/model/newRow'
import { isComputed } from '#core/model/references'
import type { RefitRows } from '#core/model/refit'
import { useRefitStore } from '../../app/stores/refit'

type Plain = Readonly<Record<string, unknown>>

class FakeServer {
  seq = 1
  readonly changes: Change[] = []
  /** What an answer to a change waits for. */
  onItsWay: Promise<void> = Promise.resolve()
  /** What the next changes are answered with instead. */
  refusal: { status: number; problem: Problem } | null = null

  constructor(
    public rows: RefitRows,
    /** What its clock stands at, UTC ms. */
    private readonly now: number,
  ) {}

  private answer(body: unknown, status = 200) {
    return new Response(JSON.stringify(body), {
      status,
      headers: { 'Content-Type': 'application/json' },
    })
  }

  /** All there is, as what was missed. */
  private everyRow() {
    return entityNames.flatMap((entity) =>
      this.rows[entity].map((row) => ({ entity, id: row.id, row })),
    )
  }

  private pass(change: Change) {
    this.changes.push(change)
    const rows = change.items.map((item: ChangeItem) => {
      const list = this.rows[item.entity] as unknown as readonly (Plain & { id: string })[]
      const before = list.find((one) => one.id === item.id)
      const row =
        item.op === 'delete'
          ? null
          : item.op === 'create'
            ? newRow(item.entity, item.id, item.patch as never)
            : { ...before, ...item.patch, version: Number(before?.version) + 1 }
      return { entity: item.entity, id: item.id, row: row as Plain | null }
    })
    this.rows = applyRows(this.rows, rows)
    this.seq++
    const { changeId, deviceId, label } = change
    return { seq: this.seq, epoch: 'life', changeId, deviceId, label, rows, numbers: [] }
  }

  /** Copies of the database, and the one that could not be taken. */
  copies: object = { copies: [], missed: null }

  /** Who hears of what happens. */
  private readonly hearing: ((heard: unknown) => void)[] = []
  /** A stream of events for a page. */
  readonly stream = () => ({
    readyState: 1,
    addEventListener: (kind: string, hear: (event: { data: string }) => void) => {
      if (kind === 'change') this.hearing.push((heard) => hear({ data: JSON.stringify(heard) }))
    },
    close: () => undefined,
  })
  /** Somebody changes something in another window. */
  fromElsewhere(items: readonly ChangeItem[]): void {
    const changeId = `theirs-${this.seq}`
    const heard = this.pass({ changeId, deviceId: 'theirs', label: 'Theirs', items } as Change)
    const isLarge = ({ entity }: { readonly entity: ChangeItem['entity'] }) => isComputed(entity)
    const numbers = heard.rows
      .filter(isLarge)
      .map(({ entity, id, row }) => ({ entity, id, version: row?.version }))
    for (const hear of this.hearing)
      hear({ ...heard, rows: heard.rows.filter((one) => !isLarge(one)), numbers })
  }

  readonly fetch = (path: string, init?: { body?: string }): Promise<Response> => {
    if (path.endsWith('/clock')) {
      return Promise.resolve(this.answer({ now: this.now, fixed: true, lastChangeAt: null }))
    }
    if (path.includes('/changes?since='))
      return Promise.resolve(this.answer({ epoch: 'life', seq: this.seq, rows: this.everyRow() }))
    if (path.endsWith('/changes')) {
      const { refusal } = this
      if (refusal) return this.onItsWay.then(() => this.answer(refusal.problem, refusal.status))
      return Promise.resolve(this.answer(this.pass(JSON.parse(init?.body ?? '') as Change)))
    }
    if (path.endsWith('/copies')) return Promise.resolve(this.answer(this.copies))
    // Lists beside the rows and what changed before: there are none.
    if (!path.endsWith('/api/refits/r')) return Promise.resolve(this.answer([]))
    return Promise.resolve(this.answer({ epoch: 'life', seq: this.seq, rows: this.rows }))
  }
}

const standing: Pinia[] = []
/** A pinia of its own, until the test is over. */
export function ownPinia(): void {
  const pinia = createPinia()
  standing.push(pinia)
  setActivePinia(pinia)
}
/** Ends the stores of a test: what they still had in mind would be done in the next. */
export const endStores = () => standing.splice(0).forEach(disposePinia)

/** Saturday 17 April 2027, 07:30. */
const saturday = Date.UTC(2027, 3, 17, 7, 30)

/**
 * Opens the refit in a store of its own, on a server of its own. `begin`: what the frame has begun by then. `now`: the
 * server's clock, UTC ms.
 */
export async function openOn(
  rows: RefitRows,
  begin: () => unknown = () => undefined,
  now = saturday,
) {
  const server = new FakeServer(rows, now)
  vi.stubGlobal('fetch', server.fetch)
  vi.stubGlobal(
    'EventSource',
    class {
      static readonly CLOSED = 2
      constructor() {
        Object.assign(this, server.stream())
      }
    },
  )
  ownPinia()
  const store = useRefitStore()
  begin()
  await store.open('r')
  return { server, store }
}
