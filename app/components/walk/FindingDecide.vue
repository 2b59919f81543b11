<script setup lang="ts">
import { ref, watch } from 'vue'
import type { Finding } from '#core/model/entities'
import { patchOf } from '#core/model/removal'
import { addDays } from '#core/time/civil'

/** Watch it, or accept it as it is: both need a reason and a day to look again. */
const props = defineProps<{ finding: Finding | null; what: 'watch' | 'accepted' }>()
const emit = defineEmits<{ close: [] }>()
const store = useRefitStore()
const reason = ref('')
const lookOn = ref<string | null>(null)
const wrong = ref('')
const unread = useUnread()
/** Half a year: before the next haul-out, as a rule. */
const usualDays = 180

watch(
  () => [props.finding?.id, props.what],
  () => {
    const { finding } = props
    if (!finding) return
    unread.clear()
    wrong.value = ''
    reason.value = finding.reason
    const ahead = finding.lookAgainOn !== null && finding.lookAgainOn > store.derived.today
    lookOn.value = ahead ? finding.lookAgainOn : addDays(store.derived.today, usualDays)
  },
  { immediate: true },
)
async function keep() {
  const { finding, what } = props
  if (!finding) return
  wrong.value = unread.first()
  if (wrong.value !== '') return
  try {
    const patch = { state: what, reason: reason.value, lookAgainOn: lookOn.value }
    await store.submit(`${what === 'watch' ? 'Watch' : 'Accept'}: ${finding.title}`, [
      patchOf('finding', finding, patch),
    ])
    emit('close')
  } catch (error) {
    wrong.value = sentenceOf(error)
  }
}
</script>

<template>
  <UiDialog
    :open="finding !== null"
    :title="what === 'watch' ? 'Watch it' : 'Accept it as it is'"
    @close="emit('close')"
  >
    <form class="grid gap-4" @submit.prevent="keep">
      <p>{{ finding?.title }}</p>
      <UiText v-model="reason" label="Why" :most="1000" />
      <UiDate v-model="lookOn" label="Look again on" @invalid="unread.mark('lookOn')($event)" />
      <p v-if="wrong" class="text-redlead" role="alert">{{ wrong }}</p>
      <button class="btn btn-main" type="submit">Keep it so</button>
    </form>
  </UiDialog>
</template>
