<script setup lang="ts">
import { computed, onScopeDispose, ref, shallowRef } from 'vue'
import type { ChanceBought } from '#core/forecast/chances'
import type { ChangeItem } from '#core/model/changes'

/** The chance that a change buys, by the same runs with and without it; made when somebody asks. */
const props = defineProps<{ items: readonly ChangeItem[] }>()
const store = useRefitStore()
const planner = usePlannerStore()
const { sayDate } = useDates()
const progress = ref<number | null>(null)
const failed = ref('')
const found = shallowRef<readonly ChanceBought[] | null>(null)
let mine = 0
onScopeDispose(() => (mine = -1))

async function ask() {
  const asked = ++mine
  failed.value = ''
  progress.value = 0
  try {
    const answer = await planner.chances(props.items, (share) => {
      if (asked === mine) progress.value = share
    })
    if (asked !== mine) return
    found.value = answer
    if (!answer) failed.value = 'Something else was asked meanwhile. Ask again.'
  } catch (error) {
    if (asked === mine) failed.value = sentenceOf(error)
  } finally {
    if (asked === mine) progress.value = null
  }
}
const side = ({ chance, aimedOn, likelyOn }: ChanceBought['before']): string => {
  const likely = likelyOn === null ? 'no likely day' : `likely ${sayDate(likelyOn)}`
  return chance === null || aimedOn === null
    ? likely
    : `${chance} in 100 by ${sayDate(aimedOn)}, ${likely}`
}
const rows = computed(() =>
  store.derived.gates.flatMap(({ gate }) => {
    const one = found.value?.find((each) => each.gateId === gate.id)
    if (!one) return []
    const gain = (one.after.chance ?? 0) - (one.before.chance ?? 0)
    return [
      { id: gate.id, name: gate.name, before: side(one.before), after: side(one.after), gain },
    ]
  }),
)
const columns = [
  { key: 'name', label: 'Gate' },
  { key: 'before', label: 'As it stands' },
  { key: 'after', label: 'Then' },
]
</script>

<template>
  <div class="mt-3">
    <UiTable v-if="rows.length > 0" caption="Chance of each gate" :columns="columns" :rows="rows">
      <template #after="{ row }"
        ><span
          :class="{ 'text-verdigris': row.gain > 0, 'text-redlead': row.gain < 0 }"
          class="font-semibold"
          >{{ row.after }}</span
        ></template
      >
    </UiTable>
    <template v-else>
      <button class="btn btn-small" :disabled="progress !== null" @click="ask">
        What chance does it buy?
      </button>
      <progress
        v-if="progress !== null"
        :value="progress"
        max="1"
        class="ml-3 w-32 align-middle"
        aria-label="Runs done"
      />
    </template>
    <p v-if="rows.length > 0" class="mt-1 text-sm text-ink2">
      By 150 runs of each plan with the same luck; a difference of less than 4 may be chance.
    </p>
    <p v-if="failed" class="mt-1 text-redlead" role="alert">{{ failed }}</p>
  </div>
</template>
