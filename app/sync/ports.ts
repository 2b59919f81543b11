/** What the machine needs of the world, so that it can be tried without one. */
import type { Change, Heard, RowChange } from '#core/model/changes'
import type { RefitRows } from '#core/model/refit'

export interface Whole {
  readonly epoch: string
  readonly seq: number
  readonly rows: RefitRows
}

/** Rows since a number; null: the refit has to be read anew. */
export interface CaughtUp {
  readonly epoch: string
  readonly seq: number
  readonly rows: readonly RowChange[] | null
}

export interface UndoWish {
  readonly changeId: string
  readonly deviceId: string
  readonly personId: string | null
  readonly force: boolean
}

/** What comes by the stream of events. */
export interface Hearing {
  /** The stream is open: which life of the refit, and its last number. */
  readonly hello: (at: { readonly epoch: string; readonly seq: number }) => void
  readonly change: (heard: Heard) => void
  readonly reload: () => void
  /** The stream is cut; it is opened again by itself. */
  readonly lost: () => void
}

/** An answer other than what was asked for. `status` 0: no answer at all. */
export interface Refusal {
  readonly status: number
  readonly code: string
  readonly message: string
}

export interface Ports {
  readonly readWhole: (refitId: string, signal: AbortSignal) => Promise<Whole>
  readonly readSince: (
    refitId: string,
    since: number,
    epoch: string,
    signal: AbortSignal,
  ) => Promise<CaughtUp>
  readonly send: (refitId: string, change: Change) => Promise<Heard>
  readonly undo: (refitId: string, wish: UndoWish) => Promise<Heard>
  /** Listens until the returned function is called. */
  readonly listen: (refitId: string, hearing: Hearing) => () => void
  /** Keeps what waits where it outlives the window. False: it could not be kept. */
  readonly keep: (refitId: string, waiting: readonly Change[]) => boolean
  /** What waits from windows that are gone; it is this window's from now on. */
  readonly adopt: (refitId: string) => Promise<readonly Change[]>
  /** What an error says, or null when it is no answer of the server. */
  readonly refusalOf: (error: unknown) => Refusal | null
  /** Does something later; gives what takes it back. */
  readonly later: (ms: number, work: () => void) => () => void
  readonly newId: () => string
}

/** True when nobody decided anything: the change waits and is sent again. */
export const isNoAnswer = ({ status }: Refusal): boolean => [0, 502, 503, 504].includes(status)
