<script setup lang="ts">
import { X } from '@lucide/vue'
import { computed } from 'vue'
import type { Bag } from '#core/model/entities'
import { inOrder } from '#core/model/refit'
import { deletion, patchOf } from '#core/model/removal'
import { sayFullDate } from '#core/time/say'

/** One bag: what is in it, its wires, its picture, where it is and what wants it back. */
const props = defineProps<{ bag: Bag }>()
const emit = defineEmits<{ close: [] }>()
const store = useRefitStore()
const toasts = useToastStore()
const pictureStore = usePictureStore()
const { options: stepOptions, nameOf } = useStepNames()
provideRow({ entity: 'bag', row: computed(() => props.bag), edit: (patch) => edit(patch) })
const wires = computed(() =>
  inOrder(store.rows.bagWire.filter((one) => one.bagId === props.bag.id)),
)
const pictures = computed(() => store.rows.picture.filter((one) => one.bagId === props.bag.id))
const edit = (fields: Readonly<Record<string, unknown>>) =>
  void store.attempt(`Bag ${props.bag.code}`, [patchOf('bag', props.bag, fields)])
/** Saying where it is also says that it was seen. */
const sayPlace = (storedAt: string | null) =>
  edit({ storedAt: storedAt ?? '', lastSeenOn: store.derived.today })
const wireFields = [
  ['from', 'From'],
  ['to', 'To'],
  ['colour', 'Colour'],
  ['label', 'Label'],
] as const

async function picked(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  try {
    await pictureStore.add(file, { bagId: props.bag.id, moment: 'before' })
  } catch (error) {
    toasts.complain(error)
  }
}
async function remove() {
  const items = [
    ...wires.value.map((one) => deletion('bagWire', one)),
    ...pictures.value.map((one) => deletion('picture', one)),
    deletion('bag', props.bag),
  ]
  if (await store.attempt(`Remove bag ${props.bag.code}`, items)) emit('close')
}
</script>

<template>
  <section :aria-label="`Bag ${bag.code}`" class="min-w-0">
    <div class="flex items-center justify-between gap-2">
      <h2 class="text-2xl">Bag {{ bag.code }}</h2>
      <button class="btn btn-quiet" aria-label="Close the bag" @click="emit('close')">
        <X :size="20" aria-hidden="true" />
      </button>
    </div>
    <div class="mt-2 grid gap-3">
      <div class="grid grid-cols-[6rem_1fr] gap-3">
        <RowField field="code" />
        <RowField field="what" label="What it is" />
      </div>
      <RowField field="contents" label="What is in it" />
      <RowField field="fromZoneId" none="Not said" />
      <div class="grid grid-cols-[1fr_9rem] gap-3">
        <UiText
          :model-value="bag.storedAt"
          label="Where it is"
          placeholder="Shed, shelf 2, left"
          :most="200"
          @update:model-value="sayPlace"
        />
        <RowField field="state" label="State" />
        <RowField field="worth" />
      </div>
      <p v-if="bag.lastSeenOn" class="text-ink2">Last seen {{ sayFullDate(bag.lastSeenOn) }}.</p>
      <div>
        <p>
          <span class="cond">Wanted back by</span>
          {{ bag.wantedByStepId ? nameOf(bag.wantedByStepId) : 'no step yet' }}
          <button
            v-if="bag.wantedByStepId"
            class="btn btn-quiet btn-small"
            @click="edit({ wantedByStepId: null })"
          >
            Clear
          </button>
        </p>
        <UiPick
          label="Step that wants it back"
          :options="stepOptions"
          @pick="edit({ wantedByStepId: $event })"
        />
      </div>
    </div>
    <h3 class="mt-5 border-b-2 border-ink">Wires</h3>
    <ul>
      <li
        v-for="one in wires"
        :key="one.id"
        class="grid grid-cols-2 gap-1 border-b border-rule2 py-1"
      >
        <UiText
          v-for="[field, label] in wireFields"
          :key="field"
          :model-value="one[field]"
          :label="label"
          :most="60"
          @update:model-value="
            store.attempt('Change wire', [patchOf('bagWire', one, { [field]: $event ?? '' })])
          "
        />
        <button
          class="btn btn-quiet btn-small justify-self-start"
          :aria-label="`Remove the wire from ${one.from}`"
          @click="store.attempt('Remove wire', [deletion('bagWire', one)])"
        >
          Remove
        </button>
      </li>
    </ul>
    <UiAnother
      entity="bagWire"
      field="from"
      label="New wire, from"
      placeholder="Panel, breaker 7"
      keep="Add wire"
      :rest="() => ({ bagId: bag.id })"
    />
    <h3 class="mt-5 border-b-2 border-ink">Pictures</h3>
    <div class="mt-2 grid grid-cols-2 gap-2">
      <img
        v-for="one in pictures"
        :key="one.id"
        :src="`/api/pictures/${one.hash}?small`"
        :alt="one.caption || `Bag ${bag.code}`"
        :width="one.widthPx"
        :height="one.heightPx"
        class="h-auto w-full border border-ink"
      />
    </div>
    <div class="mt-3 flex flex-wrap gap-2">
      <label class="btn"
        >Add picture<input type="file" accept="image/*" class="sr-only" @change="picked"
      /></label>
      <button class="btn" @click="remove">Remove the bag</button>
    </div>
  </section>
</template>
