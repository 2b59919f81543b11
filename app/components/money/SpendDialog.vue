<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { inOrder } from '#core/model/refit'
import { keysAfter } from '#core/model/order'
import { deletion, patchOf } from '#core/model/removal'
import { sharesOf } from '#core/money/splitSpend'
import type { ShareDraft } from '#core/money/splitSpend'
import { creation } from '~/utils/changeItems'

/** What was paid: when, for what, in which currency, and to which jobs or systems it goes. */
const props = defineProps<{
  open: boolean
  spendId: string | null
  /** What a new one begins with. */
  start?: Readonly<Record<string, unknown>>
}>()
const emit = defineEmits<{ close: [] }>()
const store = useRefitStore()
const toasts = useToastStore()
const { undo } = useUndo()
const own = computed(() => store.refit?.currency ?? 'EUR')
const spend = computed(() => store.rows.spend.find((one) => one.id === props.spendId) ?? null)
const fields = [
  'on',
  'what',
  'kind',
  'minor',
  'isBack',
  'currency',
  'rate',
  'rateOn',
  'supplierId',
  'bookingId',
  'haulOutId',
  'note',
] as const
const initial = (): Record<string, unknown> =>
  spend.value
    ? Object.fromEntries(fields.map((name) => [name, spend.value?.[name]]))
    : {
        on: store.derived.today,
        what: '',
        kind: 'part',
        isBack: false,
        currency: '',
        rate: null,
        rateOn: null,
        supplierId: null,
        bookingId: null,
        haulOutId: null,
        note: '',
        ...props.start,
      }
const form = useRowForm('spend', initial)

interface Share extends ShareDraft {
  readonly key: string
}
const shares = ref<Share[]>([])
let keys = 0
watch(
  () => props.open,
  (open) => {
    if (!open) return
    form.reset()
    shares.value = inOrder(
      store.rows.spendShare.filter((one) => one.spendId === props.spendId),
    ).map(({ jobId, systemId, minor }) => ({ key: `k${keys++}`, jobId, systemId, minor }))
    // One share takes it all: it follows the sum when that is typed over.
    const [only] = shares.value
    if (only && shares.value.length === 1) shares.value = [{ ...only, minor: null }]
  },
  { immediate: true },
)
const currency = computed(() => ((form.values.currency as string) || own.value).toUpperCase())
const isForeign = computed(() => currency.value !== own.value)
const targets = computed(() => [
  ...inOrder(store.rows.job)
    .filter((one) => one.decision !== 'dropped')
    .map((one) => ({ value: `job ${one.id}`, label: one.title })),
  ...inOrder(store.rows.system).map((one) => ({
    value: `system ${one.id}`,
    label: `System: ${one.name}`,
  })),
])
const targetOf = ({ jobId, systemId }: ShareDraft): string | null =>
  jobId ? `job ${jobId}` : systemId ? `system ${systemId}` : null
const change = (key: string, patch: Partial<Share>) => {
  shares.value = shares.value.map((one) => (one.key === key ? { ...one, ...patch } : one))
}
const setTarget = (key: string, value: string | null) =>
  change(key, {
    jobId: value?.startsWith('job ') ? value.slice(4) : null,
    systemId: value?.startsWith('system ') ? value.slice(7) : null,
  })
const addShare = () => {
  shares.value = [...shares.value, { key: `k${keys++}`, jobId: null, systemId: null, minor: null }]
}
const dropShare = (key: string) => {
  shares.value = shares.value.filter((one) => one.key !== key)
}
const split = computed(() =>
  sharesOf((form.values.minor as number) ?? 0, shares.value, currency.value),
)
const problem = computed(() => {
  if (shares.value.some((one) => targetOf(one) === null))
    return 'For which job or system is each share? Choose one, or take the share away.'
  return split.value.ok || form.values.minor == null ? '' : split.value.message
})
const wrong = ref('')
watch([shares, () => form.values.minor], () => (wrong.value = ''))
const trades = computed(() =>
  store.rows.tradeBooking
    .filter((one) => one.state !== 'cancelled')
    .map((one) => ({
      value: one.id,
      label: `${one.trade}: ${store.rows.step.find((step) => step.id === one.stepId)?.title ?? ''}`,
    })),
)
const haulOuts = computed(() =>
  store.rows.haulOut.map((one) => ({ value: one.id, label: one.name })),
)
const { suppliers } = usePartChoices()

