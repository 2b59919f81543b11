import { computed, onScopeDispose } from 'vue'

/** By when what is open has to be decided. It is worked out only while a view asks for it so. */
export function useDecideBy() {
  const planner = usePlannerStore()
  onScopeDispose(planner.lookAtDecideBy())
  return computed(() => planner.decideBy)
}
