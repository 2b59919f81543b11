<script setup lang="ts">
import { computed } from 'vue'
import { fieldOf } from '#core/model/references'
import { sayChoice } from '#core/model/sayValue'
import type { Remark } from '#core/model/stored'
import type { Skill } from '#core/model/words'
import { skillGaps } from '#core/plan/skillGaps'

/** Who does what nobody is said to do: one press puts its steps into the plan. */
const props = defineProps<{ reasons: readonly Remark[] }>()
const store = useRefitStore()
const people = useRows('person')
const gaps = computed(() => skillGaps(store.rows, props.reasons))
const wordOf = (skill: Skill) => sayChoice(fieldOf('step', 'skill'), skill).toLowerCase()
</script>

<template>
  <ul v-if="gaps.length > 0" class="no-print my-1 grid gap-1">
    <li v-for="{ skill, others } in gaps" :key="skill" class="flex flex-wrap items-center gap-2">
      <span>Who does {{ skill === 'aloft' ? 'work aloft' : wordOf(skill) }}?</span>
      <button
        v-for="person in others"
        :key="person.id"
        class="btn btn-small"
        @click="people.tick(person, 'skills', skill)"
      >
        {{ person.name }}
      </button>
      <span v-if="skill === 'electrics'" class="text-ink2">
        Low voltage: mains, gas and lithium stay with licensed people.
      </span>
    </li>
  </ul>
</template>
