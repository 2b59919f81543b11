<script setup lang="ts">
import { computed } from 'vue'
import type { Remark } from '#core/model/stored'
import { skillGaps, skillWord } from '#core/plan/skillGaps'

/** Who does what nobody is said to do: one press puts its steps into the plan. */
const props = defineProps<{ reasons: readonly Remark[] }>()
const store = useRefitStore()
const people = useRows('person')
const gaps = computed(() => skillGaps(store.rows, props.reasons))
</script>

<template>
  <ul v-if="gaps.length > 0" class="no-print my-1 grid gap-1">
    <li v-for="{ skill, others } in gaps" :key="skill" class="flex flex-wrap items-center gap-2">
      <span>Who does {{ skillWord(skill) }}?</span>
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
