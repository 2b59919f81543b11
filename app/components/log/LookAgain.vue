<script setup lang="ts">
import { computed, ref } from 'vue'
import { checkDone, checksDue, meterStates } from '#core/log/checks'
import type { CheckDue } from '#core/log/checks'
import { keyBetween } from '#core/model/order'
import { inOrder } from '#core/model/refit'

/** What is to be looked at again, late first: by date, by a meter, at the next haul-out. Done, it sets its next. */
const store = useRefitStore()
const isAfloat = useAfloat()
const me = useMe()
const { sayDay } = useDates()
const toasts = useToastStore()
const { undo } = useUndo()
const due = computed(() => checksDue(store.rows, store.derived.today, isAfloat))
const meters = computed(() => meterStates(store.rows, isAfloat))
const [few, whole] = [8, ref(false)]
const shown = computed(() => (whole.value ? due.value : due.value.slice(0, few)))
const standing = (one: CheckDue) =>
  one.by !== ''
    ? `${one.by}${one.isLikely ? ', likely' : ''}`
    : one.inDays === null
      ? 'no date'
      : one.inDays < 0
        ? `${-one.inDays} ${one.inDays === -1 ? 'day' : 'days'} late`
        : one.inDays === 0
          ? 'today'
          : `in ${one.inDays} ${one.inDays === 1 ? 'day' : 'days'}`
const on = (one: CheckDue) => (one.on === null ? '' : sayDay(one.on))
const doing = ref<CheckDue | null>(null)
const seen = ref('')
async function done() {
  const check = doing.value?.check
  if (!check) return
  const meter = meters.value.find((one) => one.meter.id === check.meterId)
  const item = checkDone(
    check,
    { on: store.derived.today, note: seen.value, personId: me.value || null },
    meter?.last?.value ?? null,
  )
  if (!(await store.attempt(`Looked at: ${check.title}`, [item]))) return
  doing.value = null
  seen.value = ''
  toasts.say(`Looked at: ${check.title}.`, false, { label: 'Undo', run: undo })
}
const adding = ref(false)
const form = useRowForm('check', () => ({
  title: '',
  dueOn: null,
  everyMonths: null,
  atHaulOut: false,
  meterId: null,
  dueAtValue: null,
}))
async function add() {
  const order = keyBetween(inOrder(store.rows.check).at(-1)?.order ?? null, null)
  const id = newId()
  const kept = await form.save('A check', (values) => [
    { op: 'create', entity: 'check', id, patch: { ...values, order } },
  ])
  if (kept) {
    form.reset()
    adding.value = false
  }
}
const meterOptions = computed(() =>
  meters.value.map((one) => ({ value: one.meter.id, label: one.meter.title })),
)
const reading = useRowForm('meterReading', () => ({
  meterId: store.rows.meter[0]?.id ?? '',
  on: store.derived.today,
  value: undefined,
}))
const meterOpen = ref(false)
async function read() {
  const id = newId()
  const kept = await reading.save('A meter', (values) => [
    { op: 'create', entity: 'meterReading', id, patch: values },
  ])
  if (kept) {
    reading.reset()
    meterOpen.value = false
  }
}
const newMeter = useRowForm('meter', () => ({ title: '', unit: 'h', counts: true }))
const meterAdding = ref(false)
async function addMeter() {
  const order = keyBetween(inOrder(store.rows.meter).at(-1)?.order ?? null, null)
  const id = newId()
  const kept = await newMeter.save('A meter', (values) => [
    { op: 'create', entity: 'meter', id, patch: { ...values, order } },
  ])
  if (!kept) return
  newMeter.reset()
  meterAdding.value = false
  reading.set('meterId', id)
  meterOpen.value = true
}
</script>

