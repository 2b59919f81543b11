import { computed } from 'vue'

/** The views that stand, in the order of the strip, with what each tells; keys count from 1. */
export const allViews = [
  {
    name: 'Today',
    tells: 'what to do with these hands, hours and weather, and by when it is too late',
    path: 'today',
  },
  { name: 'Walk', tells: 'what is wrong with her, where, and how bad', path: 'walk' },
  {
    name: 'Jobs',
    tells: 'all there is to do, what matters most first',
    path: 'jobs',
    also: ['job/'],
  },
  {
    name: 'Sequence',
    tells: 'what comes before what, and what holds the launch',
    path: 'sequence',
  },
  {
    name: 'Stores',
    tells: 'what to buy, and until when',
    path: 'stores',
    also: ['maker/', 'trade/', 'bins', 'prices', 'parts'],
  },
  { name: 'Money', tells: 'what it costs, and how sure that is', path: 'money', also: ['hours'] },
  { name: 'Launch', tells: 'what is still open, and when she can go in', path: 'launch' },
  { name: 'Log', tells: 'what was done, with what, and when to look again', path: 'log' },
  { name: 'Bench', tells: 'holes, cables, cuts and mixes, worked out', path: 'bench' },
] as const

export function useViews() {
  const store = useRefitStore()
  const route = useRoute()
  const list = computed(() =>
    allViews.map((view, index) => ({
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
