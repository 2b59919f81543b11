<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { inOrder } from '#core/model/refit'

/** The boat's book: which of it, for whom, on paper or as text with pictures. */
const props = defineProps<{ open: boolean }>()
const emit = defineEmits<{ close: [] }>()
const store = useRefitStore()
const book = useBookPrint()
const which = ref<string | null>('')
const copy = ref<string | null>('own')
const copies = [
  { value: 'own', label: 'Ourselves' },
  { value: 'others', label: 'A buyer or surveyor' },
] as const
/** Only systems that have a sheet make a book. */
const choices = computed(() => [
  { value: '', label: 'The whole boat' },
  ...inOrder(store.rows.system)
    .filter((one) => store.rows.asBuiltSheet.some((sheet) => sheet.systemId === one.id))
    .map((one) => ({ value: one.id, label: one.name })),
])
const query = computed(() => {
  const asked = new URLSearchParams()
  if (which.value) asked.set('system', which.value)
  if (copy.value === 'others') asked.set('copy', 'others')
  return asked.size > 0 ? `?${asked}` : ''
})
const fileName = computed(
  () => `${(store.refit?.boatName ?? 'boat').replace(/[^\w-]+/g, '-').toLowerCase()}-book.pdf`,
)
const { isOnlyHere } = usePageAddress()
const busy = computed(() => book.printing.value !== null)
watch(
  () => props.open,
  (open) => {
    if (!open) book.stop()
  },
)
</script>

<template>
  <UiDialog :open="open" title="The boat’s book" @close="emit('close')">
    <form class="grid gap-3" @submit.prevent="book.print(query, fileName)">
      <fieldset class="grid gap-3 sm:grid-cols-2" :disabled="busy">
        <legend class="sr-only">Which book</legend>
        <UiSelect v-model="which" label="Which of it" :options="choices" />
        <UiSelect v-model="copy" label="For" :options="copies" />
      </fieldset>
      <p v-if="copy === 'others'">
        Left out: lines of who did it and what it cost, and the names of your people wherever they
        were typed. Sums typed by hand stay: read it before you hand it over.
      </p>
      <p v-else-if="isOnlyHere" class="text-ink2">
        The codes on the sheets open them in this program, on this computer. Elsewhere they lead
        nowhere.
      </p>
      <div class="flex min-h-11 flex-wrap items-center gap-2" aria-live="polite">
        <template v-if="busy">
          <progress class="w-40" :value="book.share.value" max="1" aria-label="How far it is" />
          <span class="tabular-nums">{{ book.said.value }}</span>
          <button type="button" class="btn btn-small" @click="book.stop()">Stop</button>
        </template>
        <template v-else>
          <button class="btn btn-main">On paper (PDF)</button>
          <a class="btn" :href="`/api/refits/${store.refitId}/book.zip${query}`" download
            >As text with pictures</a
          >
        </template>
      </div>
      <p v-if="book.wrong.value" class="text-redlead" role="alert">{{ book.wrong.value }}</p>
    </form>
  </UiDialog>
</template>