async function save() {
  wrong.value = problem.value
  if (wrong.value !== '') return
  const was = spend.value
  const id = was?.id ?? newId()
  const kept = split.value.ok ? split.value.value : []
  const done = await form.save(was ? `Change ${was.what}` : 'A spend', (values) => {
    const patch = { ...values, currency: String(values.currency ?? '').toUpperCase() }
    const orders = keysAfter(null, kept.length)
    return [
      was ? patchOf('spend', was, patch) : creation('spend', patch, id),
      ...store.rows.spendShare
        .filter((one) => one.spendId === id)
        .map((one) => deletion('spendShare', one)),
      ...kept.map(({ jobId, systemId, minor }, at) =>
        creation('spendShare', { spendId: id, jobId, systemId, minor, order: orders[at] }),
      ),
    ]
  })
  if (!done) return
  toasts.say(was ? 'Changed.' : 'Written down.', false, { label: 'Undo', run: undo })
  emit('close')
}
async function remove() {
  const was = spend.value
  if (!was) return
  const own = store.rows.spendShare.filter((one) => one.spendId === was.id)
  const pictures = store.rows.picture.filter((one) => one.spendId === was.id)
  if (
    await store.attempt(`Remove ${was.what}`, [
      ...own.map((one) => deletion('spendShare', one)),
      ...pictures.map((one) => deletion('picture', one)),
      deletion('spend', was),
    ])
  )
    emit('close')
}
const receipts = computed(() =>
  store.rows.picture.filter((one) => one.spendId === props.spendId && props.spendId !== null),
)
</script>

<template>
  <UiDialog :open="open" :title="spend ? spend.what : 'What was paid'" wide @close="emit('close')">
    <form class="grid gap-4" novalidate @submit.prevent="save">
      <div class="grid gap-3 sm:grid-cols-2">
        <FieldInput v-bind="form.bind('what')" />
        <UiMoney
          :model-value="(form.values.minor as number | undefined) ?? null"
          :label="isForeign ? `Sum in ${currency}` : 'Sum'"
          :currency="currency"
          :error="form.bind('minor').error"
          @update:model-value="form.set('minor', $event)"
        />
        <FieldInput v-bind="form.bind('on')" />
        <FieldInput v-bind="form.bind('kind')" />
        <FieldInput
          v-bind="form.bind('supplierId')"
          :options="suppliers"
          none="Nobody in the list"
        />
        <FieldInput
          v-if="form.values.kind === 'trade' || form.values.bookingId"
          v-bind="form.bind('bookingId')"
          :options="trades"
          none="No booking"
        />
        <FieldInput
          v-if="form.values.kind === 'yard' || form.values.haulOutId"
          v-bind="form.bind('haulOutId')"
          :options="haulOuts"
          none="None: a berth, a mooring"
        />
      </div>
      <FieldInput v-bind="form.bind('isBack')" />
      <fieldset>
        <legend class="cond border-b-2 border-ink text-lg">What it was for</legend>
        <p v-if="shares.length === 0" class="mt-1 text-ink2">
          Nothing said: it goes to
          {{ form.values.bookingId ? 'the job of the trade' : 'its kind, and to no system' }}.
        </p>
        <div
          v-for="(share, at) in shares"
          :key="share.key"
          class="grid items-end gap-x-3 gap-y-1 border-b border-rule2 py-2 sm:grid-cols-[1fr_9rem_auto]"
        >
          <UiSelect
            :model-value="targetOf(share)"
            :label="`Share ${at + 1} for`"
            :options="targets"
            none="Choose"
            @update:model-value="setTarget(share.key, $event)"
          />
          <UiMoney
            :model-value="share.minor"
            :label="`Sum of share ${at + 1}`"
            :currency="currency"
            may-be-empty
            hint="Empty: what is left"
            @update:model-value="change(share.key, { minor: $event })"
          />
          <button
            type="button"
            class="btn btn-small"
            :aria-label="`Take share ${at + 1} away`"
            @click="dropShare(share.key)"
          >
            Take away
          </button>
        </div>
        <button type="button" class="btn btn-small mt-2" @click="addShare">
          {{ shares.length === 0 ? 'For a job or system' : 'Another share' }}
        </button>
      </fieldset>
      <details :open="isForeign || undefined">
        <summary class="cond cursor-pointer">In another currency</summary>
        <div class="mt-2 grid gap-3 sm:grid-cols-3">
          <FieldInput v-bind="form.bind('currency')" :placeholder="own" />
          <FieldInput
            v-bind="form.bind('rate')"
            :label="`One ${isForeign ? currency : 'of it'} in ${own}`"
          />
          <FieldInput v-bind="form.bind('rateOn')" />
        </div>
      </details>
      <FieldInput v-bind="form.bind('note')" />
      <p class="min-h-6 text-redlead" role="alert">{{ form.wrong.value || wrong }}</p>
      <div class="flex flex-wrap gap-2">
        <button class="btn btn-main" :disabled="form.busy.value">
          {{ spend ? 'Keep it' : 'Write it down' }}
        </button>
        <button type="button" class="btn" @click="emit('close')">Not now</button>
        <button v-if="spend" type="button" class="btn ml-auto" @click="remove">Remove</button>
      </div>
    </form>
    <section v-if="spend" class="mt-4">
      <h3 class="border-b border-rule">Receipt</h3>
      <PictureStrip
        class="mt-2"
        :pictures="receipts"
        :belongs="{ spendId: spend.id }"
        :of="`Receipt of ${spend.what}`"
      />
    </section>
    <p v-else class="mt-3 text-ink2">
      A picture of the receipt can be added once it is written down.
    </p>
  </UiDialog>
</template>
