<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { KeptAt } from '#core/model/words'
import { keptAt } from '#core/model/words'
import { keptAt as keptSaid } from '#core/model/said'
import { arriveItems } from '#core/stores/ordering'
import type { Arrival } from '#core/stores/ordering'
import type { LineState } from '#core/stores/lineState'

/** What came of a line: count, batch, faults, and where it was put. Arrived and checked are two things. */
const props = defineProps<{
  line: LineState | null
  /** Parts that wait for it, the first to be needed first. */
  firstNeeded: readonly string[]
}>()
const emit = defineEmits<{ close: [] }>()
const store = useRefitStore()
const toasts = useToastStore()
const { undo } = useUndo()
const { sayDay } = useDates()
const personId = useMe()
const form = useRowForm('delivery', () => ({
  lineId: props.line?.line.id ?? '',
  cameOn: store.derived.today,
  quantity: props.line?.toCome || 1,
  checkedOn: null,
  batch: '',
  expiresOn: null,
  faulty: 0,
  fault: '',
  returnBy: null,
  instead: '',
}))
const checked = ref(true)
const at = ref<KeptAt>('boat')
const restDueOn = ref<string | null>(null)
watch(
  () => props.line?.line.id,
  (id) => {
    if (!id) return
    form.reset()
    checked.value = true
    restDueOn.value = props.line?.dueOn ?? null
  },
  { immediate: true },
)
const places = keptAt.map((value) => ({ value, label: keptSaid[value] }))
const came = computed(() => Number(form.values.quantity) || 0)
const short = computed(() => Math.max(0, (props.line?.toCome ?? 0) - came.value))
const over = computed(() => Math.max(0, came.value - (props.line?.toCome ?? 0)))
const unit = computed(() => props.line?.line.unit ?? '')
const tidy = (amount: number) => String(Math.round(amount * 1000) / 1000)
async function save() {
  const { line } = props
  if (!line) return
  const done = await form.save(`${line.line.name} came`, (values) => {
    const arrival = {
      ...values,
      checkedOn: checked.value ? values.cameOn : null,
      checkedById: checked.value && personId.value !== '' ? personId.value : null,
      at: at.value,
      restDueOn: restDueOn.value,
    } as unknown as Arrival & { lineId: string }
    const { lineId: _, ...rest } = arrival
    return arriveItems(store.rows, line.line, rest, props.firstNeeded, newId)
  })
  if (!done) return
  toasts.say(`${line.line.name} is here.`, false, { label: 'Undo', run: undo })
  emit('close')
}
</script>

<template>
  <UiDialog :open="line !== null" :title="`${line?.line.name ?? ''} came`" @close="emit('close')">
    <form v-if="line" class="grid gap-4" novalidate @submit.prevent="save">
      <p class="text-ink2">
        Ordered {{ tidy(line.line.quantity) }} {{ unit }}; {{ tidy(line.toCome) }} {{ unit }} still
        to come<template v-if="line.dueOn">, due {{ sayDay(line.dueOn) }}</template>.
      </p>
      <div class="grid gap-3 sm:grid-cols-2">
        <FieldInput
          v-bind="form.bind('quantity')"
          :label="`How many ${unit} came`.replace('  ', ' ')"
        />
        <FieldInput v-bind="form.bind('cameOn')" />
        <UiSelect v-model="at" label="Where it is now" :options="places" />
        <FieldInput v-bind="form.bind('instead')" />
      </div>
      <!-- Its line and its field are there before they are wanted, so that nothing moves under a press. -->
      <div class="grid gap-3 sm:grid-cols-2">
        <p class="min-h-6 self-end pb-2" role="status">
          <template v-if="over > 0">
            {{ tidy(over) }} {{ unit }} more than ordered: they go on the shelf.
          </template>
          <strong v-else-if="short > 0" class="text-redlead">
            {{ tidy(short) }} {{ unit }} still to come.
          </strong>
        </p>
        <UiDate v-model="restDueOn" label="The rest is due on" may-be-empty />
      </div>
      <UiCheck v-model="checked" label="I looked: count, hand and size are right" />
      <p class="-mt-3 text-ink2">Not ticked, it counts as arrived and not checked.</p>
      <div class="grid gap-3 sm:grid-cols-2">
        <FieldInput v-bind="form.bind('batch')" />
        <FieldInput v-bind="form.bind('expiresOn')" />
        <FieldInput v-bind="form.bind('faulty')" />
        <FieldInput v-bind="form.bind('fault')" />
        <FieldInput v-bind="form.bind('returnBy')" />
      </div>
      <p v-if="form.wrong.value" class="text-redlead" role="alert">{{ form.wrong.value }}</p>
      <div class="flex gap-2">
        <button class="btn btn-main" :disabled="form.busy.value">It is here</button>
        <button type="button" class="btn" @click="emit('close')">Not yet</button>
      </div>
    </form>
  </UiDialog>
</template>
