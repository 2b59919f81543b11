<script setup lang="ts">
import { Plus, Trash2 } from '@lucide/vue'
import { fieldLabel } from '#core/model/changes'
import { asUsual, ownFacts } from '#core/plan/factsSaid'
import type { RecipeMaterial, RecipeStep } from '#core/recipes/recipe'
import { recipeUnits } from '#core/recipes/recipe'

/** One step of an own recipe: what, how long by formula, when, what it takes. */
const props = defineProps<{ step: RecipeStep }>()
const emit = defineEmits<{ change: [fields: object]; remove: [] }>()
const unitOptions = recipeUnits.map((value) => ({ value, label: value }))
const waits = optionsOf('step', 'waitKind')
const maybe = (text: string | null) => (text === null || text.trim() === '' ? undefined : text)

function setWait(fields: { kind?: string | null; hours?: string | null; minC?: number | null }) {
  const next = { ...props.step.wait, ...fields }
  const { kind, hours, minC } = next
  emit('change', {
    wait:
      !kind || kind === 'none'
        ? undefined
        : { kind, hours: hours || '24', ...(minC === null || minC === undefined ? {} : { minC }) },
  })
}
/** What is counted: both must be said, or neither is. */
function setCount(fields: { unit?: string | null; of?: string | null }) {
  const { unit = '', of = '', ...more } = { ...props.step.count, ...fields }
  const isNone = (unit ?? '').trim() === '' && (of ?? '').trim() === ''
  emit('change', { count: isNone ? undefined : { ...more, unit: unit || 'units', of: of || '1' } })
}
function setRead(fields: {
  what?: string | null
  unit?: string | null
  high?: number | null
  low?: number | null
}) {
  const next = { ...props.step.read, ...fields }
  const { what, unit, low, high, failAt, source } = next
  const isNone = !what || what.trim() === ''
  emit('change', {
    read: isNone
      ? undefined
      : {
          what,
          unit: unit ?? '',
          ...(low == null ? {} : { low }),
          ...(high == null ? {} : { high }),
          ...(failAt === undefined ? {} : { failAt }),
          ...(source === undefined ? {} : { source }),
        },
  })
}
const stages = optionsOf('step', 'beginsOnce')
function setMaterial(at: number, fields: Partial<RecipeMaterial>) {
  const materials = (props.step.materials ?? []).map((one, index) =>
    index === at ? (JSON.parse(JSON.stringify({ ...one, ...fields })) as RecipeMaterial) : one,
  )
  emit('change', { materials })
}
function addMaterial() {
  const fresh: RecipeMaterial = { what: 'Material', unit: 'pieces', quantity: '1' }
  emit('change', { materials: [...(props.step.materials ?? []), fresh] })
}
const removeMaterial = (at: number) =>
  emit('change', { materials: (props.step.materials ?? []).filter((_, index) => index !== at) })
</script>

