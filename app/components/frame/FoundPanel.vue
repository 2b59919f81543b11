<script setup lang="ts">
import { Camera } from '@lucide/vue'
import { useObjectUrl } from '@vueuse/core'
import { computed, nextTick, ref, watch } from 'vue'
import type { ChangeItem } from '#core/model/changes'
import { keyBetween } from '#core/model/order'
import type { Finding, Zone } from '#core/model/entities'
import { severityName } from '#core/plan/priority'
import { addDays } from '#core/time/civil'
import { formatHours } from '#core/units/hours'
import { routeOf } from '#core/walk/route'
import { likelyWords } from '#core/walk/likelyWords'
import { costOfWhen } from '#core/walk/whenCost'

/**
 * Something found, in six taps: found, shutter, words, how bad, when, keep. The place is kept from the last time. What
 * is to be done now or before the launch is a job at once, so that the launch counts it.
 */
const store = useRefitStore()
const frame = useFrameStore()
const time = useTimeStore()
const toasts = useToastStore()
const pictureStore = usePictureStore()
const personId = useMe()
const { lastZoneId } = useDevice()
const open = computed(() => frame.panel === 'found')
const picture = ref<File | null>(null)
const preview = useObjectUrl(picture)
/** What was chosen, in order: the last is taken back first. */
const taps = ref<readonly Tap[]>([])
type Tap = 'picture' | 'title' | 'severity' | 'when'
/** Half a year: before the next haul-out, as a rule. */
const usualDays = 180

const knownZone = () =>
  store.rows.zone.some((zone) => zone.id === lastZoneId.value) ? lastZoneId.value : null
/** The job whose step is under way: that is where people find things. */
const during = computed(() => {
  const doing = store.rows.step.find((step) => step.state === 'doing')
  const jobId = frame.duringJobId ?? doing?.jobId
  return store.rows.job.find((job) => job.id === jobId) ?? null
})
const form = useRowForm('finding', () => ({
  severity: 2,
  when: 'unplaced',
  zoneId: knownZone(),
  reason: '',
  lookAgainOn: addDays(store.derived.today, usualDays),
}))
const zone = computed(() => store.rows.zone.find((one) => one.id === form.values.zoneId) ?? null)
const words = computed(() => likelyWords(zone.value))
const isLater = computed(() => form.values.when === 'later')
const zones = computed(() => {
  const onRoute = routeOf(store.rows.zone, store.refit?.hullMaterial ?? null)
  const rest = store.rows.zone.filter((one) => !onRoute.includes(one))
  return [...onRoute, ...rest].map((one: Zone) => ({ value: one.id, label: one.name }))
})
const asFinding = computed(() => ({
  title: String(form.values.title ?? ''),
  zoneId: (form.values.zoneId as string | null) ?? null,
  severity: Number(form.values.severity ?? 2),
  hoursGuess: (form.values.hoursGuess as number | null) ?? null,
  duringJobId: during.value?.id ?? null,
  spreading: false,
}))

watch(
  open,
  async (isOpen) => {
    if (!isOpen) return
    form.reset()
    picture.value = null
    taps.value = []
    await nextTick()
  },
  { immediate: true },
)
function tapped(tap: Tap) {
  taps.value = [...taps.value.filter((one) => one !== tap), tap]
}
function set(tap: Exclude<Tap, 'picture'>, value: unknown) {
  form.set(tap, value)
  tapped(tap)
}
function takeBack(tap: Tap | undefined = taps.value.at(-1)) {
  if (!tap) return
  if (tap === 'picture') picture.value = null
  else form.set(tap, { title: undefined, severity: 2, when: 'unplaced' }[tap])
  taps.value = taps.value.filter((one) => one !== tap)
}
/** Hours people guess, from a clip to a weekend. */
const guesses = [0.5, 1, 3, 8, 20] as const
const fastenings: readonly (readonly [Tap, string])[] = [
  ['picture', 'Picture'],
  ['title', 'What'],
  ['severity', 'How bad'],
  ['when', 'When'],
]

