import { calibrated } from '#core/forecast/calibration'
import { defineStore } from 'pinia'
import { computed, onScopeDispose, shallowRef } from 'vue'
import type { Change, ChangeItem, Clash } from '#core/model/changes'
import type { EntityName, Row } from '#core/model/entities'
import type { RefitRows } from '#core/model/refit'
import { acceptedPlan } from '#core/model/stored'
import { Waits } from '#core/plan/waits'
import { derive } from '#core/progress/derive'
import { zoneClock } from '#core/time/zone'
import { browserPorts } from '~/sync/browserPorts'
import { SyncMachine } from '~/sync/machine'
import { differences, onTheirs, rebased, withWaiting } from '~/sync/outbox'
import type { Ports } from '~/sync/ports'
import type { Refusing } from '~/utils/fromField'

/** A change that met somebody else's, waiting for a choice. */
export interface OpenClash {
  readonly change: Change
  readonly clashes: readonly Clash[]
  /** The refit was brought in anew meanwhile: versions of before mean nothing any more. */
  readonly otherLife: boolean
}

/** The whole refit in memory, kept in step by the sync machine, changed through the one door. */
export const useRefitStore = defineStore('refit', () => {
  const time = useTimeStore()
  const toasts = useToastStore()
  const { deviceId, whoAt } = useDevice()
  const clash = shallowRef<OpenClash | null>(null)
  const aside = shallowRef<readonly OpenClash[]>([])
  // No rows before the server's clock: without it a plan would begin on another day.
  const ports: Ports = {
    ...browserPorts,
    readWhole: async (id, signal) => {
      const [whole] = await Promise.all([browserPorts.readWhole(id, signal), time.start()])
      return whole
    },
  }
  const machine = new SyncMachine(ports, (next) => (state.value = next), refusedLater)
  const state = shallowRef(machine.state)

  const refitId = computed(() => state.value.refitId)
  /** Hours that were guessed count by what such work really takes, where that is switched on. */
  const rows = computed(() => calibrated(state.value.rows))
  const seq = computed(() => state.value.seq)
  const status = computed(() => state.value.phase)
  const connected = computed(() => state.value.connected)
  /** What was changed last was changed in another window. */
  const isTheirs = computed(() => state.value.isTheirs)
  const waiting = computed(() => state.value.waiting)
  const kept = computed(() => state.value.kept)
  const trouble = computed(() => state.value.trouble)
  const refit = computed(() => rows.value.refit[0] ?? null)
  const plan = computed(() => rows.value.plan[0] ?? null)
  /** The plan that views read: accepted, and of this make. */
  const accepted = computed(() => acceptedPlan(rows.value))
  const derived = computed(() => derive(rows.value, accepted.value, time.minute))
  const zone = computed(() => zoneClock(refit.value?.zone ?? 'UTC'))
  /** The one weather, and when waits are over by it: the plan and every view read the same. */
  const waits = computed(() => new Waits(rows.value, zone.value))

  async function open(id: string): Promise<void> {
    close()
    await machine.open(id)
  }

  function close(): void {
    machine.close()
    clash.value = null
    aside.value = []
  }

  onScopeDispose(close)

  /** Who said they are at this device; '': nobody, or nobody who is still with this refit. */
  const me = computed({
    get: () => {
      const id = whoAt.value[refitId.value] ?? ''
      return rows.value.person.some((one) => one.id === id && !one.gone) ? id : ''
    },
    set: (id: string) => {
      whoAt.value = { ...whoAt.value, [refitId.value]: id }
    },
  })
  const who = () => (me.value === '' ? null : me.value)
  const changeOf = (label: string, items: readonly ChangeItem[], quiet: boolean): Change => ({
    changeId: newId(),
    deviceId: deviceId.value,
    personId: who(),
    label,
    quiet,
    items,
  })

  /** What somebody has to decide before it can be sent again; null: nothing of the kind. */
  function clashOf(change: Change, error: unknown): OpenClash | null {
    if (!(error instanceof ProblemError)) return null
    const { code, clashes } = error.problem
    if (code === 'clash') return { change, clashes: clashes ?? [], otherLife: false }
    if (code !== 'otherLife') return null
    return { change, clashes: differences(change, rows.value), otherLife: true }
  }

  /** The fields from which changes came that wait. */
  const fieldsOfWaiting = new Map<string, Refusing>()

  /**
   * A change that waited is refused long after it was typed: it is set aside to be decided, or said; at its field,
   * when that is still on the screen.
   */
  function refusedLater(change: Change, error: unknown): void {
    const field = fieldsOfWaiting.get(change.changeId)
    const open = clashOf(change, error)
    if (open) aside.value = [...aside.value, open]
    else if (!field?.(sentenceOf(error)))
      toasts.say(`Not saved: “${change.label}”. ${sentenceOf(error)}`, true)
  }

  const underWay = new Set<Promise<unknown>>()

  /**
   * Sends a change. A clash is put to the person; any other problem is thrown. True when it went through, or
   * waits here to be sent when the program answers again.
   */
  async function submit(label: string, items: readonly ChangeItem[]): Promise<boolean> {
    const field = fieldNow()
    const change = changeOf(label, items, false)
    const sent = machine.send(change)
    underWay.add(sent)
    try {
      if ((await sent) === 'waits' && field) {
        const still = new Set(waiting.value.map((one) => one.changeId))
        for (const id of fieldsOfWaiting.keys()) if (!still.has(id)) fieldsOfWaiting.delete(id)
        fieldsOfWaiting.set(change.changeId, field)
      }
      return true
    } catch (error) {
      const open = clashOf(change, error)
      if (!open) throw error
      if (clash.value) aside.value = [...aside.value, open]
      else clash.value = open
      return false
    } finally {
      underWay.delete(sent)
    }
  }

  /** Rows as they will be when all that this window asked for has gone through: what a next tick of a list builds on. */
  const asked = computed((): RefitRows => withWaiting(rows.value, waiting.value))

  /** One row of these; the row itself where nothing was asked for. */
  const askedRow = <Name extends EntityName>(entity: Name, row: Row<Name>): Row<Name> =>
    waiting.value.length === 0
      ? row
      : ((asked.value[entity] as readonly Row<Name>[]).find((one) => one.id === row.id) ?? row)

  /** When nothing typed here is on its way any more: what is made of rows then has what was just chosen. */
  async function settled(): Promise<void> {
    await Promise.allSettled(underWay)
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
  const submitQuietly = (label: string, items: readonly ChangeItem[]): Promise<void> =>
    machine.sendQuietly(changeOf(label, items, true))

  /** Sends a clashing change again on top of what was shown as theirs; what is newer is asked about again. */
  async function keepMine(): Promise<void> {
    const open = clash.value
    if (!open) return
    clash.value = null
    const { change, clashes, otherLife } = open
    if (otherLife) await machine.catchUp()
    const mine = otherLife ? rebased(change.items, rows.value) : onTheirs(change.items, clashes)
    await attempt(change.label, mine)
  }

  async function keepTheirs(): Promise<void> {
    clash.value = null
    await machine.catchUp()
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
      return {
        done: await machine.undo({ deviceId: deviceId.value, personId: who(), force }),
      }
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
    isTheirs,
    waiting,
    kept,
    trouble,
    clash,
    aside,
    refit,
    me,
    plan,
    accepted,
    derived,
    zone,
    waits,
    open,
    close,
    submit,
    attempt,
    asked,
    askedRow,
    settled,
    submitQuietly,
    keepMine,
    keepTheirs,
    setClashAside,
    takeUpClash,
    undo,
  }
})
