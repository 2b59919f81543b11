/** Keeps one refit in step with the server: reads it, hears of changes, sends its own, and waits when nobody answers. */
import { applyRows } from '#core/model/applyChange'
import type { Change, Heard, RowChange } from '#core/model/changes'
import { isComputed } from '#core/model/references'
import { emptyRows } from '#core/model/refit'
import type { RefitRows } from '#core/model/refit'
import { onTopOf, withWaiting } from './outbox'
import { isNoAnswer } from './ports'
import type { CaughtUp, Ports, UndoWish } from './ports'

type Phase = 'closed' | 'loading' | 'ready' | 'missing'

/** What the page shows of it. */
export interface SyncState {
  readonly phase: Phase
  readonly refitId: string
  readonly epoch: string
  readonly seq: number
  /** As the server has them, with what waits on top. */
  readonly rows: RefitRows
  /** What somebody changed last was changed in another window. */
  readonly isTheirs: boolean
  readonly connected: boolean
  /** Changes that wait to be sent. */
  readonly waiting: readonly Change[]
  /** False: what waits would be lost with this window. */
  readonly kept: boolean
  /** Why it cannot be read or sent, as the server says it; '' when nobody answers at all. */
  readonly trouble: string
}

/** What became of a change: it stands on the server, or waits here. */
export type Sent = 'done' | 'waits'

/** A change that waited and was refused when its turn came. */
export type OnRefused = (change: Change, error: unknown) => void

const againMs = 3000
/** How long somebody who asked is left without an answer, ms. */
const patienceMs = 2000
const slowSaid = 'The program takes long to answer.'
/** How long a missing number may come late before it is asked for, ms. */
const gapMs = 300

const nothing: SyncState = {
  phase: 'closed',
  refitId: '',
  epoch: '',
  seq: 0,
  rows: emptyRows(),
  isTheirs: false,
  connected: true,
  waiting: [],
  kept: true,
  trouble: '',
}

type Undoing = Omit<UndoWish, 'changeId'>

export class SyncMachine {
  private confirmed: RefitRows = emptyRows()
  private waiting: readonly Change[] = []
  /** Changes that were on their way at least once: whether they arrived is not known. */
  private readonly tried = new Set<string>()
  /** Own changes whose answer is awaited. */
  private readonly flying = new Map<string, Change>()
  private readonly ahead = new Map<number, Heard>()
  /** Everything up to here was read; computed rows after it are still to be fetched. */
  private owed: number | null = null
  private stopListening: (() => void) | null = null
  private abort = new AbortController()
  private timers = new Map<string, () => void>()
  private sending = false
  /** Numbers of what somebody changed last, in this window and at all. What the program works out is nobody's change. */
  private ownSeq = 0
  private newestSeq = 0
  /** The stream of events is cut. */
  private deaf = false
  /** Who waits for the answer to a change; a change without is in the background, and shown as done. */
  private readonly asking = new Map<
    string,
    { readonly resolve: (sent: Sent) => void; readonly reject: (error: unknown) => void }
  >()
  /** Wishes to undo wait for each other: the next one takes back what was done before it. */
  private undoing: Promise<void> = Promise.resolve()
  private undoAgain: { readonly id: string; readonly seq: number } | null = null
  private now: SyncState = nothing

  constructor(
    private readonly ports: Ports,
    private readonly changed: (state: SyncState) => void,
    private readonly refused: OnRefused,
  ) {}

  get state(): SyncState {
    return this.now
  }

  private put(more: Partial<SyncState>): void {
    const isTheirs = this.newestSeq > this.ownSeq
    this.now = { ...this.now, ...more, isTheirs, waiting: this.waiting }
    this.changed(this.now)
  }

  private showRows(more: Partial<SyncState> = {}): void {
    const background = this.waiting.filter((one) => !this.asking.has(one.changeId))
    this.put({ ...more, rows: withWaiting(this.confirmed, background) })
  }

  private later(what: string, ms: number, work: () => void): void {
    this.timers.get(what)?.()
    this.timers.set(
      what,
      this.ports.later(ms, () => {
        this.timers.delete(what)
        work()
      }),
    )
  }

