<script setup lang="ts">
import { computed } from 'vue'
import { inOrder } from '#core/model/refit'
import { hourMs } from '#core/time/civil'
import { formatHours } from '#core/units/hours'
import type { Layer } from '#core/stair/layers'

/** Whose hours the plan puts into what is left, and how many hands it takes at once. */
const props = defineProps<{ layers: readonly Layer[] }>()
const store = useRefitStore()
const left = computed(() =>
  props.layers.flatMap((one) => one.steps).filter((step) => step.state !== 'done'),
)
const ids = computed(() => new Set(left.value.map((step) => step.id)))
const people = computed(() => {
  const hours = new Map<string, number>()
  for (const one of store.accepted?.placements ?? []) {
    if (!ids.value.has(one.stepId)) continue
    const length = one.segments.reduce((sum, [from, to]) => sum + to - from, 0) / hourMs
    for (const id of one.personIds) hours.set(id, (hours.get(id) ?? 0) + length)
  }
  return inOrder(store.rows.person).flatMap((person, index) => {
    const own = hours.get(person.id)
    return own === undefined ? [] : [{ person, index, hours: own }]
  })
})
const two = computed(() => left.value.filter((step) => step.crewMin > 1).length)
</script>

<template>
  <section v-if="left.length > 0">
    <div class="flex items-baseline justify-between border-b-2 border-ink">
      <h2>Whose hours</h2>
      <p v-if="two > 0" class="cond text-ink2">
        {{ two }} {{ two === 1 ? 'step needs' : 'steps need' }} two or more at once
      </p>
    </div>
    <ul>
      <li v-for="one in people" :key="one.person.id" class="flex items-center gap-2 py-0.5">
        <PersonMark :index="one.index" :name="one.person.name" />
        <span class="min-w-0 grow truncate">{{ one.person.name }}</span>
        <span class="cond">{{ formatHours(one.hours) }}</span>
      </li>
    </ul>
    <p v-if="people.length === 0" class="py-1 text-ink2">The plan has nobody on it yet.</p>
  </section>
</template>
