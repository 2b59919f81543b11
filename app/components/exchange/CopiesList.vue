<script setup lang="ts">
import { onMounted, ref } from 'vue'

import type { Copy } from '~/stores/copies'

/** Copies of the database in the data folder, each of which can be put in its place. */
const emit = defineEmits<{ back: [] }>()
const known = useCopiesStore()
/** Why the last one could not be put back. */
const refused = ref('')
const asked = ref<Copy | null>(null)
const busy = ref(false)
const reasons: Readonly<Record<string, string>> = {
  daily: 'of the day',
  start: 'at a start',
  'before-migration': 'before an update',
  'before-remove': 'before a refit was removed',
  'before-replace': 'before a refit was replaced',
  'before-putting-back': 'before another copy was put back',
}
const size = (bytes: number) => `${(bytes / 1e6).toFixed(1)} MB`
onMounted(known.ask)
async function putBack(copy: Copy) {
  busy.value = true
  refused.value = ''
  try {
    await api('/api/copies/put-back', { body: { name: copy.name } })
    asked.value = null
    void known.ask()
    emit('back')
  } catch (error) {
    refused.value = sentenceOf(error)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <div>
    <p v-if="known.wrong" class="text-redlead" role="alert">{{ known.wrong }}</p>
    <p v-else-if="known.found === null" class="text-ink2" role="status">Looking for copies…</p>
    <p v-if="known.found?.missed" class="max-w-prose text-redlead" role="alert">
      The copy that was due on {{ sayCopied(known.found.missed.at) }} could not be taken.
      {{ known.found.missed.message }} It is tried again every hour.
    </p>
    <p v-else-if="known.found?.copies.length === 0" class="text-ink2">
      There is no copy yet: one is taken at each start and each day.
    </p>
    <ul v-if="known.found && known.found.copies.length > 0" class="max-w-xl">
      <li
        v-for="copy in known.found.copies"
        :key="copy.name"
        class="flex flex-wrap items-center justify-between gap-3 border-b border-rule py-1.5"
      >
        <span
          >{{ sayCopied(copy.at) }}, {{ reasons[copy.why] ?? copy.why }}
          <span class="text-ink2">{{ size(copy.bytes) }}</span></span
        >
        <button class="btn btn-small" @click="((asked = copy), (refused = ''))">Put back…</button>
      </li>
    </ul>
    <UiDialog :open="asked !== null" title="Put this copy back" red @close="asked = null">
      <p v-if="asked">
        All refits in this data folder become as they were on {{ sayCopied(asked.at) }}. What was
        done since is not in it. What is there now is copied first, or set aside if it is damaged.
        Pictures and documents stay.
      </p>
      <p v-if="refused" class="mt-2 text-redlead" role="alert">{{ refused }}</p>
      <div class="mt-4 flex flex-wrap gap-3">
        <button class="btn btn-main" :disabled="busy" @click="asked && putBack(asked)">
          Put it back
        </button>
        <button class="btn" @click="asked = null">Leave all as it is</button>
      </div>
    </UiDialog>
  </div>
</template>
