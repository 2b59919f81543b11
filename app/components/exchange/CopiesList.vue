<script setup lang="ts">
import { onMounted, ref } from 'vue'

/** Copies of the database in the data folder, each of which can be put in its place. */
interface Copy {
  readonly name: string
  readonly at: number
  readonly why: string
  readonly bytes: number
}
/** What of them there is, and the one that was due and could not be taken. */
interface Copies {
  readonly copies: readonly Copy[]
  readonly missed: { readonly at: number; readonly message: string } | null
}
const emit = defineEmits<{ back: [] }>()
const found = ref<Copies | null>(null)
const wrong = ref('')
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
// The machine's own time: a copy belongs to the data folder, not to a refit and its yard.
const say = new Intl.DateTimeFormat('en-IE', {
  ...{ weekday: 'short', day: 'numeric', month: 'short', year: 'numeric' },
  ...{ hour: '2-digit', minute: '2-digit' },
})
const size = (bytes: number) => `${(bytes / 1e6).toFixed(1)} MB`
onMounted(async () => {
  try {
    found.value = await api<Copies>('/api/copies')
  } catch (error) {
    wrong.value = sentenceOf(error)
  }
})
async function putBack(copy: Copy) {
  busy.value = true
  wrong.value = ''
  try {
    await api('/api/copies/put-back', { body: { name: copy.name } })
    asked.value = null
    emit('back')
  } catch (error) {
    wrong.value = sentenceOf(error)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <div>
    <p v-if="wrong && !asked" class="text-redlead" role="alert">{{ wrong }}</p>
    <p v-if="found === null && !wrong" class="text-ink2" role="status">Looking for copies…</p>
    <p v-if="found?.missed" class="max-w-prose text-redlead" role="alert">
      The copy that was due on {{ say.format(found.missed.at) }} could not be taken.
      {{ found.missed.message }} It is tried again every hour.
    </p>
    <p v-else-if="found?.copies.length === 0" class="text-ink2">
      There is no copy yet: one is taken at each start and each day.
    </p>
    <ul v-if="found && found.copies.length > 0" class="max-w-xl">
      <li
        v-for="copy in found.copies"
        :key="copy.name"
        class="flex flex-wrap items-center justify-between gap-3 border-b border-rule py-1.5"
      >
        <span
          >{{ say.format(copy.at) }}, {{ reasons[copy.why] ?? copy.why }}
          <span class="text-ink2">{{ size(copy.bytes) }}</span></span
        >
        <button class="btn btn-small" @click="((asked = copy), (wrong = ''))">Put back…</button>
      </li>
    </ul>
    <UiDialog :open="asked !== null" title="Put this copy back" red @close="asked = null">
      <p v-if="asked">
        All refits in this data folder become as they were on {{ say.format(asked.at) }}. What was
        done since is not in it. What is there now is copied first, or set aside if it is damaged.
        Pictures and documents stay.
      </p>
      <p v-if="wrong" class="mt-2 text-redlead" role="alert">{{ wrong }}</p>
      <div class="mt-4 flex flex-wrap gap-3">
        <button class="btn btn-main" :disabled="busy" @click="asked && putBack(asked)">
          Put it back
        </button>
        <button class="btn" @click="asked = null">Leave all as it is</button>
      </div>
    </UiDialog>
  </div>
</template>
