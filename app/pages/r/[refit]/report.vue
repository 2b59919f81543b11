<script setup lang="ts">
import { computed, ref } from 'vue'
import { moneyReport, spanOfMonth } from '#core/money/report'
import { reportBlocks } from '#core/book/reportBlocks'
import type { Span } from '#core/money/report'
import { reportFigures, reportNote } from '#core/money/reportWords'
import { sayMonth } from '#core/time/say'

/** A month, a season or all of it on one page: what it cost, what it took, what it brought. Printed, or taken as a table. */
const store = useRefitStore()
const route = useRoute()
const { money, currency, say, sayWhole } = useMoney()
/** In columns; nothing is a dash. */
const col = (minor: number) => (minor === 0 ? '–' : sayWhole(minor))
const { sayDate } = useDates()
const startedOn = computed(() => store.refit?.startedOn ?? store.derived.today)
/** Months from the first with anything in it until this one, the latest first; seasons that have begun; all of it. */
const spans = computed(() => {
  const { today } = store.derived
  const whole: Span = { from: '1970-01-01', to: today }
  const all = moneyReport(store.rows, money.value, store.derived, whole)
  const months = all.months.map((one) => one.month).filter((one) => one <= today.slice(0, 7))
  const now = today.slice(0, 7)
  const listed = months.includes(now) ? months : [...months, now]
  const seasons = [...store.rows.season]
    .filter((one) => one.from <= today)
    .sort((a, b) => (a.from < b.from ? 1 : -1))
  return [
    { value: 'all', label: 'From the start', span: whole },
    ...seasons.map((one) => ({
      value: one.id,
      label: one.name,
      span: { from: one.from, to: one.to },
    })),
    ...[...listed]
      .reverse()
      .map((one) => ({ value: one, label: sayMonth(one), span: spanOfMonth(one) })),
  ]
})
const chosen = computed({
  get: () =>
    spans.value.find((one) => one.value === route.query.of)?.value ??
    store.derived.today.slice(0, 7),
  set: (value) => void goTo({ path: route.path, query: { of: value } }, { replace: true }),
})
const current = computed(
  () => spans.value.find((one) => one.value === chosen.value) ?? spans.value[0],
)
const report = computed(() =>
  moneyReport(
    store.rows,
    money.value,
    store.derived,
    current.value?.span ?? { from: startedOn.value, to: store.derived.today },
  ),
)
const names = computed(() => new Map(store.rows.person.map((one) => [one.id, one.name])))
const personOf = (id: string) => names.value.get(id) ?? ''
const figures = computed(() => reportFigures(report.value, currency.value, personOf))
const csv = computed(() => {
  const { span } = report.value
  return `/api/refits/${store.refitId}/money.csv?from=${span.from}&to=${span.to}`
})
const spendId = ref<string | null>(null)
const print = () => window.print()
const paper = useBookPrint()
const jobs = computed(() => new Map(store.rows.job.map((one) => [one.id, one.title])))
const systems = computed(() => new Map(store.rows.system.map((one) => [one.id, one.name])))
function asPdf() {
  const label = current.value?.label ?? ''
  const boatName = store.refit?.boatName ?? ''
  const blocks = reportBlocks(report.value, {
    label,
    currency: currency.value,
    personOf,
    forWhat: (line) =>
      jobs.value.get(line.jobId ?? '') ?? systems.value.get(line.systemId ?? '') ?? '',
    plannedMinor: money.value.plannedMinor,
    today: store.derived.today,
  })
  const name = `${boatName} ${label}`.replace(/[^\w-]+/g, '-').toLowerCase()
  void paper.printBlocks(`${boatName}, ${label}`, blocks, `${name}.pdf`)
}
const rows = computed(() => report.value.lines.map((one) => ({ ...one, id: one.key })))
</script>

<template>
  <article class="max-w-4xl">
    <div class="flex flex-wrap items-end justify-between gap-3">
      <h1>{{ current?.label }}: {{ say(report.spentMinor) }} paid</h1>
      <div class="no-print flex flex-wrap items-end gap-2">
        <UiSelect
          :model-value="chosen"
          label="Of"
          :options="spans"
          @update:model-value="chosen = $event ?? 'all'"
        />
        <button class="btn" @click="print">Print</button>
        <button class="btn" :disabled="paper.printing.value !== null" @click="asPdf">
          {{ paper.printing.value === null ? 'As a PDF' : 'Laying the pages…' }}
        </button>
        <a class="btn" :href="csv" download>As a table</a>
      </div>
    </div>
    <p v-if="paper.wrong.value" class="text-redlead" role="alert">{{ paper.wrong.value }}</p>
    <dl class="mt-3 grid gap-x-6 gap-y-1 sm:grid-cols-2">
      <div
        v-for="[name, value] in figures"
        :key="name"
        class="flex justify-between gap-3 border-b border-rule2"
      >
        <dt>{{ name }}</dt>
        <dd class="cond text-right">{{ value }}</dd>
      </div>
    </dl>
    <CostMonths :months="report.months" :span="report.span" class="mt-5" />
    <table class="mt-5 w-full border-collapse leading-snug">
      <caption class="cond border-b-2 border-ink text-left text-lg">
        By system
      </caption>
      <thead>
        <tr class="border-b border-rule text-left text-ink2">
          <th scope="col" class="cond font-normal">Account</th>
          <th scope="col" class="cond text-right font-normal">before</th>
          <th scope="col" class="cond text-right font-normal">in it</th>
          <th scope="col" class="cond text-right font-normal max-sm:hidden">so far</th>
          <th scope="col" class="cond text-right font-normal">plan</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="one in report.accounts" :key="one.key" class="border-b border-rule2">
          <th scope="row" class="text-left font-normal">{{ one.name }}</th>
          <td class="cond text-right">{{ col(one.beforeMinor) }}</td>
          <td class="cond text-right">{{ col(one.spanMinor) }}</td>
          <td class="cond text-right max-sm:hidden">{{ col(one.beforeMinor + one.spanMinor) }}</td>
          <td class="cond text-right">{{ col(one.plannedMinor) }}</td>
        </tr>
      </tbody>
      <tfoot>
        <tr class="border-t-2 border-ink">
          <th scope="row" class="cond text-left font-normal">Together</th>
          <td class="cond text-right">
            {{ col(report.accounts.reduce((sum, one) => sum + one.beforeMinor, 0)) }}
          </td>
          <td class="cond text-right">{{ col(report.spentMinor) }}</td>
          <td class="cond text-right max-sm:hidden">
            {{
              say(report.accounts.reduce((sum, one) => sum + one.beforeMinor + one.spanMinor, 0))
            }}
          </td>
          <td class="cond text-right">{{ col(money.plannedMinor) }}</td>
        </tr>
      </tfoot>
    </table>
    <MoneyLines
      class="mt-5"
      :rows="rows"
      caption="What was paid"
      :empty="`Nothing with a day in it was paid from ${sayDate(report.span.from)} to ${sayDate(report.span.to)}.`"
      @spend="spendId = $event"
    />
    <SpendDialog :open="spendId !== null" :spend-id="spendId" :start="{}" @close="spendId = null" />
    <p class="mt-3 text-sm text-ink2">{{ reportNote(report, store.derived.today) }}</p>
  </article>
</template>
