<script setup lang="ts">
import { computed, watch } from 'vue'
import type { Step } from '#core/model/entities'

/** A clock started: a pot, a cure, an overcoat or an immersion window. The data sheet's times go in. */
const store = useRefitStore()
const frame = useFrameStore()
const time = useTimeStore()
const toasts = useToastStore()
const open = computed(() => frame.panel === 'clock')
const step = computed<Step | null>(
  () => store.rows.step.find((one) => one.id === frame.stepId) ?? null,
)
const products = computed(() =>
  store.rows.product.map((product) => ({ value: product.id, label: product.name })),
)

const initial = () => ({
  title: step.value?.title ?? '',
  kind: step.value ? (step.value.maxWaitHours ? 'overcoat' : 'cure') : 'pot',
  stepId: step.value?.id ?? null,
  refC: step.value?.waitRefC ?? 20,
  minC: step.value?.waitMinC ?? null,
  opensH: step.value && step.value.waitKind !== 'none' ? step.value.waitHours : null,
  closesH: step.value?.maxWaitHours ?? null,
  refMassG: 100,
  assumedC: 15,
})
const form = useRowForm('clock', initial)
watch(open, (isOpen) => isOpen && form.reset(), { immediate: true })
const isPot = computed(() => form.values.kind === 'pot')

/** Takes the times of a product's data sheet. */
function fromProduct(id: string | null) {
  const product = store.rows.product.find((one) => one.id === id)
  if (!product) return
  const { kind } = form.values
  form.set('refC', product.refC)
  form.set('minC', product.minC)
  form.set('maxC', product.maxC)
  form.set('refMassG', product.potMassG ?? 100)
  form.set(
    'opensH',
    kind === 'cure'
      ? product.cureH
      : kind === 'immersion'
        ? product.immersionMinH
        : product.overcoatOpensH,
  )
  form.set(
    'closesH',
    kind === 'pot'
      ? product.potLifeH
      : kind === 'immersion'
        ? product.immersionMaxH
        : product.overcoatClosesH,
  )
}
async function start() {
  const done = await form.save(`Clock: ${String(form.values.title ?? '')}`, (values) => [
    {
      op: 'create',
      entity: 'clock',
      id: newId(),
      patch: {
        ...values,
        opensH: isPot.value ? null : values.opensH,
        massG: isPot.value ? values.massG : null,
        refMassG: isPot.value ? values.refMassG : null,
        startedAt: Math.round(time.now),
      },
    },
  ])
  if (!done) return
  frame.close()
  toasts.say('The clock runs.')
}
</script>

<template>
  <UiDialog :open="open" title="Start a clock" @close="frame.close()">
    <form class="grid gap-4" @submit.prevent="start">
      <UiText
        v-bind="form.bind('title', 'What is curing')"
        needed
        placeholder="Foredeck plies 1 and 2"
      />
      <FieldInput v-bind="form.bind('kind', 'Kind')" plates />
      <UiSelect
        v-if="products.length > 0"
        label="Product"
        :model-value="null"
        :options="products"
        none="Times by hand"
        @update:model-value="fromProduct"
      />
      <div class="grid grid-cols-2 gap-3">
        <UiHours
          v-if="!isPot"
          v-bind="form.bind('opensH', 'Ready after')"
          :day="24"
          :most="5000"
          may-be-empty
        />
        <UiHours
          v-bind="form.bind('closesH', isPot ? 'Pot life' : 'Bond window shuts after')"
          :day="24"
          :most="20000"
          :hint="isPot ? '20 min, 0:45 or 1.5 h' : undefined"
          may-be-empty
        />
        <UiQuantity v-bind="form.bind('refC', 'Times are for')" unit="°C" />
        <UiQuantity
          v-if="!isPot"
          v-bind="form.bind('minC', 'No cure below')"
          unit="°C"
          may-be-empty
        />
        <UiQuantity
          v-if="isPot"
          v-bind="form.bind('massG', 'In the cup')"
          unit="g"
          :min="1"
          may-be-empty
        />
        <UiQuantity
          v-if="isPot"
          v-bind="form.bind('refMassG', 'Pot life is for')"
          unit="g"
          :min="1"
          may-be-empty
        />
        <UiQuantity v-bind="form.bind('assumedC', 'Air taken as')" unit="°C" />
      </div>
      <p class="text-ink2">All times as on the product’s data sheet, which decides.</p>
      <p v-if="form.wrong.value" class="text-redlead" role="alert">{{ form.wrong.value }}</p>
      <button class="btn btn-main" type="submit" :disabled="form.busy.value">Start</button>
    </form>
  </UiDialog>
</template>
