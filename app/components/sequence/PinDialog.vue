<script setup lang="ts">
import type { usePin } from '~/composables/usePin'

/** A step pinned to a day, beside the plan that stands. */
const props = defineProps<{ pins: ReturnType<typeof usePin> }>()
// There are the same ones for as long as the view is.
const { on } = props.pins
</script>

<template>
  <ProposalDialog :of="pins" take="Pin it" @close="pins.close" @take="pins.accept">
    <div class="mt-3 flex flex-wrap items-end gap-3">
      <UiDate v-model="on" label="It begins on" class="w-56" />
      <button
        v-if="pins.step.value?.pinnedOn"
        class="btn"
        @click="pins.release(pins.step.value.id)"
      >
        Release it
      </button>
    </div>
  </ProposalDialog>
</template>
