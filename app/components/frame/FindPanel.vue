<script setup lang="ts">
import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/vue'
import { computed, ref, watch } from 'vue'

/** Finds anything: views, what can be done, and whatever somebody wrote down. */
const store = useRefitStore()
const frame = useFrameStore()
const { views } = useViews()
const open = computed(() => frame.panel === 'find')
const asked = ref('')
watch(open, () => (asked.value = ''))

interface Choice {
  readonly id: string
  readonly name: string
  readonly kind: string
  /** What it is part of, and the line in which the words were found. */
  readonly more: string
  readonly go: () => void
}
const mostShown = 12
const at = (path: string) => () => void goTo(`/r/${store.refitId}/${path}`)
const view = (id: string, name: string, path = id) => ({ id, name, kind: 'View', go: at(path) })
/** Places of the program and what it does, which nobody wrote. */
const ours = computed(() => [
  ...views.value.map((one) => view(one.path, one.name)),
  view('week', 'Week'),
  view('settings', 'Settings'),
  view('hours', 'Hours'),
  view('launch-card', 'Water coming in: damage card', 'launch/card'),
  view('launch-day', 'Launch day, hour by hour', 'launch/day'),
  view('launch-watch', 'The watch afloat', 'launch/watch'),
  view('launch-inputs', 'Openings, tide and crane: what the launch rests on', 'launch/inputs'),
  { id: 'import', name: 'Bring in a list of work', kind: 'Do', go: at('import') },
  { id: 'do-hours', name: 'Log hours', kind: 'Do', go: () => frame.open('hours') },
  { id: 'do-clock', name: 'Start a clock', kind: 'Do', go: () => frame.open('clock') },
])
const { find, isWhole } = useSearch(open)
const hits = computed((): Choice[] => {
  const words = asked.value.toLowerCase().split(/\s+/).filter(Boolean)
  const own = ours.value
    .filter((one) => words.every((word) => `${one.name} ${one.kind}`.toLowerCase().includes(word)))
    .map((one) => ({ ...one, more: '' }))
  const written = find(asked.value, mostShown).map((one) => ({
    id: one.key,
    name: one.name,
    kind: one.kind,
    more: [one.within, one.line].filter(Boolean).join(': '),
    go: at(one.to),
  }))
  return [...own, ...written].slice(0, mostShown)
})
function go(hit: Choice | null) {
  if (!hit) return
  frame.close()
  hit.go()
}
/** Where nothing is marked, the first is meant. */
function enter(event: KeyboardEvent, marked: Choice | null) {
  if (enterAfterArrow(event, marked !== null)) return
  event.preventDefault()
  event.stopPropagation()
  go(marked ?? hits.value[0] ?? null)
}
</script>

<template>
  <UiDialog :open="open" title="Find anything" @close="frame.close()">
    <Combobox v-slot="{ activeOption }" :model-value="null" nullable @update:model-value="go">
      <ComboboxInput
        class="field"
        aria-label="Find"
        placeholder="Any word of a job, a sheet, a note, a view"
        autocomplete="off"
        @change="asked = $event.target.value"
        @keydown.esc.capture.stop="frame.close()"
        @keydown.enter.capture="enter($event, activeOption)"
      />
      <ComboboxOptions static class="mt-3">
        <li v-if="hits.length === 0" class="py-2 text-ink2">
          {{ isWhole ? 'Nothing written has all of these words.' : 'Reading what is written …' }}
        </li>
        <ComboboxOption
          v-for="hit in hits"
          :key="`${hit.kind} ${hit.id}`"
          v-slot="{ active }"
          :value="hit"
          as="template"
        >
          <li
            class="flex justify-between gap-4 px-2 py-1.5 max-sm:py-3"
            :class="active ? 'bg-ink text-sheet' : ''"
          >
            <span class="min-w-0"
              ><span class="block truncate">{{ hit.name }}</span
              ><span
                v-if="hit.more"
                class="block truncate text-sm"
                :class="active ? '' : 'text-ink2'"
                >{{ hit.more }}</span
              ></span
            ><span class="cond shrink-0">{{ hit.kind }}</span>
          </li>
        </ComboboxOption>
      </ComboboxOptions>
    </Combobox>
  </UiDialog>
</template>
