<script setup lang="ts">
import { computed } from 'vue'
import type { Step } from '#core/model/entities'
import { sayValue } from '#core/model/sayValue'
import { asUsual, factsSaid, ownFacts } from '#core/plan/factsSaid'

/** What a step does to the boat where it differs from its operation: wet sanding throws no dust. */
const props = defineProps<{ step: Step }>()
const store = useRefitStore()
const said = computed(() => factsSaid(props.step))
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
        v-for="fact in ownFacts"
        :key="fact"
        :field="fact"
        :none="asUsual(step.operation, fact)"
      />
      <RowField
        field="splittable"
        label="May be left half done"
        :none="asUsual(step.operation, 'splittable')"
      />
    </div>
  </details>
</template>
