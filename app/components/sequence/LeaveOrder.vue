<script setup lang="ts">
import { ref, watch } from 'vue'
import type { OutOfOrder } from '#core/order/rule'

/** Asks why something out of order may stay as it is, and writes that down. */
const found = defineModel<OutOfOrder | null>({ required: true })
const { letBe } = useOrderKept()
const because = ref('')
const said = ref('')
watch(found, () => {
  because.value = ''
  said.value = ''
})
// The field shows it again when it is left, and the buttons below would move away.
watch(because, () => (said.value = ''))
async function leave() {
  if (!found.value) return
  if (because.value.trim() === '') {
    said.value = 'Say why it may stay as it is.'
    return
  }
  if (await letBe(found.value, because.value.trim())) found.value = null
}
</script>

<template>
  <UiDialog :open="found !== null" title="Leave it as it is" @close="found = null">
    <p>{{ found?.sentence }}</p>
    <UiText v-model="because" class="mt-3" label="Why it may stay" :error="said" />
    <p class="mt-2 text-ink2">It comes back when something it rests on changes.</p>
    <div class="mt-4 flex gap-3">
      <button class="btn btn-main" @click="leave">Leave it</button>
      <button class="btn" @click="found = null">Cancel</button>
    </div>
  </UiDialog>
</template>
