import { ref, shallowRef, watch } from 'vue'
import type { ChangeItem } from '#core/model/changes'
import type { Consequence } from '~/workers/plannerQuestions'

/** Something that could be done, to be looked at beside the plan that stands. */
export interface Proposal {
  readonly label: string
  /** What doing it writes down. */
  readonly does: string
  readonly items: readonly ChangeItem[]
}

/** One change beside the plan that stands: planned with, then taken with that very plan, or left. */
export function useProposal() {
  const planner = usePlannerStore()
  const toasts = useToastStore()
  const { undo } = useUndo()
  const proposal = shallowRef<Proposal | null>(null)
  const consequence = shallowRef<Consequence | null>(null)
  const progress = ref(0)
  const failed = ref('')
  const taking = ref(false)
  /** Something else was changed while it was looked at: what it would do is worked out anew. */
  const isAnew = ref(false)
  let run = 0

  /** Asks what it would do; a newer one takes its place. `known`: it was worked out already. */
  async function propose(one: Proposal, known: Consequence | null = null): Promise<void> {
    isAnew.value = false
    await ask(one, known)
  }
  async function ask(one: Proposal, known: Consequence | null): Promise<void> {
    const mine = ++run
    proposal.value = one
    consequence.value = known
    failed.value = ''
    progress.value = 0
    if (known) return
    try {
      const answer = await planner.consequence(one.items, (share) => {
        if (mine === run) progress.value = share
      })
      if (mine !== run) return
      consequence.value = answer
      if (!answer) failed.value = 'Something else was asked meanwhile. Ask again.'
    } catch (error) {
      if (mine === run) failed.value = sentenceOf(error)
    }
  }
  // What was promised holds for the refit it was asked of: a lever taken in another window may leave nothing of it.
  watch(
    () => planner.hash,
    () => {
      const one = proposal.value
      if (!one || taking.value) return
      isAnew.value = true
      void ask(one, null)
    },
  )
  function leave(): void {
    run++
    proposal.value = null
  }
  async function accept(): Promise<void> {
    const one = proposal.value
    if (!one || taking.value) return
    taking.value = true
    try {
      if (!(await planner.take(one.label, one.items))) return
      toasts.say(`Done: ${one.label}.`, false, { label: 'Undo', run: undo })
      leave()
    } finally {
      taking.value = false
    }
  }
  return { proposal, consequence, progress, failed, taking, isAnew, propose, leave, accept }
}
