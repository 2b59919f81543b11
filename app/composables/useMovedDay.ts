import { ref, shallowRef } from 'vue'
import type { ChangeItem } from '#core/model/changes'
import { dateOf } from '#core/time/civil'
import type { Proposal } from './useProposal'

/** While something is dragged a day is asked about once it has stayed for so long. */
const dragSettleMs = 120
const dateSettleMs = 300

/** What is moved to another day, by its id. */
export interface MovedDay {
  /** What moving it writes down; none: there is nothing of that id. */
  readonly itemsFor: (id: string, day: string) => readonly ChangeItem[]
  readonly words: (id: string, day: string) => Pick<Proposal, 'label' | 'does'>
  /** The day it stands on. */
  readonly dayOf: (id: string) => string
  /** On a later day than now it can only cost: what comes earlier then is none of its doing. */
  readonly laterCosts?: boolean
}

/** Something moved to another day by drag, by key or by date: what it would do as it is moved, then taken or left. */
export function useMovedDay({ itemsFor, words, dayOf, laterCosts = false }: MovedDay) {
  const planner = usePlannerStore()
  const one = useProposal()
  const id = ref<string | null>(null)
  const on = ref<string | null>(null)

  function propose(): void {
    if (id.value === null || !on.value) return
    const items = itemsFor(id.value, on.value)
    if (items.length > 0) void one.propose({ ...words(id.value, on.value), items })
  }
  /** Opens with the day it stands on, or the one given. */
  function open(what: string, day: string | null = null): void {
    id.value = what
    on.value = day ?? dayOf(what)
    propose()
  }
  watchSettled(on, propose, { ms: dateSettleMs })
  function close(): void {
    one.leave()
    id.value = null
  }
  async function accept(): Promise<void> {
    await one.accept()
    if (one.proposal.value === null) id.value = null
  }

  /** On its way along time: what it is, the day under it. */
  const dragged = shallowRef<{ readonly id: string; readonly day: number } | null>(null)
  const said = ref('')
  let run = 0
  watchSettled(
    dragged,
    async () => {
      const mine = ++run
      const now = dragged.value
      if (!now) return
      const items = itemsFor(now.id, dateOf(now.day))
      if (items.length === 0) return
      const answer = await planner.consequence(items).catch((error: unknown) => {
        said.value = sentenceOf(error)
        return null
      })
      const which = laterCosts && dateOf(now.day) > dayOf(now.id) ? 'later' : 'all'
      if (mine === run && answer) said.value = sayMoved(answer, which)
    },
    { ms: dragSettleMs },
  )
  function drag(what: string, day: number): void {
    if (dragged.value?.day === day && dragged.value.id === what) return
    said.value = '…'
    dragged.value = { id: what, day }
  }
  function drop(): void {
    const last = dragged.value
    dragged.value = null
    run++
    if (last) open(last.id, dateOf(last.day))
  }
  function cancelDrag(): void {
    dragged.value = null
    run++
  }
  return { id, on, ...one, open, close, accept, dragged, said, drag, drop, cancelDrag }
}
