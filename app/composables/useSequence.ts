import { computed } from 'vue'
import type { Ref } from 'vue'
import { bindingChain } from '#core/plan/chain'
import { sayGate } from '#core/progress/gateWords'
import { sequenceFacts } from '#core/sequence/facts'
import { startOfDate } from '#core/time/zone'

/** What every drawing of the sequence shows: the gate asked about, its chain, and the facts they are drawn from. */
export function useSequence(chosenGate: Ref<string | null>) {
  const store = useRefitStore()
  const gate = computed(
    () =>
      store.derived.gates.find((one) => one.gate.id === chosenGate.value) ??
      store.derived.launch ??
      store.derived.gates[0] ??
      null,
  )
  const said = computed(() => (gate.value ? sayGate(gate.value, store.derived) : null))
  const links = computed(() =>
    store.accepted && gate.value
      ? bindingChain(
          store.accepted,
          store.rows,
          gate.value.gate.id,
          store.derived.clock,
          said.value?.standing === 'notBefore',
        )
      : [],
  )
  // From minute to minute nothing of it changes.
  const today = computed(() => startOfDate(store.zone, store.derived.today))
  const facts = computed(() =>
    sequenceFacts(store.rows, store.accepted, store.zone, store.waits, today.value),
  )
  return { gate, said, links, facts }
}
