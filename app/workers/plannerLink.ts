import { wrap } from 'comlink'
import type { Remote } from 'comlink'
import { rowsBetween } from '#core/model/applyChange'
import { emptyRows } from '#core/model/refit'
import type { RefitRows } from '#core/model/refit'
import { watchLife, workerName } from './life'
import type { Planner } from './plannerWork'

/** Work that was given up because newer work came. */
export class Superseded extends Error {
  constructor() {
    super('Newer work came.')
    this.name = 'Superseded'
  }
}

/**
 * One planner in a worker of its own. It holds the rows; only what changed since the last work crosses over. Newer work
 * ends what is still going on: it is left at its next part, and the worker lives on with its rows and with what it has
 * compiled.
 */
export class PlannerLink {
  private worker: Worker | null = null
  private unwatch: (() => void) | null = null
  private remote: Remote<Planner> | null = null
  private sent: RefitRows = emptyRows()
  /** Tells who waits for what the worker is at that it is given up. */
  private underWay: ((reason: Error) => void) | null = null
  private waiting: (() => void)[] = []

  private open(): Remote<Planner> {
    if (this.remote) return this.remote
    const name = workerName('planner')
    const worker = new Worker(new URL('./planner.worker.ts', import.meta.url), {
      type: 'module',
      name,
    })
    this.unwatch = watchLife(worker, name, 'The planner', (reason) => this.end(reason))
    this.worker = worker
    this.sent = emptyRows()
    this.remote = wrap<Planner>(worker)
    return this.remote
  }

  private end(reason: Error): void {
    this.unwatch?.()
    this.unwatch = null
    this.worker?.terminate()
    this.worker = null
    this.remote = null
    this.leave(reason)
  }

  private leave(reason: Error): void {
    const giveUp = this.underWay
    this.underWay = null
    giveUp?.(reason)
  }

  /** True while somebody waits for an answer. */
  get isBusy(): boolean {
    return this.underWay !== null
  }

  /** Resolves once nobody waits for an answer; at once where that is so. */
  async idle(): Promise<void> {
    while (this.underWay) await new Promise<void>((resolve) => this.waiting.push(resolve))
  }

  /** Ends what is going on; its caller gets Superseded. */
  stop(): void {
    if (!this.underWay) return
    // What nobody waits for any more is not worked out to its end.
    void this.remote?.callOff()
    this.leave(new Superseded())
  }

  /** Gives the worker back; what it was at is left. */
  close(): void {
    this.end(new Superseded())
  }

  /** Asks something about rows. Throws Superseded, and whatever the worker throws. */
  async question<Answer>(
    rows: RefitRows,
    ask: (planner: Remote<Planner>) => Promise<Answer>,
  ): Promise<Answer> {
    this.stop()
    const remote = this.open()
    let own: ((reason: Error) => void) | null = null
    const over = new Promise<never>((_, giveUp) => (own = giveUp))
    this.underWay = own
    try {
      const changes = rowsBetween(this.sent, rows)
      this.sent = rows
      // Sent at once, so that rows arrive in the order in which they were compared.
      const taken = remote.take(changes)
      const answer = async (): Promise<Answer> => {
        await taken
        if (this.underWay !== own) throw new Superseded()
        return ask(remote)
      }
      return await Promise.race([over, answer()])
    } finally {
      if (this.underWay === own) this.underWay = null
      if (!this.underWay) for (const resolve of this.waiting.splice(0)) resolve()
    }
  }
}
