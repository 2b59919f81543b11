<script setup lang="ts">
import { computed, watch } from 'vue'
import type { TradeAccount } from '#core/money/tradeAccount'
import { creation } from '~/utils/changeItems'

/** A bill as it came. More than was agreed is taken down all the same, and asked about. */
const props = defineProps<{ account: TradeAccount | null }>()
const emit = defineEmits<{ close: [] }>()
const store = useRefitStore()
const toasts = useToastStore()
const { undo } = useUndo()
const { currency, say } = useMoney()
const left = computed(() =>
  props.account ? Math.max(0, props.account.agreedMinor - props.account.billedMinor) : 0,
)
const form = useRowForm('invoice', () => ({
  bookingId: props.account?.booking.id,
  number: '',
  on: store.derived.today,
  ...(left.value > 0 ? { minor: left.value } : {}),
  note: '',
}))
watch(
  () => props.account?.booking.id,
  (id) => id && form.reset(),
)
const beyond = computed(() => ((form.values.minor as number | undefined) ?? 0) - left.value)
async function save() {
  const done = await form.save(`A bill from ${props.account?.booking.trade ?? ''}`, (values) => [
    creation('invoice', values),
  ])
  if (!done) return
  toasts.say('The bill is written down.', false, { label: 'Undo', run: undo })
  emit('close')
}
</script>

<template>
  <UiDialog
    :open="account !== null"
    :title="`A bill from ${account?.booking.trade ?? ''}`"
    @close="emit('close')"
  >
    <form class="grid gap-3" novalidate @submit.prevent="save">
      <UiMoney
        :model-value="(form.values.minor as number | undefined) ?? null"
        label="Sum of the bill"
        :currency="currency"
        :error="form.bind('minor').error"
        @update:model-value="form.set('minor', $event)"
      />
      <FieldInput v-bind="form.bind('on')" />
      <FieldInput v-bind="form.bind('number')" />
      <FieldInput v-bind="form.bind('note')" />
      <p class="min-h-6 text-redlead" role="alert">{{ form.wrong.value }}</p>
      <div class="flex gap-2">
        <button class="btn btn-main" :disabled="form.busy.value">Write it down</button>
        <button type="button" class="btn" @click="emit('close')">Not now</button>
      </div>
      <p class="min-h-12 leading-snug" role="status">
        <template v-if="beyond > 0 && account && account.agreedMinor > 0">
          That is {{ say(beyond) }} more than was agreed and not billed yet. It is kept, and asked
          about until a change is agreed.
        </template>
        <template v-else-if="account && account.agreedMinor === 0">
          No price was agreed: put it on the booking's sheet, so that it can be checked.
        </template>
      </p>
    </form>
  </UiDialog>
</template>
