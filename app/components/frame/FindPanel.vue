<script setup lang="ts">
import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/vue'
import { computed, ref, watch } from 'vue'

/** Finds anything: views, jobs, steps, findings, sheets, and what can be done. */
const store = useRefitStore()
const frame = useFrameStore()
const { views } = useViews()
const open = computed(() => frame.panel === 'find')
const asked = ref('')
watch(open, () => (asked.value = ''))

interface Hit {
  readonly id: string
  readonly name: string
  readonly kind: string
  /** Where it is and what it belongs to, found by as well. */
  readonly about?: string
  readonly go: () => void
}
const mostShown = 12
const at = (path: string) => () => void navigateTo(`/r/${store.refitId}/${path}`)
const zoneName = (id: string | null) => store.rows.zone.find((one) => one.id === id)?.name ?? ''
const systemName = (id: string | null) => store.rows.system.find((one) => one.id === id)?.name ?? ''
const all = computed<Hit[]>(() => [
  ...views.value.map((view) => ({
    id: view.path,
    name: view.name,
    kind: 'View',
    go: at(view.path),
  })),
  { id: 'week', name: 'Week', kind: 'View', go: at('week') },
  { id: 'settings', name: 'Settings', kind: 'View', go: at('settings') },
  { id: 'hours', name: 'Hours', kind: 'View', go: at('hours') },
  { id: 'launch-card', name: 'Water coming in: damage card', kind: 'View', go: at('launch/card') },
  { id: 'launch-day', name: 'Launch day, hour by hour', kind: 'View', go: at('launch/day') },
  { id: 'launch-watch', name: 'The watch afloat', kind: 'View', go: at('launch/watch') },
  {
    id: 'launch-inputs',
    name: 'Openings, tide and crane: what the launch rests on',
    kind: 'View',
    go: at('launch/inputs'),
  },
  ...store.rows.hullOpening.map((one) => ({
    id: one.id,
    name: one.title,
    kind: 'Opening',
    about: one.reach,
    go: at('launch/inputs'),
  })),
  { id: 'import', name: 'Bring in a list of work', kind: 'Do', go: at('import') },
  { id: 'do-hours', name: 'Log hours', kind: 'Do', go: () => frame.open('hours') },
  { id: 'do-clock', name: 'Start a clock', kind: 'Do', go: () => frame.open('clock') },
  ...store.rows.job.map((job) => ({
    id: job.id,
    name: job.title,
    kind: 'Job',
    about: `${zoneName(job.zoneId)} ${systemName(job.systemId)}`,
    go: at(`jobs?job=${job.id}`),
  })),
  ...store.rows.step.map((step) => ({
    id: step.id,
    name: step.title,
    kind: 'Step',
    go: at(`jobs?job=${step.jobId}`),
  })),
  ...store.rows.finding.map((one) => ({
    id: one.id,
    name: one.title,
    kind: 'Found',
    about: zoneName(one.zoneId),
    go: at(`walk?finding=${one.id}`),
  })),
  ...store.rows.asBuiltSheet.map((one) => ({
    id: one.id,
    name: one.title,
    kind: 'As-built',
    go: at(`log/${one.id}`),
  })),
])
const hits = computed(() => {
  const words = asked.value.toLowerCase().split(/\s+/).filter(Boolean)
  const rank = (hit: Hit) => {
    const name = hit.name.toLowerCase()
    const said = words.join(' ')
    if (name === said) return 0
    if (name.startsWith(said)) return 1
    return words.every((word) => name.includes(word)) ? 2 : 3
  }
  return all.value
    .filter((hit) =>
      words.every((word) =>
        `${hit.name} ${hit.kind} ${hit.about ?? ''}`.toLowerCase().includes(word),
      ),
    )
    .map((hit) => ({ hit, rank: rank(hit) }))
    .sort((a, b) => a.rank - b.rank)
    .map(({ hit }) => hit)
    .slice(0, mostShown)
})
function go(hit: Hit | null) {
  if (!hit) return
  frame.close()
  hit.go()
}
</script>

<template>
  <UiDialog :open="open" title="Find anything" @close="frame.close()">
    <Combobox v-slot="{ activeOption }" :model-value="null" nullable @update:model-value="go">
      <ComboboxInput
        class="field"
        aria-label="Find"
        placeholder="A job, a step, a view, something to do"
        autocomplete="off"
        @change="asked = $event.target.value"
        @keydown.esc.capture.stop="frame.close()"
        @keydown.enter.capture.stop.prevent="go(activeOption ?? hits[0] ?? null)"
      />
      <ComboboxOptions static class="mt-3">
        <li v-if="hits.length === 0" class="py-2 text-ink2">Nothing by that name.</li>
        <ComboboxOption
          v-for="hit in hits"
          :key="`${hit.kind}-${hit.id}`"
          v-slot="{ active }"
          :value="hit"
          as="template"
        >
          <li
            class="flex justify-between gap-4 px-2 py-1.5 max-sm:py-3"
            :class="active ? 'bg-ink text-sheet' : ''"
          >
            <span class="truncate">{{ hit.name }}</span><span class="cond">{{ hit.kind }}</span>
          </li>
        </ComboboxOption>
      </ComboboxOptions>
    </Combobox>
  </UiDialog>
</template>
