<script setup lang="ts">
import { computed } from 'vue'
import { inOrder } from '#core/model/refit'
import { hoursByKind } from '#core/progress/hoursByKind'
import { formatHours } from '#core/units/hours'

/** Hours in chalk: a stroke is four, the fifth crosses them. */
const store = useRefitStore()
const [aStroke, fives] = [4, 5]
const most = 60
const kinds = computed(() => hoursByKind(store.rows))
const people = computed(() =>
  inOrder(store.rows.person).filter((who) => kinds.value.some((one) => one.hours.has(who.id))),
)
const none = computed(() =>
  inOrder(store.rows.person).filter((who) => !who.gone && !people.value.includes(who)),
)
const total = (personId: string) =>
  kinds.value.reduce((sum, one) => sum + (one.hours.get(personId) ?? 0), 0)
/** A stroke at each 4 px, a fifth across. Where they are too many, a stroke is more hours. */
const per = computed(() => {
  const largest = Math.max(0, ...kinds.value.flatMap((one) => [...one.hours.values()]))
  return aStroke * Math.max(1, Math.ceil(largest / (aStroke * most)))
})
function strokes(hours: number): string {
  const many = Math.round(hours / per.value)
  return Array.from({ length: many }, (_, at) => {
    const [five, within] = [Math.floor(at / fives), at % fives]
    const x = five * 28 + within * 5 + 3
    return within < 4 ? `M${x} 2l-1 12` : `M${five * 28} 12L${five * 28 + 22} 4`
  }).join('')
}
const wide = (hours: number) => Math.ceil(Math.round(hours / per.value) / fives) * 28 + 4
</script>

<template>
  <section aria-labelledby="hours-strokes">
    <h2 id="hours-strokes" class="border-b-2 border-ink text-lg">
      Hours, a chalk stroke is {{ per }}
    </h2>
    <p v-if="kinds.length === 0" class="mt-1 text-ink2">
      No hours yet. Press h anywhere to write down the first.
    </p>
    <div
      v-else
      class="overflow-x-auto"
      tabindex="0"
      role="region"
      aria-label="Hours by person and kind"
    >
      <table class="w-full border-collapse">
        <thead>
          <tr class="text-left">
            <th scope="col"><span class="sr-only">Kind of work</span></th>
            <th v-for="who in people" :key="who.id" scope="col" class="cond px-2 text-[1.0625rem]">
              {{ who.name }} {{ formatHours(total(who.id)) }}
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in kinds" :key="one.name" class="border-b border-rule2">
            <th scope="row" class="cond py-0.5 text-left font-normal whitespace-nowrap">
              {{ one.name }}
            </th>
            <td v-for="who in people" :key="who.id" class="px-2">
              <span class="flex items-center gap-2">
                <span class="cond w-9 shrink-0 text-right">{{
                  one.hours.has(who.id) ? Math.round(one.hours.get(who.id) ?? 0) : '–'
                }}</span>
                <svg
                  :width="wide(one.hours.get(who.id) ?? 0)"
                  height="16"
                  class="max-sm:hidden"
                  aria-hidden="true"
                >
                  <path
                    :d="strokes(one.hours.get(who.id) ?? 0)"
                    stroke="var(--ink)"
                    stroke-width="2"
                    fill="none"
                  />
                </svg>
              </span>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-if="none.length > 0 && kinds.length > 0" class="text-ink2">
      None of {{ none.map((who) => who.name).join(' or ') }}.
      <NuxtLink class="underline" :to="`/r/${store.refitId}/hours`">All entries</NuxtLink>
    </p>
    <NuxtLink v-else class="underline" :to="`/r/${store.refitId}/hours`">All entries</NuxtLink>
  </section>
</template>
