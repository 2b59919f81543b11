import { computed, ref, shallowRef } from 'vue'
import { patchOf } from '#core/model/removal'
import { dateOf } from '#core/time/civil'

/** While a board is dragged a day is asked about once it has stayed for so long. */
const dragSettleMs = 120
const dateSettleMs = 300

/** A step pinned to a day by drag, by key or by date: what it would do as it is moved, taken or released. */
export function usePin() {
  const store = useRefitStore()
  const planner = usePlannerStore()
  const toasts = useToastStore()
  const { sayDay } = useDates()
  const { undo } = useUndo()
  const one = useProposal()
  const stepId = ref<string | null>(null)
  const on = ref<string | null>(null)
  const step = computed(() => store.rows.step.find((row) => row.id === stepId.value) ?? null)
  const itemsFor = (day: string | null) =>
    step.value ? [patchOf('step', step.value, { pinnedOn: day })] : []

  function propose(): void {
    if (!step.value || !on.value) return
    void one.propose({
      label: `“${step.value.title}” pinned to ${sayDay(on.value)}`,
      does: 'It is wanted on that day, and has its people then before all else. Where it cannot begin on it, the plan says so.',
      items: itemsFor(on.value),
    })
  }
  /** Opens with the day it is pinned to, else planned for, else the one given. */
  function open(id: string, day: string | null = null): void {
    stepId.value = id
    const at = store.accepted?.placements.find((row) => row.stepId === id)?.segments[0]?.[0]
    const planned = at === undefined ? null : store.zone.dateOf(at)
    on.value = day ?? step.value?.pinnedOn ?? planned ?? store.derived.today
    propose()
  }
  watchSettled(on, propose, { ms: dateSettleMs })
  function close(): void {
    one.leave()
    stepId.value = null
  }
  async function accept(): Promise<void> {
    await one.accept()
    if (one.proposal.value === null) stepId.value = null
  }
  async function release(id: string): Promise<void> {
    const row = store.rows.step.find((each) => each.id === id)
    if (!row || row.pinnedOn === null) return
    close()
    // Planned as after any change: where this is as it was before, so is the plan.
    if (await store.attempt('Pin released', [patchOf('step', row, { pinnedOn: null })]))
      toasts.say(`Released: ${row.title}.`, false, { label: 'Undo', run: undo })
  }

  /** A board on its way along time: the step it pins, the day under it. */
  const dragged = shallowRef<{ readonly stepId: string; readonly day: number } | null>(null)
  const said = ref('')
  let run = 0
  watchSettled(
    dragged,
    async () => {
      const mine = ++run
      const now = dragged.value
      if (!now) return
      const row = store.rows.step.find((each) => each.id === now.stepId)
      if (!row) return
      const items = [patchOf('step', row, { pinnedOn: dateOf(now.day) })]
      const answer = await planner.consequence(items).catch((error: unknown) => {
        said.value = sentenceOf(error)
        return null
      })
      if (mine !== run || !answer) return
      const moved = answer.effects.filter((effect) => effect.days !== 0)
      said.value =
        answer.leftOut !== ''
          ? 'cannot be planned there'
          : moved.length === 0
            ? 'no gate moves'
            : moved
                .slice(0, 2)
                .map(({ gate, days }) =>
                  days === null
                    ? `${gate.name} loses its date`
                    : `${gate.name} ${Math.abs(days)} d ${days > 0 ? 'later' : 'earlier'}`,
                )
                .join(', ')
    },
    { ms: dragSettleMs },
  )
  function drag(id: string, day: number): void {
    if (dragged.value?.day === day && dragged.value.stepId === id) return
    said.value = '…'
    dragged.value = { stepId: id, day }
  }
  function drop(): void {
    const last = dragged.value
    dragged.value = null
    run++
    if (last) open(last.stepId, dateOf(last.day))
  }
  function cancelDrag(): void {
    dragged.value = null
    run++
  }
  return {
    step,
    on,
    ...one,
    open,
    close,
    accept,
    release,
    dragged,
    said,
    drag,
    drop,
    cancelDrag,
  }
}
