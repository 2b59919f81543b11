<script setup lang="ts">
import { computed, ref } from 'vue'
import { deletion } from '#core/model/removal'

/** Documents and links beside a job or a product. Files are kept and given back, never opened here. */
const props = defineProps<{ owner: { readonly jobId: string } | { readonly productId: string } }>()
const store = useRefitStore()
/** An address written out in the template would be taken for a comment by the check of types. */
const scheme = 'https://'
const wrong = ref('')
const busy = ref(false)
const title = ref('')
const url = ref('')
const [field, id] = Object.entries(props.owner)[0] as ['jobId' | 'productId', string]
const documents = computed(() => store.rows.document.filter((one) => one[field] === id))
const links = computed(() => store.rows.webLink.filter((one) => one[field] === id))
const size = (bytes: number): string =>
  bytes > 1e6 ? `${(bytes / 1e6).toFixed(1)} MB` : `${Math.max(1, Math.round(bytes / 1e3))} kB`

async function picked(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  wrong.value = ''
  if (!file) return
  busy.value = true
  try {
    const kept = await api<object>(`/api/refits/${store.refitId}/documents`, { bytes: file })
    const name = file.name.slice(0, 300) || 'document'
    const patch = {
      ...kept,
      title: name.replace(/\.[^.]*$/, '') || name,
      fileName: name,
      ...props.owner,
    }
    await store.submit(`Document: ${name}`, [
      { op: 'create', entity: 'document', id: newId(), patch },
    ])
  } catch (error) {
    wrong.value = `${file.name}: ${sentenceOf(error)}`
  } finally {
    busy.value = false
  }
}
async function addLink() {
  wrong.value = ''
  const address = url.value.trim()
  if (address === '') return
  const patch = { title: title.value.trim() || address.slice(0, 300), url: address, ...props.owner }
  try {
    await store.submit('New link', [{ op: 'create', entity: 'webLink', id: newId(), patch }])
    title.value = ''
    url.value = ''
  } catch (error) {
    wrong.value = sentenceOf(error)
  }
}
const remove = (
  kind: 'document' | 'webLink',
  row: { readonly id: string; readonly version: number; readonly title: string },
) => store.attempt(`Remove ${row.title}`, [deletion(kind, row)])
</script>

<template>
  <div class="grid gap-2">
    <ul>
      <li
        v-for="one in documents"
        :key="one.id"
        class="flex items-center gap-2 border-b border-rule2 py-1"
      >
        <a
          class="grow underline"
          :href="`/api/documents/${one.hash}?name=${encodeURIComponent(one.fileName)}`"
          download
          >{{ one.title }}</a
        >
        <span class="text-ink2">{{ size(one.sizeBytes) }}</span>
        <button
          type="button"
          class="btn btn-quiet btn-small"
          :aria-label="`Remove ${one.title}`"
          @click="remove('document', one)"
        >
          Remove
        </button>
      </li>
      <li
        v-for="one in links"
        :key="one.id"
        class="flex items-center gap-2 border-b border-rule2 py-1"
      >
        <a class="grow underline" :href="one.url" target="_blank" rel="noopener noreferrer">{{
          one.title
        }}</a>
        <button
          type="button"
          class="btn btn-quiet btn-small"
          :aria-label="`Remove ${one.title}`"
          @click="remove('webLink', one)"
        >
          Remove
        </button>
      </li>
    </ul>
    <div class="flex flex-wrap items-end gap-2">
      <label class="btn btn-small" :class="{ 'opacity-60': busy }"
        >{{ busy ? 'Keeping it…' : 'Keep a document'
        }}<input type="file" class="sr-only" :disabled="busy" @change="picked"
      /></label>
    </div>
    <form class="grid items-end gap-2 sm:grid-cols-[1fr_2fr_auto]" @submit.prevent="addLink">
      <UiText v-model="title" label="Link to" placeholder="Data sheet" />
      <UiText v-model="url" label="Address" :placeholder="scheme" :most="2000" />
      <button class="btn" type="submit">Add link</button>
    </form>
    <p v-if="wrong" class="text-redlead" role="alert">{{ wrong }}</p>
  </div>
</template>
