import { ref, shallowRef } from 'vue'
import type { Afresh } from '~/workers/plannerQuestions'

/** The whole planned anew beside the plan people know, which is kept while it is good enough: what keeping it costs. */
export function useAfresh() {
  const planner = usePlannerStore()
  const toasts = useToastStore()
  const open = ref(false)
  const found = shallowRef<Afresh | null>(null)
  const progress = ref(0)
  const failed = ref('')
  let madeFor = ''
  let run = 0
  const does =
    'After each change the plan people know is kept as far as it goes. Here it is planned as if none had been known: the difference is what keeping it costs.'

  async function ask(): Promise<void> {
    const mine = ++run
    open.value = true
    found.value = null
    failed.value = ''
    progress.value = 0
    madeFor = planner.hash
    try {
      const answer = await planner.afresh((share) => {
        if (mine === run) progress.value = share
      })
      if (mine !== run) return
      found.value = answer
      if (!answer) failed.value = 'Something else was asked meanwhile. Ask again.'
    } catch (error) {
      if (mine === run) failed.value = sentenceOf(error)
    }
  }
  function leave(): void {
    run++
    open.value = false
  }
  async function accept(): Promise<void> {
    if (!found.value) return
    if (await planner.takeAfresh(found.value, madeFor)) {
      toasts.say('The new plan is the plan now.')
      leave()
    } else failed.value = 'Something changed since it was planned. Plan it afresh again.'
  }
  return { open, does, found, progress, failed, ask, leave, accept }
}
