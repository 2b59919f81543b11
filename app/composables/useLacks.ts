import { onScopeDispose, ref, watch } from 'vue'
import type { Ref } from 'vue'
import { withoutToday } from '#core/today/lacks'

/** Nobody waits for it: it is asked when the day has stood still for so long, ms. */
const settleMs = 2000
/** Each is a plan of its own. */
const mostAsked = 6

/** What the lack of things does to the gates, by step; asked one after the other, and never before anybody's own question. */
export function useLacks(stepIds: Ref<readonly string[]>, on: Ref<string>) {
  const store = useRefitStore()
  const planner = usePlannerStore()
  const said = ref<ReadonlyMap<string, string>>(new Map())
  let timer: ReturnType<typeof setTimeout> | null = null
  let run = 0
  const soon = () => {
    if (timer) clearTimeout(timer)
    timer = setTimeout(() => void askAll(++run), settleMs)
  }
  async function askAll(mine: number): Promise<void> {
    if (planner.stale || planner.busy || !store.accepted) return soon()
    for (const id of stepIds.value.slice(0, mostAsked)) {
      const step = store.rows.step.find((one) => one.id === id)
      if (!step || said.value.has(id)) continue
      const answer = await planner.lack([withoutToday(step, on.value)])
      if (mine !== run) return
      if (answer === null) return soon()
      said.value = new Map([...said.value, [id, answer]])
    }
  }
  /** Another plan or day: nothing of what was said holds. */
  watch([() => store.plan?.inputsHash, on], () => {
    said.value = new Map()
    run++
    soon()
  })
  watch(() => stepIds.value.join(), soon, { immediate: true })
  onScopeDispose(() => {
    run++
    if (timer) clearTimeout(timer)
  })
  return said
}