<template>
  <section aria-labelledby="look-again">
    <h2 id="look-again" class="flex items-baseline justify-between border-b-2 border-ink">
      Look again
      <span class="text-sm font-normal text-ink2"
        >{{ due.length }} {{ due.length === 1 ? 'check' : 'checks' }}; each, once done, sets its
        next</span
      >
    </h2>
    <p v-if="due.length === 0" class="text-ink2">
      Nothing is to be looked at again. Every sheet can say what and when; other checks are added
      here.
    </p>
    <ul>
      <li
        v-for="one in shown"
        :key="one.key"
        class="grid grid-cols-[6.5rem_minmax(0,1fr)_auto_auto] items-center gap-x-3 border-b border-rule2 py-0.5 max-sm:grid-cols-[minmax(0,1fr)_auto]"
        :class="
          one.inDays !== null && one.inDays < 0
            ? 'border-l-4 border-l-redlead bg-redlead-tint pl-2'
            : ''
        "
      >
        <span class="cond font-semibold max-sm:col-span-2">{{ on(one) }}</span>
        <span class="min-w-0">
          <NuxtLink
            v-if="one.sheetId"
            class="underline"
            :to="`/r/${store.refitId}/log/${one.sheetId}`"
            >{{ one.title }}</NuxtLink
          >
          <template v-else>{{ one.title }}</template>
        </span>
        <span
          class="cond whitespace-nowrap text-right text-ink2 max-sm:order-last max-sm:col-span-2 max-sm:text-left"
          >{{ standing(one) }}</span
        >
        <button v-if="one.check" class="btn btn-small" @click="((doing = one), (seen = ''))">
          Done<span class="sr-only">{{ `: ${one.title}` }}</span>
        </button>
        <NuxtLink v-else class="btn btn-small" :to="`/r/${store.refitId}/log/${one.sheetId}`"
          >Sheet<span class="sr-only">{{ `: ${one.title}` }}</span></NuxtLink
        >
      </li>
    </ul>
    <div class="no-print mt-1 flex flex-wrap gap-2">
      <button v-if="due.length > few" class="btn btn-small" @click="whole = !whole">
        {{ whole ? 'Fewer' : `All ${due.length}` }}
      </button>
      <button class="btn btn-small" :aria-expanded="adding" @click="adding = !adding">
        Another check
      </button>
      <button
        v-if="meters.length > 0"
        class="btn btn-small"
        :aria-expanded="meterOpen"
        @click="meterOpen = !meterOpen"
      >
        Read a meter
      </button>
      <button
        class="btn btn-small"
        :aria-expanded="meterAdding"
        @click="meterAdding = !meterAdding"
      >
        Another meter
      </button>
    </div>
    <UiRowForm
      v-if="adding"
      class="grid sm:grid-cols-3"
      :form="form"
      keep="Keep the check"
      @keep="add"
    >
      <FieldInput v-bind="form.bind('title')" class="sm:col-span-2" />
      <FieldInput v-bind="form.bind('dueOn')" />
      <FieldInput v-bind="form.bind('everyMonths')" />
      <FieldInput
        v-if="meters.length > 0"
        v-bind="form.bind('meterId')"
        :options="meterOptions"
        none="No meter"
      />
      <FieldInput v-if="form.values.meterId" v-bind="form.bind('dueAtValue')" />
      <FieldInput v-bind="form.bind('atHaulOut')" />
    </UiRowForm>
    <UiRowForm v-if="meterOpen" class="flex flex-wrap" :form="reading" keep="Keep" @keep="read">
      <FieldInput v-bind="reading.bind('meterId', 'Meter')" :options="meterOptions" class="w-48" />
      <FieldInput v-bind="reading.bind('on')" class="w-44" />
      <FieldInput v-bind="reading.bind('value')" class="w-32" />
    </UiRowForm>
    <UiRowForm
      v-if="meterAdding"
      class="flex flex-wrap"
      :form="newMeter"
      keep="Keep the meter"
      @keep="addMeter"
    >
      <FieldInput v-bind="newMeter.bind('title')" class="w-48" />
      <FieldInput v-bind="newMeter.bind('unit')" class="w-24" />
      <FieldInput v-bind="newMeter.bind('counts')" />
    </UiRowForm>
    <MeterSeries v-for="one in meters" :key="one.meter.id" :state="one" />
    <UiDialog :open="doing !== null" :title="doing?.title ?? ''" @close="doing = null">
      <form class="grid gap-3" @submit.prevent="done">
        <UiText v-model="seen" label="What was seen" :most="500" />
        <p class="text-ink2">
          <template v-if="doing?.check?.everyMonths">
            The next is due in {{ doing.check.everyMonths }} months.</template
          >
          <template v-else-if="doing?.check?.everyValue">The next goes by the meter.</template>
          <template v-else-if="doing?.check?.atHaulOut"
            >It comes again at the haul-out after.</template
          >
          <template v-else>It is done once, and does not come again.</template>
        </p>
        <div><button class="btn btn-main">It is looked at</button></div>
      </form>
    </UiDialog>
  </section>
</template>
