<script setup lang="ts">
import { computed } from 'vue'
import type { Remark } from '#core/model/stored'
import { handGap } from '#core/plan/handGap'
import { weekdayNames } from '#core/time/say'
import { capital, inWords } from '#core/units/counted'

/** Work that asks for more hands than there are: a name brings a helper now and then, and the plan counts on them. */
const props = defineProps<{ reasons: readonly Remark[] }>()
const store = useRefitStore()
const { sayDay } = useDates()
const gap = computed(() => handGap(store.rows, props.reasons, store.derived.today))
/** A helper does not come each time. */
const everyWeeks = 2
const slotOf = (personId: string) => [
  {
    op: 'create' as const,
    entity: 'weekSlot' as const,
    id: newId(),
    patch: { personId, ...gap.value?.visit, everyWeeks, anchor: gap.value?.firstOn },
  },
]
const label = computed(() => {
  if (!gap.value) return ''
  const { steps, least, most } = gap.value
  const some = steps === 1 ? 'A step asks' : `${capital(inWords(steps))} steps ask`
  return `Who lends a hand? ${some} for ${least < most ? 'up to ' : ''}${inWords(most)}`
})
const hint = computed(() => {
  if (!gap.value) return ''
  const { visit, firstOn } = gap.value
  return `Planned for every other ${weekdayNames[visit.weekday - 1]}, ${visit.from} to ${visit.to}, first on ${sayDay(firstOn)}. Change it in Settings.`
})
</script>

<template>
  <div v-if="gap" class="no-print my-1 max-w-xl">
    <UiAnother
      entity="person"
      field="name"
      :label="label"
      keep="Add a helper"
      :hint="hint"
      :rest="() => ({ role: 'helper' })"
      :along="slotOf"
    />
  </div>
</template>
