<script setup lang="ts">
import { computed } from 'vue'
import type { Step } from '#core/model/entities'
import { sayValue } from '#core/model/sayValue'
import { usualFacts } from '#core/plan/facts'

/** What a step does to the boat where it differs from its operation: wet sanding throws no dust. */
const props = defineProps<{ step: Step }>()
const store = useRefitStore()
const usual = computed(() => usualFacts(props.step.operation))
const facts = computed(() => [
  {
    field: 'dusty' as const,
    usually: usual.value.dusty,
    yes: 'throws dust',
    no: 'throws no dust',
  },
  { field: 'wet' as const, usually: usual.value.wet, yes: 'wet', no: 'not wet' },
  { field: 'opens' as const, usually: usual.value.opens, yes: 'leaves her open', no: 'opens nothing' },
  {
    field: 'closes' as const,
    usually: usual.value.closes,
    yes: 'closes what is open',
    no: 'closes nothing',
  },
  {
    field: 'splittable' as const,
    usually: !usual.value.inOneGo,
    yes: 'may be left half done',
    no: 'in one go',
  },
])
const own = computed(() =>
  facts.value
    .filter(({ field, usually }) => props.step[field] !== null && props.step[field] !== usually)
    .map(({ field, yes, no }) => (props.step[field] ? yes : no)),
)
const asUsual = (usually: boolean) => `As usual: ${usually ? 'yes' : 'no'}`
</script>

<template>
  <details>
    <summary class="cond">
      Dust, wet, open, in one go<template v-if="own.length > 0"> · {{ own.join(' · ') }}</template>
    </summary>
    <p class="mt-2 max-w-prose text-ink2">
      What “{{ sayValue('step', 'operation', step.operation, store.rows) }}” does as a rule, the plan goes by. Say where this
      step is different: wet sanding throws no dust, a glued joint is wet.
    </p>
    <div class="mt-2 grid grid-cols-2 gap-3 lg:grid-cols-3">
      <RowField
        v-for="one in facts"
        :key="one.field"
        :field="one.field"
        :none="asUsual(one.usually)"
      />
    </div>
  </details>
</template>
