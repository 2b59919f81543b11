<script setup lang="ts">
/** All that is not a view: the week, hours, settings, other refits, history, undo. */
defineProps<{ undo: () => void }>()
const store = useRefitStore()
const frame = useFrameStore()
const { views } = useViews()
const links = [
  ['launch/card', 'Water coming in: damage card'],
  ['launch/watch', 'The watch afloat'],
  ['week', 'The week'],
  ['hours', 'Hours'],
  ['triage', 'Place what waits'],
  ['recipes', 'Recipes'],
  ['starter', 'Usual jobs'],
  ['import', 'Bring in a list of work'],
  ['bags', 'Strip-out bags'],
  ['settings', 'Settings, people, places'],
  ['history', 'History of changes'],
] as const
</script>

<template>
  <UiDialog :open="frame.panel === 'more'" title="More" @close="frame.close()">
    <ul class="grid gap-2 sm:grid-cols-2">
      <li v-for="view in views" :key="view.path" class="sm:hidden">
        <NuxtLink :to="view.to" class="btn w-full justify-start!" @click="frame.close()">{{
          view.name
        }}</NuxtLink>
      </li>
      <li v-for="[path, name] in links" :key="path">
        <NuxtLink
          :to="`/r/${store.refitId}/${path}`"
          class="btn w-full justify-start!"
          @click="frame.close()"
        >
          {{ name }}
        </NuxtLink>
      </li>
      <li>
        <button class="btn w-full justify-start!" @click="frame.open('clock')">
          Start a clock
        </button>
      </li>
      <li>
        <button class="btn w-full justify-start!" @click="(frame.close(), undo())">
          Undo your last change
        </button>
      </li>
      <li><button class="btn w-full justify-start!" @click="frame.open('keys')">Keys</button></li>
      <li>
        <NuxtLink to="/?all" class="btn w-full justify-start!" @click="frame.close()"
          >Other refits</NuxtLink
        >
      </li>
    </ul>
  </UiDialog>
</template>
