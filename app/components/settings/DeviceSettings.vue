<script setup lang="ts">
/** What belongs to this device: who is at it, low light, alarms, what it works out by itself. */
const toasts = useToastStore()
const personId = useMe()
const { light, alarms, leftHand, runsByItself } = useDevice()
const { people } = usePeople()
const lights = [
  { value: 'day', label: 'Daylight' },
  { value: 'low', label: 'Low light' },
] as const
async function setAlarms(on: boolean) {
  alarms.value = on
  if (on && 'Notification' in window && Notification.permission === 'default') {
    const answer = await Notification.requestPermission()
    if (answer !== 'granted')
      toasts.say('The browser does not show notifications; the sound still comes.')
  }
}
</script>

<template>
  <section aria-labelledby="set-device">
    <h2 id="set-device" class="border-b-2 border-ink">This device</h2>
    <div class="mt-2 grid gap-3 sm:grid-cols-3">
      <UiSelect
        :model-value="personId || null"
        label="Who am I"
        :options="people"
        none="Not said"
        @update:model-value="personId = $event ?? ''"
      />
      <UiChoice v-model="light" label="Light" :options="lights" />
      <UiCheck
        class="self-end"
        :model-value="alarms"
        label="Sound and notification when a clock ends"
        @update:model-value="setAlarms($event)"
      />
      <UiCheck v-model="leftHand" label="Buttons for the left hand on the shopping run" />
      <UiCheck
        v-model="runsByItself"
        label="Say how likely dates are after every change; off, only when you ask under Money, which saves a battery"
      />
    </div>
  </section>
</template>
