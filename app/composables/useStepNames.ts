import { computed } from 'vue'
import { byId } from '#core/model/refit'
import { isOpen } from '#core/plan/planned'

/** Steps by name with their job, for pickers and messages; open ones first. */
export function useStepNames() {
  const store = useRefitStore()
  const jobs = computed(() => byId(store.rows.job))
  const steps = computed(() => byId(store.rows.step))
  const nameOf = (stepId: string): string => {
    const step = steps.value.get(stepId)
    return step
      ? `${step.title} · ${jobs.value.get(step.jobId)?.title ?? ''}`
      : 'A step that was removed'
  }
  const options = computed(() =>
    [...store.rows.step]
      .filter((step) => step.state !== 'dropped')
      .sort((a, b) => Number(isOpen(b)) - Number(isOpen(a)))
      .map((step) => ({ id: step.id, name: nameOf(step.id) })),
  )
  return { options, nameOf }
}
