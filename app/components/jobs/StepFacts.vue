<script setup lang="ts">
import { computed } from 'vue'
import type { Step } from '#core/model/entities'
import { sayValue } from '#core/model/sayValue'
import { usualFacts } from '#core/plan/facts'
import { factsSaid, ownFacts } from '#core/plan/factsSaid'

/** What a step does to the boat where it differs from its operation: wet sanding throws no dust. */
const props = defineProps<{ step: Step }>()
const store = useRefitStore()
const usual = computed(() => usualFacts(props.step.operation))
const said = computed(() => {
  const { splittable } = props.step
  if (splittable === null || splittable !== usual.value.inOneGo) return factsSaid(props.step)
  return [...factsSaid(props.step), splittable ? 'may be left half done' : 'in one go']
})
const fields = computed(() => [
  ...ownFacts.map((field) => ({ field, label: undefined, usually: usual.value[field] })),
  {
    field: 'splittable' as const,
    label: 'May be left half done',
    usually: !usual.value.inOneGo,
  },
])
const operation = computed(() =>
  sayValue('step', 'operation', props.step.operation, store.rows).toLowerCase(),
)
</script>

<template>
  <details>
    <summary class="cond">
      Dust, wet, open, in one go<template v-if="said.length > 0">
        · {{ said.join(' · ') }}</template
      >
    </summary>
    <p class="mt-2 max-w-prose text-ink2">
      The plan goes by what work of the kind “{{ operation }}” does as a rule. Say where this step
      is different: sanded wet it throws no dust, a glued joint is wet, a panel off inside leaves
      nothing open.
    </p>
    <div class="mt-2 grid grid-cols-2 gap-3 lg:grid-cols-3">
      <RowField
        v-for="one in fields"
        :key="one.field"
        :field="one.field"
        :label="one.label"
        :none="`As usual: ${one.usually ? 'yes' : 'no'}`"
      />
    </div>
  </details>
</template>
