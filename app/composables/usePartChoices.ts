import { computed } from 'vue'
import { inOrder } from '#core/model/refit'

/** Lists to pick from where parts and orders point to other rows. */
export function usePartChoices() {
  const store = useRefitStore()
  const byName = (a: { readonly label: string }, b: { readonly label: string }) =>
    a.label.localeCompare(b.label, 'en', { numeric: true })
  const suppliers = computed(() =>
    store.rows.supplier.map((one) => ({ value: one.id, label: one.name })).sort(byName),
  )
  const jobs = computed(() =>
    store.rows.job
      .filter((one) => one.decision === 'plan')
      .map((one) => ({ value: one.id, label: one.title }))
      .sort(byName),
  )
  const stepsOf = (jobId: string | null) =>
    inOrder(store.rows.step.filter((one) => one.jobId === jobId && one.state !== 'dropped')).map(
      (one) => ({ value: one.id, label: one.title }),
    )
  return { suppliers, jobs, stepsOf }
}