/** The job that comes of it at once; none when it may wait. */
function jobOf(
  finding: Finding,
  when: unknown,
): { items: readonly ChangeItem[]; jobId: string | null } {
  if (when !== 'now' && when !== 'gate') return { items: [], jobId: null }
  const items = costOfWhen(store.rows, finding, when, store.derived, newId)
  return { items, jobId: items.find((item) => item.entity === 'job')?.id ?? null }
}

async function keep() {
  const findingId = newId()
  const { when } = form.values
  const title = String(form.values.title ?? '').trim()
  const { items, jobId } = jobOf({ ...asFinding.value, id: findingId } as unknown as Finding, when)
  const done = await form.save(`Found: ${title}`, ({ reason, lookAgainOn, ...values }) => [
    ...items,
    {
      op: 'create',
      entity: 'finding',
      id: findingId,
      patch: {
        ...values,
        ...(when === 'later' ? { state: 'watch', reason, lookAgainOn } : {}),
        ...(jobId ? { state: 'jobMade', jobId } : {}),
        ...(frame.foundAt ? { pointX: frame.foundAt[0], pointY: frame.foundAt[1] } : {}),
        foundAt: Math.round(time.now),
        foundBy: personId.value === '' ? null : personId.value,
        duringJobId: during.value?.id ?? null,
      },
    },
  ])
  if (!done) return
  lastZoneId.value = (form.values.zoneId as string | null) ?? ''
  await sendPicture({ findingId, jobId })
  frame.close()
}
/** The finding is kept whatever becomes of its picture. */
async function sendPicture(belongs: { findingId: string; jobId: string | null }) {
  const what = belongs.jobId
    ? 'Kept, and a job in the plan.'
    : 'Kept. It waits in Walk for your word.'
  if (!picture.value) return toasts.say(isLater.value ? 'Kept, and watched.' : what)
  try {
    const sent = await pictureStore.add(picture.value, { ...belongs, moment: 'found' })
    toasts.say(
      sent === 'sent' ? what : `${what} The picture is kept here until the program can take it.`,
    )
  } catch (error) {
    toasts.say(`The finding is kept, its picture is not. ${sentenceOf(error)}`, true)
  }
}
function takePicture(event: Event) {
  const field = event.target as HTMLInputElement
  picture.value = field.files?.[0] ?? null
  field.value = ''
  if (picture.value) tapped('picture')
}
const newPlace = ref('')
async function addPlace() {
  const name = newPlace.value.trim()
  if (name === '') return
  const id = newId()
  const order = keyBetween(
    store.rows.zone
      .map((one) => one.order)
      .sort()
      .at(-1) ?? null,
    null,
  )
  if (
    await store.attempt(`New place: ${name}`, [
      { op: 'create', entity: 'zone', id, patch: { name, order } },
    ])
  ) {
    form.set('zoneId', id)
    newPlace.value = ''
  }
}
</script>

