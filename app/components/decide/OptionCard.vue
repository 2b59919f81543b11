<script setup lang="ts">
import { Trash2 } from '@lucide/vue'
import { computed } from 'vue'
import type { DraftPart, DraftStep } from '#core/model/entities/choices'
import { optionCost } from '#core/choices/choose'
import type { Option } from '#core/choices/choose'
import { formatMoney } from '#core/money/money'
import { operations } from '#core/model/words'
import { operation as operationSaid } from '#core/model/said'
import { formatHours } from '#core/units/hours'
import { capital } from '#core/units/counted'

/** One way a decision could go: a draft of steps and parts, its lead and its price, and what it would do. */
const props = defineProps<{
  option: Option
  isOpen: boolean
  /** "Decide by Sat 15 May"; '': not known. */
  by: string
  isLate: boolean
  /** What it does to the gates; '': it is being worked out. */
  effect: string
}>()
defineEmits<{ choose: [] }>()
const store = useRefitStore()
const rows = useRows('option')
const currency = computed(() => store.refit?.currency ?? 'EUR')
const cost = computed(() => optionCost(props.option))
const hours = computed(() => props.option.steps.reduce((sum, one) => sum + one.hours, 0))
const setSteps = (steps: readonly DraftStep[]) => rows.edit(props.option, { steps })
const setParts = (parts: readonly DraftPart[]) => rows.edit(props.option, { parts })
const editStep = (index: number, patch: Partial<DraftStep>) =>
  void setSteps(props.option.steps.map((one, at) => (at === index ? { ...one, ...patch } : one)))
const editPart = (index: number, patch: Partial<DraftPart>) =>
  void setParts(props.option.parts.map((one, at) => (at === index ? { ...one, ...patch } : one)))
const words = operationSaid as Readonly<Record<string, string>>
const ways = operations.map((value) => ({
  value,
  label: words[value] ?? capital(value),
}))
const addStep = () =>
  setSteps([
    ...props.option.steps,
    { title: 'Fit it', operation: 'fit', hours: 1, placeNeed: 'boat' },
  ])
const addPart = () =>
  setParts([...props.option.parts, { name: 'Part', quantity: 1, priceMinor: null }])
</script>

<template>
  <section class="flex flex-col border-2 border-ink bg-sheet p-3" :aria-label="option.title">
    <RowField
      entity="option"
      :row="option"
      field="title"
      hide-label
      quiet
      class="text-[1.1875rem]"
    />
    <dl class="mt-1 grid grid-cols-[auto_1fr] gap-x-3">
      <dt class="text-ink2">Costs</dt>
      <dd class="font-semibold">
        {{ cost === null ? 'not all of it has a price' : formatMoney(cost, currency) }}
      </dd>
      <dt class="text-ink2">Work</dt>
      <dd>{{ hours > 0 ? formatHours(hours) : 'none of its own' }}</dd>
      <dt v-if="isOpen" class="text-ink2">Gates</dt>
      <dd v-if="isOpen" aria-live="polite">{{ effect || 'Planning with it…' }}</dd>
      <template v-if="by && isOpen">
        <dt class="text-ink2">Still open</dt>
        <dd :class="isLate ? 'text-redlead' : ''">{{ by }}</dd>
      </template>
    </dl>
    <div class="mt-2 grid grid-cols-2 gap-3">
      <RowField entity="option" :row="option" field="leadDays" />
      <RowField entity="option" :row="option" field="costMinor" label="Besides its parts" />
    </div>
    <h3 class="mt-3">Steps</h3>
    <ul>
      <li
        v-for="(one, index) in option.steps"
        :key="index"
        class="grid grid-cols-[1fr_auto] items-end gap-2 border-b border-rule py-1"
      >
        <UiText
          :model-value="one.title"
          :label="`Step ${index + 1}`"
          hide-label
          @update:model-value="editStep(index, { title: $event ?? '' })"
        />
        <button
          class="btn btn-quiet"
          :aria-label="`Remove step ${one.title}`"
          @click="setSteps(option.steps.filter((_, at) => at !== index))"
        >
          <Trash2 :size="17" aria-hidden="true" />
        </button>
        <div class="col-span-2 grid grid-cols-2 gap-2">
          <UiSelect
            :model-value="one.operation"
            label="Operation"
            hide-label
            :options="ways"
            @update:model-value="$event && editStep(index, { operation: $event })"
          />
          <UiHours
            :model-value="one.hours"
            :label="`Hours of ${one.title}`"
            hide-label
            @update:model-value="editStep(index, { hours: $event ?? 0 })"
          />
        </div>
      </li>
    </ul>
    <button class="btn btn-small mt-1 self-start" @click="addStep">Add a step</button>
    <h3 class="mt-3">Parts</h3>
    <ul>
      <li
        v-for="(one, index) in option.parts"
        :key="index"
        class="grid grid-cols-[1fr_1fr_auto] items-end gap-2 border-b border-rule py-1"
      >
        <UiText
          :model-value="one.name"
          :label="`Part ${index + 1}`"
          hide-label
          class="col-span-3"
          @update:model-value="editPart(index, { name: $event ?? '' })"
        />
        <UiNumber
          :model-value="one.quantity"
          :label="`How many: ${one.name}`"
          hide-label
          @update:model-value="editPart(index, { quantity: $event ?? 1 })"
        />
        <UiMoney
          :model-value="one.priceMinor"
          :label="`Price of ${one.name}`"
          hide-label
          :currency="currency"
          may-be-empty
          @update:model-value="editPart(index, { priceMinor: $event })"
        />
        <button
          class="btn btn-quiet"
          :aria-label="`Remove part ${one.name}`"
          @click="setParts(option.parts.filter((_, at) => at !== index))"
        >
          <Trash2 :size="17" aria-hidden="true" />
        </button>
      </li>
    </ul>
    <button class="btn btn-small mt-1 self-start" @click="addPart">Add a part</button>
    <div class="mt-auto flex flex-wrap gap-2 pt-4">
      <button
        v-if="isOpen"
        class="btn btn-main"
        :aria-label="`Choose: ${option.title}`"
        @click="$emit('choose')"
      >
        Choose it
      </button>
      <button
        v-if="isOpen"
        class="btn btn-quiet"
        :aria-label="`Remove option: ${option.title}`"
        @click="rows.remove(option)"
      >
        Remove
      </button>
    </div>
  </section>
</template>
