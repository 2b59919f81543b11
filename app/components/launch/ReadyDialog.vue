<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { ReadyItem } from '#core/launch/readyItem'

/** One line of readiness: what it rests on, the way to its work, and somebody's word on it. */
const props = defineProps<{
  item: ReadyItem | null
  haulOutId: string
  standing: string
}>()
const emit = defineEmits<{ close: [] }>()
const store = useRefitStore()
const time = useTimeStore()
const { shortDateTime } = useDates()
const rows = useRows('readySign')
const { people, signer } = usePeople()
const form = useRowForm('readySign', () => ({
  as: 'proven',
  because: '',
  personId: signer(),
}))
const file = ref<File | null>(null)
const pictures = usePictureStore()
const toasts = useToastStore()
watch(
  () => props.item?.key,
  () => {
    form.reset()
    file.value = null
  },
)
const jobs = computed(() =>
  (props.item?.jobIds ?? []).flatMap((id) => store.rows.job.find((one) => one.id === id) ?? []),
)
const steps = computed(() => {
  const ids = new Set(props.item?.stepIds ?? [])
  return store.rows.step
    .filter((one) => ids.has(one.id))
    .map((one) => ({
      ...one,
      said: one.state === 'done' ? 'done' : one.state === 'doing' ? 'under way' : 'open',
    }))
})
const ways = optionsOf('readySign', 'as').filter((one) => one.value !== 'anyway')
async function sign() {
  const item = props.item
  if (!item) return
  const id = newId()
  const kept = await form.save(`Signed: ${item.title}`, (values) => [
    {
      op: 'create',
      entity: 'readySign',
      id,
      patch: {
        ...values,
        haulOutId: props.haulOutId,
        item: item.key,
        at: Math.round(time.now),
      },
    },
  ])
  if (!kept) return
  try {
    if (file.value)
      await pictures.add(file.value, { signId: id, moment: 'after', caption: item.title })
    emit('close')
  } catch (error) {
    // The signature stands; the picture was refused.
    toasts.complain(error)
  }
}
const shown = computed(() =>
  store.rows.picture.filter((one) => one.signId !== null && one.signId === props.item?.sign?.id),
)
function picked(event: Event) {
  file.value = (event.target as HTMLInputElement).files?.[0] ?? null
}
async function takeBack() {
  const own = props.item?.sign
  if (own && (await rows.remove(own))) emit('close')
}
const who = computed(
  () => store.rows.person.find((one) => one.id === props.item?.sign?.personId)?.name ?? '',
)
</script>

<template>
  <UiDialog :open="item !== null" :title="item?.title ?? ''" @close="emit('close')">
    <div v-if="item" class="grid gap-4">
      <div>
        <p
          class="cond text-2xl leading-tight"
          :class="item.state === 'stops' ? 'text-redlead' : ''"
        >
          {{ standing }}
        </p>
        <p>{{ item.evidence }}</p>
        <p v-if="item.risk" class="text-ink2">Open it lets in {{ item.risk }}.</p>
        <p v-if="item.opening?.reach" class="text-ink2">{{ item.opening.reach }}</p>
      </div>
      <section v-if="jobs.length > 0">
        <h3 class="border-b border-ink">Work on it</h3>
        <ul>
          <li v-for="job in jobs" :key="job.id">
            <NuxtLink
              class="underline max-sm:inline-flex max-sm:min-h-11 max-sm:items-center"
              :to="`/r/${store.refitId}/job/${job.id}`"
              >{{ job.title }}</NuxtLink
            >
          </li>
        </ul>
        <ul v-if="steps.length > 0" class="mt-1">
          <li
            v-for="one in steps"
            :key="one.id"
            class="flex justify-between gap-3 border-b border-rule2"
          >
            <span>{{ one.title }}</span><span class="cond text-ink2">{{ one.said }}</span>
          </li>
        </ul>
      </section>
      <section v-if="item.sign">
        <h3 class="border-b border-ink">Signed</h3>
        <p>
          {{ who }}, {{ shortDateTime(item.sign.at, store.zone)
          }}{{ item.sign.because ? `: ${item.sign.because}` : '' }}
        </p>
        <img
          v-for="one in shown"
          :key="one.id"
          :src="`/api/pictures/${one.hash}?small`"
          :alt="one.caption"
          class="mt-2 max-h-48 border border-ink"
        />
        <button class="btn mt-2" @click="takeBack">Take the signature back</button>
      </section>
      <form v-else class="grid gap-3" @submit.prevent="sign">
        <h3 class="border-b border-ink">Sign it</h3>
        <p v-if="item.state === 'stops' && item.stepIds.length > 0" class="text-ink2">
          Its work is open. “Proven” counts once that is done; “skipped” counts at once and stays in
          the log with your name.
        </p>
        <FieldInput v-bind="form.bind('as')" :options="ways" />
        <FieldInput v-bind="form.bind('because', 'What you saw, or why')" />
        <FieldInput v-bind="form.bind('personId')" :options="people" none="Choose" />
        <label class="btn justify-self-start"
          >{{ file ? file.name : 'Add a picture'
          }}<input type="file" accept="image/*" class="sr-only" @change="picked"
        /></label>
        <p v-if="form.wrong.value" class="text-redlead" role="alert">{{ form.wrong.value }}</p>
        <div><button class="btn btn-main" :disabled="form.busy.value">Sign</button></div>
      </form>
    </div>
  </UiDialog>
</template>