  /** Leaves the refit that is open. What waits stays kept and goes on when it is opened again. */
  close(): void {
    this.abort.abort()
    this.abort = new AbortController()
    this.stopListening?.()
    this.stopListening = null
    for (const stop of this.timers.values()) stop()
    this.timers.clear()
    this.ahead.clear()
    this.flying.clear()
    this.tried.clear()
    this.confirmed = emptyRows()
    this.waiting = []
    this.owed = null
    this.ownSeq = 0
    this.newestSeq = 0
    this.sending = false
    this.deaf = false
    for (const { resolve } of this.asking.values()) resolve('waits')
    this.asking.clear()
    this.undoAgain = null
    this.undoing = Promise.resolve()
    this.now = nothing
    this.changed(this.now)
  }

  /** Opens a refit; resolves when it is read or known to be missing, or when nobody answers. */
  async open(refitId: string): Promise<void> {
    this.close()
    this.put({ phase: 'loading', refitId })
    const { signal } = this.abort
    const adopted = await this.ports.adopt(refitId)
    if (signal.aborted) return
    this.waiting = adopted
    for (const change of adopted) this.tried.add(change.changeId)
    if (adopted.length > 0) this.keepWaiting()
    await this.readWhole()
  }

  private async readWhole(): Promise<void> {
    const { refitId } = this.now
    const { signal } = this.abort
    try {
      const whole = await this.ports.readWhole(refitId, signal)
      if (signal.aborted) return
      // Two readings crossed: the older one is of no use any more.
      if (whole.epoch === this.now.epoch && whole.seq < this.now.seq) return
      this.confirmed = whole.rows
      this.ahead.clear()
      this.owed = null
      // Whose it all is is not known: here it counts as if it were of this window.
      this.newestSeq = 0
      this.showRows({
        phase: 'ready',
        epoch: whole.epoch,
        seq: whole.seq,
        connected: true,
        trouble: '',
      })
      this.stopListening ??= this.listen(refitId)
      void this.sendWaiting()
    } catch (error) {
      if (signal.aborted) return
      const refusal = this.ports.refusalOf(error)
      if (!refusal) throw error
      if (refusal.status === 404) this.put({ phase: 'missing' })
      else {
        this.put({ connected: false, trouble: refusal.status === 0 ? '' : refusal.message })
        this.later('read', againMs, () => void this.readWhole())
      }
    }
  }

  private listen(refitId: string): () => void {
    return this.ports.listen(refitId, {
      hello: ({ epoch, seq }) => {
        this.deaf = false
        this.put({ connected: true, trouble: '' })
        if (epoch !== this.now.epoch) void this.readWhole()
        else if (seq > this.now.seq) void this.catchUp()
        void this.sendWaiting()
      },
      change: (heard) => this.take(heard, this.flying.get(heard.changeId) ?? null),
      reload: () => void this.readWhole(),
      lost: () => {
        // Why it is cut is not said: asking tells whether anybody answers, and whether the refit is still there.
        this.deaf = true
        this.later('gap', gapMs, () => void this.catchUp())
      },
    })
  }

  /** Takes what was heard or answered, once and in order. */
  private take(heard: Heard, own: Change | null): void {
    if (heard.epoch !== this.now.epoch) {
      void this.readWhole()
      return
    }
    if (own !== null || heard.changeId === this.undoAgain?.id)
      this.ownSeq = Math.max(this.ownSeq, heard.seq)
    if (heard.seq <= this.now.seq) return
    if (heard.seq > this.now.seq + 1) {
      this.ahead.set(heard.seq, heard)
      this.later('gap', gapMs, () => void this.catchUp())
      return
    }
    this.absorb(heard, own)
    for (
      let next = this.ahead.get(this.now.seq + 1);
      next;
      next = this.ahead.get(this.now.seq + 1)
    ) {
      this.ahead.delete(next.seq)
      this.absorb(next, this.flying.get(next.changeId) ?? null)
    }
  }

