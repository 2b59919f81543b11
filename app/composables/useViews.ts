import { computed } from 'vue'

/** The views that stand, in the order of the strip; keys count from 1. */
const views = [
  { name: 'Today', path: 'today' },
  { name: 'Walk', path: 'walk' },
  { name: 'Jobs', path: 'jobs', also: ['job/'] },
  { name: 'Sequence', path: 'sequence' },
  { name: 'Stores', path: 'stores', also: ['maker/', 'trade/', 'bins', 'prices', 'parts'] },
  { name: 'Money', path: 'money', also: ['hours'] },
  { name: 'Launch', path: 'launch' },
  { name: 'Log', path: 'log' },
  { name: 'Bench', path: 'bench' },
] as const

export function useViews() {
  const store = useRefitStore()
  const route = useRoute()
  const list = computed(() =>
    views.map((view, index) => ({
      ...view,
      key: String(index + 1),
      to: `/r/${store.refitId}/${view.path}`,
      current: [view.path, ...('also' in view ? view.also : [])].some((path) =>
        route.path.startsWith(`/r/${store.refitId}/${path}`),
      ),
    })),
  )
  return { views: list }
}
