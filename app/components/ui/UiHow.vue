<script setup lang="ts">
import { ref, shallowRef } from 'vue'
import type { How } from '#core/how/how'

/**
 * A computed figure that opens: press it and see how it came about. Worked out when it is pressed. `about` is read
 * after the figure where it does not say by itself what it is of.
 */
const props = defineProps<{ how: () => How | null; about?: string }>()
const open = ref(false)
const shown = shallowRef<How | null>(null)
function show() {
  shown.value = props.how()
  open.value = shown.value !== null
}
</script>

<template>
  <span>
    <button type="button" class="how" @click.stop.prevent="show">
      <slot /><span class="sr-only">{{ about ? `, ${about}` : '' }}: how</span>
    </button>
    <UiDialog :open="open" :title="shown?.title ?? ''" @close="open = false">
      <div v-if="shown" class="grid gap-4">
        <p class="cond text-3xl leading-tight">{{ shown.result }}</p>
        <dl v-if="shown.inputs.length > 0" class="grid grid-cols-[1fr_auto]">
          <template v-for="one in shown.inputs" :key="one.name">
            <dt class="border-b border-rule2 py-1 pr-4 leading-7">{{ one.name }}</dt>
            <dd class="cond border-b border-rule2 py-1 text-right text-lg">{{ one.value }}</dd>
          </template>
        </dl>
        <ol class="grid gap-1">
          <li v-for="line in shown.working" :key="line">{{ line }}</li>
        </ol>
        <p><span class="cond">Where it comes from</span> {{ shown.source }}</p>
        <p class="border-l-4 border-brass pl-3">
          <span class="cond">What to distrust</span> {{ shown.distrust }}
        </p>
      </div>
    </UiDialog>
  </span>
</template>
