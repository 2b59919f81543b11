<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Step } from '#core/model/entities'
import { makeProvisional } from '#core/steps/provisional'

/** For the time being: what is missing, what it must not be trusted with, and before which gate it is made right. */
const props = defineProps<{ open: boolean; step: Step }>()
const emit = defineEmits<{ close: [] }>()
const store = useRefitStore()
const toasts = useToastStore()
const missing = ref('')
const notFor = ref('')
const gateId = ref('')
const hours = ref<number | null>(1)
const wrong = ref('')
const gates = computed(() => store.rows.gate.map((one) => ({ value: one.id, label: one.name })))
watch(
  () => props.open,
  (open) => {
    if (!open) return
    missing.value = ''
    notFor.value = ''
    gateId.value = store.derived.launch?.gate.id ?? gates.value[0]?.value ?? ''
    hours.value = 1
    wrong.value = ''
  },
  { immediate: true },
)
watch([missing, gateId], () => (wrong.value = ''))
async function keep() {
  const made = makeProvisional(
    store.rows,
    props.step,
    {
      missing: missing.value,
      notTrustedWith: notFor.value,
      gateId: gateId.value || null,
      hours: hours.value ?? 1,
    },
    newId,
  )
  if (!made.ok) {
    wrong.value = made.message
    return
  }
  if (await store.attempt(`For now: ${props.step.title}`, made.value)) {
    toasts.say('A job to make it right was made. z takes it back.')
    emit('close')
  }
}
</script>

<template>
  <UiDialog :open="open" :title="`For the time being: ${step.title}`" @close="emit('close')">
    <form class="grid gap-3" @submit.prevent="keep">
      <UiText v-model="missing" label="What is missing" :most="300" :error="wrong" />
      <UiText v-model="notFor" label="What it must not be trusted with" :most="300" />
      <UiSelect v-model="gateId" label="Made right before" :options="gates" />
      <UiHours v-model="hours" label="Hours to make it right" :most="500" />
      <p class="text-ink2">
        A job that makes it right is made with it, and it stays in sight on Today until that is
        done.
      </p>
      <div><button class="btn btn-main">Keep it for now</button></div>
    </form>
  </UiDialog>
</template>
