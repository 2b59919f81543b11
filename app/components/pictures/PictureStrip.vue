<script setup lang="ts">
import { Camera } from '@lucide/vue'
import { computed, ref } from 'vue'
import type { Row } from '#core/model/entities'
import { deletion, patchOf } from '#core/model/removal'
import { momentSaid, spotsOf } from '#core/pictures/spots'
import type { Moment } from '#core/pictures/spots'

/** Pictures of one thing: taken or picked, marked, and those of one spot beside each other. */
type Picture = Row<'picture'>
const props = defineProps<{
  pictures: readonly Picture[]
  /** What a new one belongs to. */
  belongs: Readonly<Record<string, unknown>>
  /** What they are pictures of, for those who do not see them. */
  of: string
  /** What a new one shows; otherwise the first is as found, and those after it of afterwards. */
  moment?: Moment | null
}>()
const store = useRefitStore()
const pictureStore = usePictureStore()
const { sayDay } = useDates()
const wrong = ref('')
const busy = ref(false)
const shown = ref<string | null>(null)
const list = computed(() => [...props.pictures].sort((a, b) => a.takenAt - b.takenAt))
const spots = computed(() => spotsOf(props.pictures))
const loose = computed(() => list.value.filter((one) => one.spot.trim() === ''))
const open = computed(() => list.value.find((one) => one.id === shown.value) ?? null)

async function picked(
  event: Event,
  again: { readonly spot: string; readonly moment: Moment } | null,
) {
  const field = event.target as HTMLInputElement
  const file = field.files?.[0]
  field.value = ''
  if (!file) return
  wrong.value = ''
  busy.value = true
  const moment = props.moment ?? (list.value.length === 0 ? 'found' : 'after')
  try {
    await pictureStore.add(file, { ...props.belongs, ...(again ?? { moment }) })
  } catch (error) {
    wrong.value = sentenceOf(error)
  } finally {
    busy.value = false
  }
}
const edit = (picture: Picture, patch: Record<string, unknown>) =>
  store.attempt('Change a picture', [patchOf('picture', picture, patch)])
function remove(picture: Picture) {
  shown.value = null
  void store.attempt('Remove a picture', [deletion('picture', picture)])
}
/** Rows of pictures: those of each spot, and those of none. */
const rows = computed(() => [
  ...spots.value.map(({ name, pictures, next }) => ({
    name,
    pictures,
    again: { spot: name, moment: next },
  })),
  { name: '', pictures: loose.value, again: null },
])
</script>

<template>
  <div>
    <ul
      v-for="row in rows"
      :key="row.name"
      class="mb-2 flex flex-wrap gap-2"
      :aria-label="row.name || undefined"
    >
      <li v-if="row.name" class="cond w-full leading-none">{{ row.name }}</li>
      <li v-for="one in row.pictures" :key="one.id">
        <button class="block border border-ink" @click="shown = one.id">
          <img
            :src="`/api/pictures/${one.hash}?small`"
            :alt="one.caption || `${of}, ${momentSaid[one.moment]}`"
            width="128"
            height="96"
            loading="lazy"
            class="h-24 w-32 object-cover"
          />
          <span class="cond block bg-sheet px-1 text-left text-sm">
            {{ momentSaid[one.moment] }}, {{ sayDay(store.derived.clock.dateOf(one.takenAt)) }}
          </span>
        </button>
      </li>
      <li>
        <label class="btn h-24 w-24 flex-col text-center whitespace-normal">
          <Camera :size="20" aria-hidden="true" />
          {{ busy ? 'Sending…' : row.again ? `Again, ${momentSaid[row.again.moment]}` : 'Picture' }}
          <input
            type="file"
            accept="image/*"
            capture="environment"
            class="sr-only"
            :aria-label="
              row.again ? `${row.name} again, ${momentSaid[row.again.moment]}` : 'Picture'
            "
            @change="picked($event, row.again)"
          />
        </label>
      </li>
    </ul>
    <p v-if="pictureStore.waiting > 0" class="text-ink2" role="status">
      {{ pictureStore.waiting === 1 ? 'One picture is' : `${pictureStore.waiting} pictures are` }}
      kept here until the program can take {{ pictureStore.waiting === 1 ? 'it' : 'them' }}.
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
        @remove="remove(open)"
      />
    </UiDialog>
  </div>
</template>
