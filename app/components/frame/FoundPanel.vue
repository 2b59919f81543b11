<script setup lang="ts">
import { Camera } from '@lucide/vue'
import { computed, nextTick, ref, watch } from 'vue'
import type { ChangeItem } from '#core/model/changes'
import { severityName } from '#core/plan/priority'

/** Something found: what, where (the last place is kept), a picture, how bad, when. Under ten seconds. */
const store = useRefitStore()
const frame = useFrameStore()
const time = useTimeStore()
const toasts = useToastStore()
const { personId, lastZoneId } = useDevice()
const open = computed(() => frame.panel === 'found')
const picture = ref<File | null>(null)
const pictureWrong = ref('')

const knownZone = () =>
  store.rows.zone.some((zone) => zone.id === lastZoneId.value) ? lastZoneId.value : null
/** The job whose step is under way, or the first on today's plan: that is where people find things. */
const during = computed(() => {
  const doing = store.rows.step.find((step) => step.state === 'doing')
  const jobId = frame.duringJobId ?? doing?.jobId
  return store.rows.job.find((job) => job.id === jobId) ?? null
})
const form = useRowForm('finding', () => ({ severity: 2, when: 'unplaced', zoneId: knownZone() }))
const whens = [
  { value: 'now', label: 'Now' },
  { value: 'gate', label: 'Before launch' },
  { value: 'later', label: 'Later' },
] as const

watch(
  open,
  async (isOpen) => {
    if (!isOpen) return
    form.reset()
    picture.value = null
    pictureWrong.value = ''
    await nextTick()
  },
  { immediate: true },
)

async function keep() {
  const findingId = newId()
  const extra: ChangeItem[] = []
  if (picture.value) {
    try {
      const stored = await storePicture(store.refitId, picture.value)
      const patch = { ...stored, findingId, moment: 'found', takenAt: Math.round(time.now) }
      extra.push({ op: 'create', entity: 'picture', id: newId(), patch })
    } catch (error) {
      pictureWrong.value = sentenceOf(error)
      return
    }
  }
  const done = await form.save(`Found: ${String(form.values.title ?? '')}`, (values) => [
    {
      op: 'create',
      entity: 'finding',
      id: findingId,
      patch: {
        ...values,
        foundAt: Math.round(time.now),
        foundBy: personId.value === '' ? null : personId.value,
        duringJobId: during.value?.id ?? null,
      },
    },
    ...extra,
  ])
  if (!done) return
  lastZoneId.value = (form.values.zoneId as string | null) ?? ''
  frame.close()
  toasts.say('Kept. It waits in Jobs until you place it.')
}
function takePicture(event: Event) {
  picture.value = (event.target as HTMLInputElement).files?.[0] ?? null
}
</script>

<template>
  <UiDialog :open="open" title="Found something" red @close="frame.close()">
    <form class="grid gap-4" @submit.prevent="keep">
      <FieldInput
        v-bind="form.bind('title', 'What')"
        placeholder="Valve handle turns, water does not stop"
      />
      <div class="grid grid-cols-[1fr_auto] gap-3">
        <FieldInput v-bind="form.bind('zoneId', 'Where, same as last')" />
        <label class="btn self-end bg-brass! text-on-brass!">
          <Camera :size="18" aria-hidden="true" /> {{ picture ? 'Picture taken' : 'Picture' }}
          <input
            type="file"
            accept="image/*"
            capture="environment"
            class="sr-only"
            @change="takePicture"
          />
        </label>
      </div>
      <p v-if="pictureWrong" class="text-redlead" role="alert">{{ pictureWrong }}</p>
      <UiChoice
        v-bind="form.bind('severity', 'How bad')"
        :options="
          severityName.map((label, index) => ({
            value: index + 1,
            label: label.replace(/^./, (c) => c.toUpperCase()),
          }))
        "
      />
      <UiChoice v-bind="form.bind('when', 'When')" :options="whens" />
      <p v-if="during" class="text-ink2">Found during: {{ during.title }}.</p>
      <p v-if="form.wrong.value" class="text-redlead" role="alert">{{ form.wrong.value }}</p>
      <button class="btn btn-main min-h-12!" type="submit" :disabled="form.busy.value">
        Keep it
      </button>
    </form>
  </UiDialog>
</template>
