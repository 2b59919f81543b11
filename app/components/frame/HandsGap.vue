<script setup lang="ts">
import { computed } from 'vue'
import type { Remark } from '#core/model/stored'
import { handGap } from '#core/plan/handGap'
import { mondayOf } from '#core/time/civil'
import { weekdayNames } from '#core/time/say'
import { capital, inWords } from '#core/units/counted'

/** Work that asks for more hands than there are: a name brings a helper now and then, and the plan counts on them. */
const props = defineProps<{ reasons: readonly Remark[] }>()
const store = useRefitStore()
const gap = computed(() => handGap(store.rows, props.reasons))
/** A helper does not come each time. */
const everyWeeks = 2
const slotOf = (personId: string) => [
  {
    op: 'create' as const,
    entity: 'weekSlot' as const,
    id: newId(),
    patch: { personId, ...gap.value?.visit, everyWeeks, anchor: mondayOf(store.derived.today) },
  },
]
const hint = computed(() => {
  if (!gap.value) return ''
  const { weekday, from, to } = gap.value.visit
  return `Planned for every other ${weekdayNames[weekday - 1]}, ${from} to ${to}, from this week on. Change it in Settings.`
})
</script>

<template>
  <div v-if="gap" class="no-print my-1 max-w-xl">
    <UiAnother
      entity="person"
      field="name"
      :label="`Who lends a hand? ${gap.steps === 1 ? 'A step asks' : `${capital(inWords(gap.steps))} steps ask`} for ${gap.most === 2 ? 'two' : `up to ${inWords(gap.most)}`}`"
      keep="Add a helper"
      :hint="hint"
      :rest="() => ({ role: 'helper' })"
      :along="slotOf"
    />
  </div>
</template>
