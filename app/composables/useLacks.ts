import { onScopeDispose, ref, watch } from 'vue'
import type { Ref } from 'vue'
import type { ChangeItem } from '#core/model/changes'

/** Nobody waits for it: it is asked when the day has stood still for so long, ms. */
const settleMs = 2000
/** Each is a plan of its own. */
const mostAsked = 6

/** Something that may go wrong, as the changes it would be. */
export interface Lack {
  readonly key: string
  readonly items: readonly ChangeItem[]
}

/**
 * What things that go wrong would do to the gates, by their keys; asked one after the other, and never before anybody's
 * own question. A key stands for the same lack for as long as the plan is the same.
 */
export function useLacks(lacks: Ref<readonly Lack[]>) {
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
    for (const { key, items } of lacks.value.slice(0, mostAsked)) {
      if (said.value.has(key)) continue
      const answer = await planner.lack(items)
      if (mine !== run) return
      if (answer === null) return soon()
      said.value = new Map([...said.value, [key, answer]])
    }
  }
  /** Another plan: nothing of what was said holds. */
  watch(
    () => store.plan?.inputsHash,
    () => {
      said.value = new Map()
      run++
      soon()
    },
  )
  watch(() => lacks.value.map((one) => one.key).join(), soon, { immediate: true })
  onScopeDispose(() => {
    run++
    if (timer) clearTimeout(timer)
  })
  return said
}
