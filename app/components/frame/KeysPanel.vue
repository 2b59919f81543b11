<script setup lang="ts">
/** All keys. */
const frame = useFrameStore()
const { views } = useViews()
</script>

<template>
  <UiDialog :open="frame.panel === 'keys'" title="Keys" @close="frame.close()">
    <dl class="grid grid-cols-[5rem_1fr] gap-y-1.5">
      <template v-for="view in views" :key="view.path">
        <dt class="cond text-lg">{{ view.key }}</dt>
        <dd>{{ view.name }}</dd>
      </template>
      <template v-for="one in keyTable" :key="one.what">
        <dt class="cond text-lg">{{ one.shown }}</dt>
        <dd>{{ one.what }}</dd>
      </template>
    </dl>
  </UiDialog>
</template>
