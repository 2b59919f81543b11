/** The machine's world in a browser: the server, its stream of events, and the browser's storage. */
import type { Change, Heard } from '#core/model/changes'
import { api, ProblemError } from '../utils/api'
import { newId } from '../utils/newId'
import type { CaughtUp, Hearing, Ports, UndoWish, Whole } from './ports'

const base = (refitId: string): string => `/api/refits/${refitId}`

/** A browser opens a stream that was cut again by itself, but not one that was refused. */
const openAgainMs = 3000

function listen(refitId: string, hearing: Hearing): () => void {
  let source: EventSource | null = null
  let timer: ReturnType<typeof setTimeout> | null = null
  function open(): void {
    const stream = new EventSource(`${base(refitId)}/events`)
    source = stream
    const on = (name: string, hear: (data: unknown) => void) =>
      stream.addEventListener(name, (event) =>
        hear(JSON.parse((event as MessageEvent<string>).data)),
      )
    on('hello', (data) => hearing.hello(data as { epoch: string; seq: number }))
    on('change', (data) => hearing.change(data as Heard))
    on('reload', hearing.reload)
    stream.addEventListener('error', () => {
      if (stream.readyState === EventSource.CLOSED) timer = setTimeout(open, openAgainMs)
      hearing.lost()
    })
  }
  open()
  return () => {
    if (timer) clearTimeout(timer)
    source?.close()
  }
}

/**
 * After so long without an answer a bad signal is taken for none, and it is asked again. A plan is large; a change sent
 * twice is one.
 */
const giveUpMs = { change: 15_000, plan: 90_000, reading: 60_000 } as const

/** This window: what it keeps is its own while it lives, and anybody's when it is gone. */
const windowId = newId()
const keyFor = (refitId: string, id: string): string => `inch-ahead.waiting.${refitId}.${id}`
const lockFor = (id: string): string => `inch-ahead.window.${id}`

/** Holds this window's lock until the window is gone. */
function holdLock(): void {
  void navigator.locks?.request(lockFor(windowId), () => new Promise<never>(() => undefined))
}
let held = false

function keep(refitId: string, waiting: readonly Change[]): boolean {
  if (!held) holdLock()
  held = true
  try {
    const key = keyFor(refitId, windowId)
    if (waiting.length === 0) localStorage.removeItem(key)
    else localStorage.setItem(key, JSON.stringify(waiting))
    return true
  } catch {
    // The storage is full or shut; the machine says that it is not kept.
    return false
  }
}

/**
 * Puts what a window left where this one keeps its own before it is taken from there: ended in between it stands twice,
 * and sent twice is one change.
 */
function move(from: string, to: string, changes: readonly Change[]): void {
  const text = JSON.stringify(changes)
  try {
    localStorage.setItem(to, text)
    localStorage.removeItem(from)
  } catch {
    // There is no room for both: one goes before the other comes.
    localStorage.removeItem(from)
    localStorage.setItem(to, text)
  }
}

/** Another window's changes with those found so far, if that window is gone. */
async function takeOver(
  refitId: string,
  id: string,
  found: readonly Change[],
): Promise<readonly Change[]> {
  const take = (): readonly Change[] => {
    const from = keyFor(refitId, id)
    const text = localStorage.getItem(from)
    if (text === null) return found
    const all = [...found, ...(JSON.parse(text) as Change[])]
    if (id !== windowId) move(from, keyFor(refitId, windowId), all)
    return all
  }
  if (id === windowId || !navigator.locks) return take()
  return navigator.locks.request(lockFor(id), { ifAvailable: true }, (lock) =>
    lock ? take() : found,
  )
}

/** The windows that left something waiting for a refit; none where the storage is shut. */
function windowsOf(refitId: string): string[] {
  const prefix = keyFor(refitId, '')
  try {
    return Object.keys(localStorage)
      .filter((one) => one.startsWith(prefix))
      .map((key) => key.slice(prefix.length))
  } catch {
    return []
  }
}

async function adopt(refitId: string): Promise<readonly Change[]> {
  let found: readonly Change[] = []
  for (const id of windowsOf(refitId))
    try {
      found = await takeOver(refitId, id, found)
    } catch {
      // What is not ours, or was torn, cannot be sent; it stays where it is, and holds up nothing else.
    }
  return found
}

export const browserPorts: Ports = {
  readWhole: (refitId, signal) => api<Whole>(base(refitId), { signal }),
  readSince: (refitId, since, epoch, signal) =>
    api<CaughtUp>(`${base(refitId)}/changes?since=${since}&epoch=${encodeURIComponent(epoch)}`, {
      signal: AbortSignal.any([signal, AbortSignal.timeout(giveUpMs.reading)]),
    }),
  send: (refitId, change) =>
    api<Heard>(`${base(refitId)}/changes`, {
      body: change,
      signal: AbortSignal.timeout(change.quiet ? giveUpMs.plan : giveUpMs.change),
    }),
  undo: (refitId, wish: UndoWish) => api<Heard>(`${base(refitId)}/undo`, { body: wish }),
  listen,
  keep,
  adopt,
  refusalOf: (error) =>
    error instanceof ProblemError
      ? { status: error.status, code: error.problem.code, message: error.message }
      : null,
  later: (ms, work) => {
    const timer = setTimeout(work, ms)
    return () => clearTimeout(timer)
  },
  newId,
}