  private absorb(heard: Heard, own: Change | null): void {
    const rows = [...heard.rows]
    for (const number of heard.numbers) {
      const item = own?.items.find((one) => one.entity === number.entity && one.id === number.id)
      if (item && item.op !== 'delete') {
        const kind = this.confirmed[number.entity] as readonly { readonly id: string }[]
        const before = kind.find((row) => row.id === number.id)
        const row = { ...before, ...item.patch, id: number.id, version: number.version }
        rows.push({ entity: number.entity, id: number.id, row })
      } else {
        // Computed by another window, and large: fetched once things are quiet.
        this.owed ??= heard.seq - 1
        this.later('owed', gapMs, () => void this.catchUp())
      }
    }
    this.dropWaiting(heard.changeId)
    if (heard.rows.length > 0) this.newestSeq = heard.seq
    this.takeRows(rows, heard.seq)
  }

  private takeRows(rows: readonly RowChange[], seq: number): void {
    if (rows.length > 0) this.confirmed = applyRows(this.confirmed, rows)
    this.showRows({ seq: Math.max(this.now.seq, seq) })
  }

  /** Reads what was missed. */
  async catchUp(): Promise<void> {
    const { signal } = this.abort
    const { refitId, epoch, seq } = this.now
    if (this.now.phase !== 'ready') return
    const since = Math.min(this.owed ?? seq, seq)
    let missed: CaughtUp
    try {
      missed = await this.ports.readSince(refitId, since, epoch, signal)
    } catch (error) {
      if (signal.aborted) return
      const refusal = this.ports.refusalOf(error)
      if (!refusal) throw error
      if (refusal.status === 404) {
        this.stopListening?.()
        this.stopListening = null
        this.put({ phase: 'missing' })
        return
      }
      this.put({ connected: false, trouble: refusal.status === 0 ? '' : refusal.message })
      this.later('gap', againMs, () => void this.catchUp())
      return
    }
    if (signal.aborted) return
    if (missed.rows === null || missed.epoch !== this.now.epoch) {
      await this.readWhole()
      return
    }
    if (missed.seq < this.now.seq) {
      // What was heard while the answer was on its way is newer: a row that was removed would come back.
      this.later('gap', gapMs, () => void this.catchUp())
      return
    }
    if (this.owed !== null && this.owed >= since) this.owed = null
    for (const at of [...this.ahead.keys()]) if (at <= missed.seq) this.ahead.delete(at)
    if (missed.seq > this.now.seq && missed.rows.some((one) => !isComputed(one.entity)))
      this.newestSeq = missed.seq
    this.put({ connected: true, trouble: '' })
    this.takeRows(missed.rows, missed.seq)
    void this.sendWaiting()
    // Until the stream is open again, asking now and then takes its place.
    if (this.deaf) this.later('gap', againMs, () => void this.catchUp())
  }

  private keepWaiting(): void {
    this.put({ kept: this.ports.keep(this.now.refitId, this.waiting) || this.waiting.length === 0 })
  }

  private dropWaiting(changeId: string): void {
    if (!this.waiting.some((one) => one.changeId === changeId)) return
    this.waiting = this.waiting.filter((one) => one.changeId !== changeId)
    this.keepWaiting()
  }

  /**
   * Sends a change when its turn comes. It is kept before it is sent, so that neither a restart nor a closed
   * window loses it. Resolves when it stands on the server, or when nobody answers in time and it waits; throws
   * what it is refused with by then.
   */
  send(made: Omit<Change, 'epoch' | 'basedOn'>): Promise<Sent> {
    const change = onTopOf({ ...made, epoch: this.now.epoch }, this.waiting, this.confirmed)
    const sent = new Promise<Sent>((resolve, reject) =>
      this.asking.set(change.changeId, { resolve, reject }),
    )
    this.waiting = [...this.waiting, change]
    this.keepWaiting()
    // A bad signal answers nothing and cuts nothing: nobody is left before it.
    this.later(`slow ${change.changeId}`, patienceMs, () => this.waitNoLonger(change.changeId))
    void this.sendWaiting()
    return sent
  }

  private waitNoLonger(changeId: string): void {
    const one = this.asking.get(changeId)
    if (!one) return
    this.asking.delete(changeId)
    one.resolve('waits')
    this.showRows({ connected: false, trouble: slowSaid })
  }

  /** What waits in the background from now on: whoever asked is told, and the page shows it as done. */
  private letWait(trouble: string): void {
    for (const { resolve } of this.asking.values()) resolve('waits')
    this.asking.clear()
    this.showRows({ connected: false, trouble })
    this.later('send', againMs, () => void this.sendWaiting())
  }

