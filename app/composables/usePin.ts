import { computed } from 'vue'
import { patchOf } from '#core/model/removal'

/** A step pinned to a day by drag, by key or by date: what it would do as it is moved, taken or released. */
export function usePin() {
  const store = useRefitStore()
  const toasts = useToastStore()
  const { sayDay } = useDates()
  const { undo } = useUndo()
  const stepOf = (id: string | null) => store.rows.step.find((row) => row.id === id) ?? null
  const moved = useMovedDay({
    itemsFor: (id, day) => {
      const row = stepOf(id)
      return row ? [patchOf('step', row, { pinnedOn: day })] : []
    },
    words: (id, day) => ({
      label: `“${stepOf(id)?.title ?? ''}” pinned to ${sayDay(day)}`,
      does: 'It begins on that day; where others have its people then, they give way. Where it cannot begin on it, the plan says so.',
    }),
    // It is pinned to, else planned for.
    dayOf: (id) => {
      const at = store.accepted?.placements.find((row) => row.stepId === id)?.segments[0]?.[0]
      const planned = at === undefined ? null : store.zone.dateOf(at)
      return stepOf(id)?.pinnedOn ?? planned ?? store.derived.today
    },
  })
  const step = computed(() => stepOf(moved.id.value))
  async function release(id: string): Promise<void> {
    const row = stepOf(id)
    if (!row || row.pinnedOn === null) return
    moved.close()
    // Planned as after any change: where this is as it was before, so is the plan.
    if (await store.attempt('Pin released', [patchOf('step', row, { pinnedOn: null })]))
      toasts.say(`Released: ${row.title}.`, false, { label: 'Undo', run: undo })
  }
  return { ...moved, step, release }
}
