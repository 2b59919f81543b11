<script setup lang="ts">
import { computed } from 'vue'

import { creation } from '~/utils/changeItems'

/** One account opened: its sum planned, and every line it is added up from. */
const props = defineProps<{ open: string | null }>()
const emit = defineEmits<{ close: []; spend: [id: string] }>()
const store = useRefitStore()
const { money, currency, say } = useMoney()
const one = computed(
  () => money.value.accounts.find((account) => account.key === props.open) ?? null,
)
const budget = computed(() =>
  store.rows.budget.find(
    (row) => row.account === one.value?.account && row.systemId === one.value?.systemId,
  ),
)
function plan(minor: number | null) {
  const account = one.value
  if (!account) return
  const was = budget.value
  const label = `Planned for ${account.name}`
  if (minor === null)
    return was
      ? void store.attempt(label, [
          { op: 'delete', entity: 'budget', id: was.id, baseVersion: was.version },
        ])
      : undefined
  void store.attempt(label, [
    was
      ? { op: 'patch', entity: 'budget', id: was.id, baseVersion: was.version, patch: { minor } }
      : creation('budget', { account: account.account, systemId: account.systemId, minor }),
  ])
}
const rows = computed(() =>
  [...(one.value?.lines ?? [])].reverse().map((line) => ({ ...line, id: line.key })),
)
</script>

<template>
  <UiDialog :open="one !== null" :title="one?.name ?? ''" wide @close="emit('close')">
    <div v-if="one" class="grid gap-4">
      <div class="grid gap-3 sm:grid-cols-2">
        <UiMoney
          :model-value="budget?.minor ?? null"
          label="Planned for it"
          :currency="currency"
          may-be-empty
          :hint="
            one.isTyped
              ? 'Empty: guessed at again.'
              : `Guessed at ${say(one.plannedMinor)}. Type a sum to plan one.`
          "
          @update:model-value="plan"
        />
      </div>
      <MoneyLines :rows="rows" :caption="`Lines of ${one.name}`" @spend="emit('spend', $event)" />
    </div>
  </UiDialog>
</template>