  /** Sends the first that waits. False when nobody answers. */
  private async sendFirst(change: Change): Promise<boolean> {
    const { signal } = this.abort
    this.tried.add(change.changeId)
    this.flying.set(change.changeId, change)
    const asker = () => {
      const one = this.asking.get(change.changeId)
      this.asking.delete(change.changeId)
      return one
    }
    try {
      const heard = await this.ports.send(this.now.refitId, change)
      if (signal.aborted) return false
      const one = asker()
      this.dropWaiting(change.changeId)
      this.put({ connected: true, trouble: '' })
      if (heard.seq <= this.now.seq) this.showRows()
      else this.take(heard, change)
      one?.resolve('done')
      return true
    } catch (error) {
      if (signal.aborted) return false
      const refusal = this.ports.refusalOf(error)
      if (refusal && isNoAnswer(refusal)) {
        this.letWait(refusal.status === 0 ? '' : refusal.message)
        return false
      }
      const one = asker()
      this.dropWaiting(change.changeId)
      this.showRows({ connected: true, trouble: '' })
      if (one) one.reject(error)
      else this.refused(change, error)
      return true
    } finally {
      this.flying.delete(change.changeId)
    }
  }

  /** Sends what waits, one after the other, until all is gone or nobody answers. */
  async sendWaiting(): Promise<void> {
    if (this.now.phase !== 'ready' || this.sending) return
    const { signal } = this.abort
    this.sending = true
    try {
      for (let change = this.waiting[0]; change; change = this.waiting[0])
        if (!(await this.sendFirst(change))) break
    } finally {
      if (!signal.aborted) this.sending = false
    }
    // One that came while the last was given up is still to be tried.
    if (!signal.aborted && this.asking.size > 0) await this.sendWaiting()
  }

  /** Sends what the program worked out by itself; when nobody answers it is worked out again later. */
  async sendQuietly(made: Omit<Change, 'epoch' | 'basedOn'>): Promise<void> {
    const { signal } = this.abort
    const { refitId, epoch } = this.now
    const change = { ...made, epoch }
    this.flying.set(change.changeId, change)
    try {
      const heard = await this.ports.send(refitId, change)
      if (!signal.aborted) this.take(heard, change)
    } catch (error) {
      if (signal.aborted) return
      const refusal = this.ports.refusalOf(error)
      if (!refusal || (!isNoAnswer(refusal) && ![409, 422].includes(refusal.status))) throw error
      if (isNoAnswer(refusal)) return
      // Somebody was first: theirs stands. When there is nothing of theirs, it was refused for itself.
      const before = this.now.seq
      await this.catchUp()
      if (this.now.seq === before) throw error
    } finally {
      this.flying.delete(change.changeId)
    }
  }

  /**
   * Takes back the last change of this device. One that was never on its way is simply not sent; otherwise
   * what waits has to be through first. A wish that got no answer is sent again as the same.
   */
  undo(who: Undoing): Promise<string> {
    const { signal } = this.abort
    const inTurn = this.undoing.then(() => {
      if (signal.aborted) throw new Error('The refit was closed before that was taken back.')
      return this.takeBack(who)
    })
    this.undoing = inTurn.then(
      () => undefined,
      () => undefined,
    )
    return inTurn
  }

  private async takeBack(who: Undoing): Promise<string> {
    const last = this.waiting.at(-1)
    if (last && !this.tried.has(last.changeId)) {
      this.waiting = this.waiting.slice(0, -1)
      this.keepWaiting()
      this.showRows()
      return `Not sent: ${last.label}`
    }
    if (last)
      throw new Error('The last change is not saved yet. Undo it when the program answers again.')
    const { signal } = this.abort
    const { refitId, seq } = this.now
    const changeId =
      this.undoAgain && this.undoAgain.seq === seq ? this.undoAgain.id : this.ports.newId()
    this.undoAgain = { id: changeId, seq }
    try {
      const heard = await this.ports.undo(refitId, { ...who, changeId })
      if (!signal.aborted) this.take(heard, null)
      this.undoAgain = null
      return heard.label
    } catch (error) {
      const refusal = this.ports.refusalOf(error)
      if (!refusal || !isNoAnswer(refusal)) this.undoAgain = null
      throw error
    }
  }
}
