<script setup lang="ts">
import { ref } from 'vue'

/** A tick with its words. */
const model = defineModel<boolean>({ default: false })
defineProps<{ label: string }>()
const box = ref<HTMLInputElement | null>(null)
const { refusal, put } = useRefusal(() => {
  if (box.value) box.value.checked = model.value
})
const take = (event: Event) => put(() => (model.value = (event.target as HTMLInputElement).checked))
</script>

<template>
  <div>
    <label class="inline-flex min-h-9 items-center gap-2 max-sm:min-h-11">
      <input
        ref="box"
        :checked="model"
        type="checkbox"
        class="size-5 shrink-0 accent-(--verdigris)"
        @change="take"
      />
      <span>{{ label }}</span>
    </label>
    <p v-if="refusal" class="text-redlead" role="alert">{{ refusal }}</p>
  </div>
</template>
