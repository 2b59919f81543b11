import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { applyRows } from '#core/model/applyChange'
import type { Change, ChangeItem, Clash, Heard, RowChange } from '#core/model/changes'
import { emptyRows } from '#core/model/refit'
import { acceptedPlan } from '#core/model/stored'
import type { RefitRows } from '#core/model/refit'
import { derive } from '#core/progress/derive'

/** A change that met somebody else's, waiting for a choice. */
export interface OpenClash {
  readonly change: Change
  readonly clashes: readonly Clash[]
}

/** The whole refit in memory: read once, kept in step by events, changed through the one door. */
export const useRefitStore = defineStore('refit', () => {
  const time = useTimeStore()
  const toasts = useToastStore()
  const { deviceId, personId } = useDevice()
  const refitId = ref('')
  const rows = shallowRef<RefitRows>(emptyRows())
  const seq = ref(0)
  const status = ref<'loading' | 'ready' | 'missing'>('loading')
  const connected = ref(true)
  const clash = shallowRef<OpenClash | null>(null)
  const aside = shallowRef<readonly OpenClash[]>([])
  let events: EventSource | null = null

  const refit = computed(() => rows.value.refit[0] ?? null)
  const plan = computed(() => rows.value.plan[0] ?? null)
  /** The plan that views read: accepted, and of this make. */
  const accepted = computed(() => acceptedPlan(rows.value))
  const derived = computed(() => derive(rows.value, accepted.value, time.minute))
  const path = (rest: string) => `/api/refits/${refitId.value}${rest}`

  async function open(id: string): Promise<void> {
    close()
    refitId.value = id
    status.value = 'loading'
    try {
      await time.start()
      const whole = await api<{ seq: number; rows: RefitRows }>(path(''))
      rows.value = whole.rows
      seq.value = whole.seq
      status.value = 'ready'
      connected.value = true
      listen()
    } catch (error) {
      if (error instanceof ProblemError && error.status === 404) status.value = 'missing'
      else {
        connected.value = false
        setTimeout(() => refitId.value === id && status.value === 'loading' && open(id), 3000)
      }
    }
  }

  function listen(): void {
    events = new EventSource(path('/events'))
    events.onopen = () => {
      if (!connected.value) void catchUp()
      connected.value = true
    }
    events.onerror = () => {
      connected.value = false
    }
    events.onmessage = (event: MessageEvent<string>) => {
      const heard = JSON.parse(event.data) as Heard
      if (heard.seq > seq.value + 1) void catchUp()
      else take(heard.seq, heard.rows)
    }
  }

  function take(at: number, changes: readonly RowChange[]): void {
    rows.value = applyRows(rows.value, changes)
    seq.value = Math.max(seq.value, at)
  }

  async function catchUp(): Promise<void> {
    const missed = await api<{ seq: number; rows: RowChange[] }>(
      path(`/changes?since=${seq.value}`),
    )
    take(missed.seq, missed.rows)
  }

  function close(): void {
    events?.close()
    events = null
    rows.value = emptyRows()
    clash.value = null
    aside.value = []
  }

  const changeOf = (label: string, items: readonly ChangeItem[], quiet: boolean): Change => ({
    changeId: newId(),
    deviceId: deviceId.value,
    personId: personId.value === '' ? null : personId.value,
    label,
    quiet,
    items,
  })

  async function send(change: Change): Promise<void> {
    const heard = await api<Heard>(path('/changes'), { body: change })
    if (heard.seq > seq.value + 1) await catchUp()
    take(heard.seq, heard.rows)
  }

  /** Sends a change. A clash is put to the person; any other problem is thrown. True when it went through. */
  async function submit(label: string, items: readonly ChangeItem[]): Promise<boolean> {
    const change = changeOf(label, items, false)
    try {
      await send(change)
      return true
    } catch (error) {
      if (!(error instanceof ProblemError) || error.problem.code !== 'clash') throw error
      clash.value = { change, clashes: error.problem.clashes ?? [] }
      return false
    }
  }

  /** As submit, with a problem said beneath the field it came from, or as a message when it came from none. */
  async function attempt(label: string, items: readonly ChangeItem[]): Promise<boolean> {
    const field = fieldNow()
    try {
      return await submit(label, items)
    } catch (error) {
      if (!field?.(sentenceOf(error))) toasts.complain(error)
      return false
    }
  }

  /** What the program writes by itself; when somebody else was first, theirs stands. */
  async function submitQuietly(label: string, items: readonly ChangeItem[]): Promise<void> {
    try {
      await send(changeOf(label, items, true))
    } catch (error) {
      const raced = error instanceof ProblemError && [409, 422].includes(error.status)
      if (!raced) throw error
      await catchUp()
    }
  }

  /** Sends a clashing change again on top of what is there now. */
  async function keepMine(): Promise<void> {
    const open = clash.value
    if (!open) return
    clash.value = null
    await catchUp()
    const version = (item: ChangeItem) =>
      (rows.value[item.entity] as readonly { id: string; version: number }[]).find(
        (row) => row.id === item.id,
      )?.version
    const items = open.change.items.map((item) =>
      item.op === 'create' ? item : { ...item, baseVersion: version(item) ?? item.baseVersion },
    )
    await attempt(open.change.label, items)
  }

  async function keepTheirs(): Promise<void> {
    clash.value = null
    await catchUp()
  }

  /** Closed without a choice: the change waits, to be looked at and sent again. */
  function setClashAside(): void {
    if (clash.value) aside.value = [...aside.value, clash.value]
    clash.value = null
  }

  function takeUpClash(): void {
    const [first, ...others] = aside.value
    if (!first || clash.value) return
    aside.value = others
    clash.value = first
  }

  /** Takes back this device's last change. 'asks': somebody touched it since, and it waits for force. */
  async function undo(force = false): Promise<{ done: string } | { asks: string }> {
    try {
      const body = { changeId: newId(), deviceId: deviceId.value, personId: null, force }
      const heard = await api<Heard>(path('/undo'), { body })
      take(heard.seq, heard.rows)
      return { done: heard.label }
    } catch (error) {
      if (error instanceof ProblemError && error.problem.code === 'touchedSince')
        return { asks: error.message }
      throw error
    }
  }

  return {
    refitId,
    rows,
    seq,
    status,
    connected,
    clash,
    aside,
    refit,
    plan,
    accepted,
    derived,
    open,
    close,
    submit,
    attempt,
    submitQuietly,
    keepMine,
    keepTheirs,
    setClashAside,
    takeUpClash,
    undo,
  }
})
