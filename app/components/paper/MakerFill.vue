<script setup lang="ts">
import { figured } from '#core/units/counted'
import { computed, ref } from 'vue'
import type { ChangeItem } from '#core/model/changes'
import type { Row } from '#core/model/entities'
import { keysAfter } from '#core/model/order'
import { deletion } from '#core/model/removal'
import { postsOnRun } from '#core/layout/postsOnRun'

/** Posts spread along a run: as equal as the gate lets them be, none further apart than the longest span. */
const props = defineProps<{ sheet: Row<'makerSheet'>; items: readonly Row<'makerItem'>[] }>()
const store = useRefitStore()
const isOpen = ref(false)
const first = ref<number | null>(0)
const last = ref<number | null>(8000)
const longest = ref<number | null>(1500)
const gateFrom = ref<number | null>(null)
const gateTo = ref<number | null>(null)
const height = ref<number | null>(600)
/** What the run asks for, or why it cannot be. */
const found = computed((): { marks: number[] } | { wrong: string } => {
  const [from, to, most] = [first.value, last.value, longest.value]
  if (from === null || to === null || most === null)
    return { wrong: 'Where is the first post, where the last, and how far apart may they stand?' }
  if (to - from < 100) return { wrong: 'The last post has to stand beyond the first.' }
  if (most < 200) return { wrong: 'Posts stand 200 mm apart at the least.' }
  const isHalf = (gateFrom.value === null) !== (gateTo.value === null)
  if (isHalf) return { wrong: 'A gate has two sides: write both, or none.' }
  const gate =
    gateFrom.value === null || gateTo.value === null
      ? null
      : ([(gateFrom.value - from) / 1000, (gateTo.value - from) / 1000] as const)
  if (gate && !(gate[0] >= 0 && gate[1] > gate[0] && gate[1] <= (to - from) / 1000))
    return { wrong: 'The gate has to lie between the first post and the last.' }
  if (to - from > 100_000) return { wrong: 'That is over 100 m.' }
  const { marksM } = postsOnRun((to - from) / 1000, Math.min(20, most / 1000), gate, [])
  return { marks: marksM.map((at) => Math.round(from + at * 1000)) }
})
async function fill() {
  if ('wrong' in found.value) return
  const { marks } = found.value
  const orders = keysAfter(null, marks.length)
  const gates = new Set(gateFrom.value === null ? [] : [Math.round(gateFrom.value)])
  const items: ChangeItem[] = [
    ...props.items.map((item) => deletion('makerItem', item)),
    ...marks.map((atMm, index) => ({
      op: 'create' as const,
      entity: 'makerItem' as const,
      id: newId(),
      patch: {
        sheetId: props.sheet.id,
        mark: String(index + 1),
        atMm,
        heightMm: height.value,
        leanDeg: null,
        isGateNext: gates.has(atMm),
        order: orders[index],
      },
    })),
  ]
  if (await store.attempt(`${figured(marks.length, 'post')} on sheet ${props.sheet.number}`, items))
    isOpen.value = false
}
</script>

<template>
  <button class="btn" @click="isOpen = true">Spread posts along a run</button>
  <UiDialog :open="isOpen" title="Posts along a run" @close="isOpen = false">
    <form class="grid gap-3 sm:grid-cols-2" novalidate @submit.prevent="fill">
      <UiNumber v-model="first" label="First post at, mm" :min="0" :max="100000" />
      <UiNumber v-model="last" label="Last post at, mm" :min="0" :max="100000" />
      <UiNumber v-model="longest" label="Longest span, mm" :min="1" :max="20000" />
      <UiNumber v-model="height" label="Height, mm" :min="0" :max="10000" may-be-empty />
      <UiNumber v-model="gateFrom" label="Gate from, mm" :min="0" :max="100000" may-be-empty />
      <UiNumber v-model="gateTo" label="Gate to, mm" :min="0" :max="100000" may-be-empty />
      <p class="min-h-12 leading-snug sm:col-span-2" role="status">
        <span v-if="'wrong' in found" class="text-redlead">{{ found.wrong }}</span>
        <template v-else>
          {{ found.marks.length }} posts at {{ found.marks.join(', ') }} mm.
          <template v-if="items.length > 0">
            They take the place of the {{ items.length }} on the sheet.
          </template>
        </template>
      </p>
      <div class="flex gap-2 sm:col-span-2">
        <button class="btn btn-main" :disabled="'wrong' in found">Put them on the sheet</button>
        <button type="button" class="btn" @click="isOpen = false">Leave</button>
      </div>
    </form>
  </UiDialog>
</template>
