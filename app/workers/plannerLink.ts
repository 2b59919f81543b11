import { wrap } from 'comlink'
import type { Remote } from 'comlink'
import { rowsBetween } from '#core/model/applyChange'
import { emptyRows } from '#core/model/refit'
import type { RefitRows } from '#core/model/refit'
import type { Planner } from './planner.worker'

/** Work that was given up because newer work came. */
export class Superseded extends Error {
  constructor() {
    super('Newer work came.')
    this.name = 'Superseded'
  }
}

/**
 * One planner in a worker of its own. It holds the rows; only what changed since the last work crosses over.
 * Newer work ends what is still going on: a worker in the midst of its sums hears nothing, so it is replaced.
 */
export class PlannerLink {
  private worker: Worker | null = null
  private remote: Remote<Planner> | null = null
  private sent: RefitRows = emptyRows()
  private giveUp: ((reason: Error) => void) | null = null

  private open(): Remote<Planner> {
    if (this.remote) return this.remote
    const worker = new Worker(new URL('./planner.worker.ts', import.meta.url), { type: 'module' })
    worker.addEventListener('error', (event) => {
      event.preventDefault()
      this.end(new Error(event.message || 'The planner could not be started.'))
    })
    this.worker = worker
    this.sent = emptyRows()
    this.remote = wrap<Planner>(worker)
    return this.remote
  }

  private end(reason: Error): void {
    this.worker?.terminate()
    this.worker = null
    this.remote = null
    this.giveUp?.(reason)
    this.giveUp = null
  }

  /** True while somebody waits for an answer. */
  get isBusy(): boolean {
    return this.giveUp !== null
  }

  /** Ends what is going on; its caller gets Superseded. */
  stop(): void {
    if (this.giveUp) this.end(new Superseded())
  }

  /**
   * Asks something that is answered in parts: an older question is left at its next part, and the worker lives on.
   * Throws Superseded, and whatever the worker throws.
   */
  async question<Answer>(
    rows: RefitRows,
    ask: (planner: Remote<Planner>) => Promise<Answer>,
  ): Promise<Answer> {
    const remote = this.open()
    this.giveUp?.(new Superseded())
    const over = new Promise<never>((_, reject) => (this.giveUp = reject))
    const own = this.giveUp
    try {
      const changes = rowsBetween(this.sent, rows)
      this.sent = rows
      return await Promise.race([
        over,
        (async () => {
          // Both are sent at once, so that rows arrive in the order in which they were compared.
          const calledOff = remote.callOff()
          const taken = changes.length > 0 ? remote.take(changes) : null
          await calledOff
          await taken
          if (this.giveUp !== own) throw new Superseded()
          return ask(remote)
        })(),
      ])
    } finally {
      if (this.giveUp === own) this.giveUp = null
    }
  }

  /** Works on rows, after whatever was going on was ended. Throws Superseded, and whatever the worker throws. */
  async work<Result>(
    rows: RefitRows,
    ask: (planner: Remote<Planner>) => Promise<Result>,
  ): Promise<Result> {
    this.stop()
    const remote = this.open()
    const over = new Promise<never>((_, reject) => (this.giveUp = reject))
    try {
      const changes = rowsBetween(this.sent, rows)
      this.sent = rows
      return await Promise.race([
        over,
        (async () => {
          await remote.take(changes)
          return ask(remote)
        })(),
      ])
    } finally {
      if (this.remote === remote) this.giveUp = null
    }
  }
}
