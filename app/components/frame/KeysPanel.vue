<script setup lang="ts">
/** All keys. */
const frame = useFrameStore()
const { views } = useViews()
const others = [
  ['n', 'Found something'],
  ['h', 'Log hours'],
  ['k', 'Start a clock'],
  ['/', 'Find anything'],
  ['z', 'Undo your last change'],
  ['↑ ↓', 'In Jobs: from job to job'],
  ['x', 'In Jobs: choose a job, to change several at once'],
  ['b', 'In Jobs: to what can be done to the chosen'],
  ['← → ↑ ↓', 'While placing: purpose, how bad'],
  ['?', 'This list'],
  ['Esc', 'Give back what you typed, or close'],
] as const
</script>

<template>
  <UiDialog :open="frame.panel === 'keys'" title="Keys" @close="frame.close()">
    <dl class="grid grid-cols-[5rem_1fr] gap-y-1.5">
      <template v-for="view in views" :key="view.path">
        <dt class="cond text-lg">{{ view.key }}</dt>
        <dd>{{ view.name }}</dd>
      </template>
      <template v-for="[key, what] in others" :key="key">
        <dt class="cond text-lg">{{ key }}</dt>
        <dd>{{ what }}</dd>
      </template>
    </dl>
  </UiDialog>
</template>
