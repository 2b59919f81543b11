<script setup lang="ts">
import { Camera } from '@lucide/vue'
import { computed, ref } from 'vue'
import type { Row } from '#core/model/entities'
import { patchOf } from '#core/model/removal'

/** Pictures of one thing: taken or picked, marked, and laid beside each other where they show one spot. */
type Picture = Row<'picture'>
const props = defineProps<{
  pictures: readonly Picture[]
  /** What a new one belongs to. */
  belongs: Readonly<Record<string, unknown>>
  /** What they are pictures of, for those who do not see them. */
  of: string
}>()
const store = useRefitStore()
const pictureStore = usePictureStore()
const { sayDay } = useDates()
const wrong = ref('')
const busy = ref(false)
const shown = ref<string | null>(null)
const list = computed(() => [...props.pictures].sort((a, b) => a.takenAt - b.takenAt))
const open = computed(() => list.value.find((one) => one.id === shown.value) ?? null)
const moments = {
  before: 'before',
  open: 'open',
  after: 'after',
  found: 'as found',
  drawing: 'drawing',
}

async function picked(event: Event) {
  const field = event.target as HTMLInputElement
  const file = field.files?.[0]
  field.value = ''
  if (!file) return
  wrong.value = ''
  busy.value = true
  const moment = list.value.length === 0 ? 'found' : 'after'
  try {
    await pictureStore.add(file, { ...props.belongs, moment })
  } catch (error) {
    wrong.value = sentenceOf(error)
  } finally {
    busy.value = false
  }
}
const edit = (picture: Picture, patch: Record<string, unknown>) =>
  store.attempt('Change a picture', [patchOf('picture', picture, patch)])
</script>

<template>
  <div>
    <ul class="flex flex-wrap gap-2">
      <li v-for="one in list" :key="one.id">
        <button class="block border border-ink" @click="shown = one.id">
          <img
            :src="`/api/pictures/${one.hash}?small`"
            :alt="one.caption || `${of}, ${moments[one.moment]}`"
            width="128"
            height="96"
            loading="lazy"
            class="h-24 w-32 object-cover"
          />
          <span class="cond block bg-sheet px-1 text-left text-sm">
            {{ moments[one.moment] }}, {{ sayDay(store.derived.clock.dateOf(one.takenAt)) }}
          </span>
        </button>
      </li>
      <li>
        <label class="btn h-24 w-24 flex-col text-center whitespace-normal">
          <Camera :size="20" aria-hidden="true" /> {{ busy ? 'Sending…' : 'Picture' }}
          <input
            type="file"
            accept="image/*"
            capture="environment"
            class="sr-only"
            aria-label="Picture"
            @change="picked"
          />
        </label>
      </li>
    </ul>
    <p v-if="pictureStore.waiting > 0" class="text-ink2" role="status">
      {{ pictureStore.waiting === 1 ? 'One picture is' : `${pictureStore.waiting} pictures are` }}
      kept here until the program answers.
    </p>
    <p v-if="wrong" class="text-redlead" role="alert">{{ wrong }}</p>
    <UiDialog :open="open !== null" :title="of" wide @close="shown = null">
      <PictureMarked
        v-if="open"
        :key="open.id"
        :picture="store.askedRow('picture', open)"
        :others="list.filter((one) => one.id !== open?.id)"
        :of="of"
        @edit="edit(open, $event)"
      />
    </UiDialog>
  </div>
</template>