<template>
  <div class="border-b border-rule py-2">
    <div class="grid grid-cols-2 items-end gap-2 md:grid-cols-[3fr_9rem_2fr_auto]">
      <UiText
        :model-value="step.title"
        label="Step"
        needed
        @update:model-value="emit('change', { title: $event })"
      />
      <UiSelect
        :model-value="step.operation"
        label="Operation"
        :options="optionsOf('step', 'operation')"
        @update:model-value="emit('change', { operation: $event })"
      />
      <UiText
        :model-value="step.hours"
        :label="`Hours of ${step.title}`"
        needed
        :most="400"
        @update:model-value="emit('change', { hours: $event })"
      />
      <button
        type="button"
        class="btn btn-small"
        :aria-label="`Remove ${step.title}`"
        @click="emit('remove')"
      >
        <Trash2 :size="16" aria-hidden="true" />
      </button>
    </div>
    <details class="mt-1">
      <summary class="cond text-ink2">Wait, conditions, materials of {{ step.title }}</summary>
      <div class="mt-1 grid grid-cols-2 gap-2 md:grid-cols-4">
        <UiSelect
          :model-value="step.wait?.kind ?? 'none'"
          label="Wait after it"
          :options="waits"
          @update:model-value="setWait({ kind: $event })"
        />
        <UiText
          v-if="step.wait"
          :model-value="step.wait.hours"
          label="Wait, hours"
          needed
          @update:model-value="setWait({ hours: $event })"
        />
        <UiQuantity
          v-if="step.wait"
          :model-value="step.wait.minC ?? null"
          label="No cure below"
          unit="°C"
          :min="-20"
          :max="50"
          may-be-empty
          @update:model-value="setWait({ minC: $event })"
        />
        <UiQuantity
          :model-value="step.minC ?? null"
          label="Coldest air"
          unit="°C"
          :min="-20"
          :max="50"
          may-be-empty
          @update:model-value="emit('change', { minC: $event ?? undefined })"
        />
        <UiText
          :model-value="step.when ?? ''"
          label="Only when"
          @update:model-value="emit('change', { when: maybe($event) })"
        />
        <UiText
          :model-value="step.times ?? ''"
          label="How often"
          @update:model-value="emit('change', { times: maybe($event) })"
        />
      </div>
      <div class="mt-2 grid grid-cols-2 gap-2 md:grid-cols-4">
        <UiSelect
          :model-value="step.once ?? 'cured'"
          label="Begins once what is before it"
          :options="stages"
          @update:model-value="
            emit('change', { once: $event === 'cured' ? undefined : ($event ?? undefined) })
          "
        />
        <UiText
          :model-value="step.count?.unit ?? ''"
          label="Counted in"
          :most="40"
          @update:model-value="setCount({ unit: $event })"
        />
        <UiText
          :model-value="step.count?.of ?? ''"
          label="How many of them"
          @update:model-value="setCount({ of: $event })"
        />
        <UiText
          :model-value="step.read?.what ?? ''"
          label="Read at it"
          :most="120"
          @update:model-value="setRead({ what: $event })"
        />
        <template v-if="step.read">
          <UiText
            :model-value="step.read.unit"
            label="Read in"
            :most="20"
            @update:model-value="setRead({ unit: $event })"
          />
          <UiNumber
            :model-value="step.read.low ?? null"
            label="Passes from"
            may-be-empty
            @update:model-value="setRead({ low: $event })"
          />
          <UiNumber
            :model-value="step.read.high ?? null"
            label="Passes up to"
            may-be-empty
            @update:model-value="setRead({ high: $event })"
          />
        </template>
        <UiYesNo
          v-for="fact in ownFacts"
          :key="fact"
          :model-value="step[fact] ?? null"
          :label="fieldLabel('step', fact)"
          :none="asUsual(step.operation, fact)"
          @update:model-value="emit('change', { [fact]: $event ?? undefined })"
        />
      </div>
      <UiCheck
        class="mt-2"
        :model-value="step.afterGate ?? false"
        label="After the gate: the gate never waits for it"
        @update:model-value="emit('change', { afterGate: $event || undefined })"
      />
      <UiText
        class="mt-2"
        :model-value="step.caution ?? ''"
        label="Caution"
        :most="1000"
        @update:model-value="emit('change', { caution: $event ?? '' })"
      />
      <UiText
        v-if="(step.materials ?? []).length === 0"
        class="mt-2"
        :model-value="step.noMaterial ?? ''"
        label="Takes no material, because"
        :most="300"
        @update:model-value="emit('change', { noMaterial: maybe($event) })"
      />
      <div
        v-for="(material, at) in step.materials"
        :key="at"
        class="mt-2 grid grid-cols-2 items-end gap-2 md:grid-cols-[2fr_2fr_7rem_6rem_auto]"
      >
        <UiText
          :model-value="material.what"
          label="Material"
          needed
          @update:model-value="setMaterial(at, { what: $event ?? '' })"
        />
        <UiText
          :model-value="material.quantity"
          label="Amount"
          needed
          @update:model-value="setMaterial(at, { quantity: $event ?? '' })"
        />
        <UiSelect
          :model-value="material.unit"
          label="Unit"
          :options="unitOptions"
          @update:model-value="setMaterial(at, { unit: $event ?? 'pieces' })"
        />
        <UiNumber
          :model-value="material.pack ?? null"
          label="Packs of"
          may-be-empty
          :min="0.001"
          @update:model-value="setMaterial(at, { pack: $event ?? undefined })"
        />
        <button
          type="button"
          class="btn btn-small"
          :aria-label="`Remove ${material.what}`"
          @click="removeMaterial(at)"
        >
          <Trash2 :size="16" aria-hidden="true" />
        </button>
      </div>
      <button type="button" class="btn btn-small mt-2" @click="addMaterial">
        <Plus :size="16" aria-hidden="true" /> Material
      </button>
    </details>
  </div>
</template>