<template>
  <UiDialog :open="open" title="Found something" red @close="frame.close()">
    <form class="grid gap-3 max-sm:gap-2" @submit.prevent="keep">
      <div class="flex items-center justify-between gap-2">
        <ol class="flex gap-1.5" aria-label="What is said already">
          <li v-for="[tap, name] in fastenings" :key="tap">
            <button
              type="button"
              class="cond min-h-9 rounded-full border-2 border-ink px-3 text-base max-sm:min-h-11"
              :class="taps.includes(tap) ? 'bg-brass text-on-brass' : 'border-dashed'"
              :disabled="!taps.includes(tap)"
              :aria-label="taps.includes(tap) ? `${name}: take it back` : `${name}: not yet`"
              @click="takeBack(tap)"
            >
              {{ name }}
            </button>
          </li>
        </ol>
      </div>
      <FieldInput
        v-bind="form.bind('zoneId', 'Where, same as last')"
        :options="zones"
        none="Place not said"
      />
      <div class="grid grid-cols-[7.5rem_1fr] gap-3">
        <label class="btn h-24 flex-col max-sm:h-20 bg-brass! p-0! text-on-brass!">
          <img
            v-if="preview"
            :src="preview"
            alt="The picture just taken"
            class="h-full w-full object-cover"
          />
          <template v-else><Camera :size="26" aria-hidden="true" /> Picture</template>
          <input
            type="file"
            accept="image/*"
            capture="environment"
            class="sr-only"
            aria-label="Picture"
            @change="takePicture"
          />
        </label>
        <div>
          <FieldInput
            v-bind="form.bind('title', 'What')"
            placeholder="Or tap below"
            @update:model-value="tapped('title')"
          />
          <p v-if="frame.foundAt" class="text-sm text-ink2">
            At the point you pressed on the boat.
          </p>
          <p v-if="during" class="text-sm text-ink2">During: {{ during.title }}</p>
        </div>
      </div>
      <div class="flex flex-wrap gap-1.5" role="group" aria-label="Likely here">
        <button
          v-for="word in words"
          :key="word"
          type="button"
          class="btn btn-small"
          :class="{ 'btn-on': form.values.title === word }"
          @click="set('title', word)"
        >
          {{ word }}
        </button>
      </div>
      <fieldset>
        <legend class="cond text-ink2 max-sm:sr-only">How bad</legend>
        <div class="grid grid-cols-4 gap-2">
          <label
            v-for="(name, index) in severityName"
            :key="name"
            class="severity-plate cond flex min-h-14 cursor-pointer flex-col items-center justify-center border-2 border-ink text-lg leading-tight capitalize"
            :class="
              form.values.severity === index + 1 && taps.includes('severity')
                ? 'bg-brass text-on-brass'
                : 'bg-sheet'
            "
          >
            <input
              type="radio"
              name="severity"
              class="sr-only"
              :checked="form.values.severity === index + 1 && taps.includes('severity')"
              @change="set('severity', index + 1)"
            />
            <MarkShape :severity="index + 1" fill="none" hidden />{{ name }}
          </label>
        </div>
      </fieldset>
      <div class="flex items-center gap-1.5" role="group" aria-label="About how long">
        <span class="cond mr-1 text-ink2">About</span>
        <button
          v-for="one in guesses"
          :key="one"
          type="button"
          class="btn btn-small grow px-1!"
          :class="{ 'btn-on': form.values.hoursGuess === one }"
          :aria-pressed="form.values.hoursGuess === one"
          @click="form.set('hoursGuess', form.values.hoursGuess === one ? null : one)"
        >
          {{ formatHours(one) }}
        </button>
      </div>
      <WhenCost
        :model-value="form.values.when as Finding['when']"
        :finding="asFinding"
        @update:model-value="set('when', $event)"
      />
      <div v-if="isLater" class="grid grid-cols-2 gap-3">
        <FieldInput v-bind="form.bind('reason', 'Why it may wait')" />
        <FieldInput v-bind="form.bind('lookAgainOn')" />
      </div>
      <details>
        <summary class="cond text-ink2">A place that is not in the list</summary>
        <div class="mt-1 grid grid-cols-2 items-end gap-3">
          <UiText v-model="newPlace" label="Another place on the boat" />
          <button class="btn" type="button" @click="addPlace">Add the place</button>
        </div>
      </details>
      <p v-if="form.wrong.value" class="text-redlead" role="alert">{{ form.wrong.value }}</p>
      <div
        class="grid grid-cols-[auto_1fr] gap-3 max-sm:sticky max-sm:bottom-0 max-sm:bg-paper max-sm:py-2"
      >
        <button
          class="btn min-h-12!"
          type="button"
          :disabled="taps.length === 0"
          @click="takeBack()"
        >
          Undo
        </button>
        <button
          class="btn min-h-12! bg-verdigris! text-lg! text-sheet!"
          type="submit"
          :disabled="form.busy.value"
        >
          Keep it
        </button>
      </div>
    </form>
  </UiDialog>
</template>

<style scoped>
.severity-plate:focus-within {
  outline: 3px solid var(--water-deep);
  outline-offset: 2px;
}
</style>
