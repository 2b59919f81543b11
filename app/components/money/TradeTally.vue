<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import { tallyOf } from '#core/money/tally'
import type { TradeAccount } from '#core/money/tradeAccount'

/** A split tally: upper half what was agreed, lower half the bill. Where the halves do not meet there is a question. */
const props = defineProps<{ account: TradeAccount }>()
const emit = defineEmits<{ pay: [account: TradeAccount]; bill: [account: TradeAccount] }>()
const store = useRefitStore()
const { say } = useMoney()
const { sayDate } = useDates()
const { idOf, urlOf } = provideChartIds()
const box = ref<HTMLElement>()
const { width } = useElementSize(box, { width: 600, height: 80 })
const tally = computed(() => tallyOf(props.account))
const nameOf = (id: string | null) => store.rows.person.find((one) => one.id === id)?.name ?? ''
const whole = computed(() =>
  Math.max(
    1,
    tally.value.lines.reduce(
      (sum, one) => sum + Math.max(one.agreedMinor, one.billedMinor ?? 0),
      0,
    ) + Math.max(0, tally.value.unnamedMinor),
  ),
)
const px = (minor: number) => (minor / whole.value) * (width.value - 2)
const bars = computed(() => {
  let x = 1
  return tally.value.lines.map((one) => {
    const [agreed, billed] = [px(one.agreedMinor), px(one.billedMinor ?? 0)]
    const bar = {
      ...one,
      x,
      agreed,
      billed,
      over: Math.max(0, (one.billedMinor ?? 0) - one.agreedMinor),
    }
    x += Math.max(agreed, billed)
    return bar
  })
})
const unnamedX = computed(() =>
  bars.value.reduce((x, one) => Math.max(x, one.x + Math.max(one.agreed, one.billed)), 1),
)
const fits = (text: string, room: number) => text.length * 7 + 8 <= room
/** Teeth along the edge where the halves meet. */
const teeth = (x: number, wide: number, y: number) => {
  const many = Math.max(1, Math.round(wide / 16))
  const each = wide / many
  return Array.from(
    { length: many },
    (_, at) => `L${x + at * each + each / 2} ${y - 5}L${x + (at + 1) * each} ${y}`,
  ).join('')
}
const changes = computed(() =>
  props.account.items
    .filter((one) => one.answer === 'taken')
    .map((one) => {
      const days = one.proposalDays
        ? `, ${one.proposalDays > 0 ? '+' : ''}${one.proposalDays} d`
        : ''
      const who = one.answeredById ? `, ${nameOf(one.answeredById)}` : ''
      return `${one.proposal || one.what} ${say(one.proposalMinor ?? 0)}${one.answeredOn ? `, ${sayDate(one.answeredOn)}` : ''}${who}${days}`
    }),
)
const last = computed(() => props.account.invoices.at(-1) ?? null)
const title = computed(() => {
  const step = store.rows.step.find((one) => one.id === props.account.booking.stepId)
  return step ? `${props.account.booking.trade}: ${step.title}` : props.account.booking.trade
})
const said = computed(
  () =>
    `Agreed ${say(props.account.agreedMinor)}, billed ${say(props.account.billedMinor)}. ${tally.value.lines
      .map(
        (one) =>
          `${one.label}: ${one.agreedMinor > 0 ? `agreed ${say(one.agreedMinor)}` : 'not agreed'}, ${one.billedMinor === null ? 'not billed by name' : `billed ${say(one.billedMinor)}`}`,
      )
      .join('; ')}.`,
)
</script>

<template>
  <article :aria-label="title">
    <h3 class="text-lg">{{ title }}</h3>
    <div class="flex flex-wrap items-baseline justify-between gap-x-4">
      <p class="cond text-lg">Agreed {{ say(account.agreedMinor) }}</p>
      <p v-if="changes.length > 0" class="text-sm text-ink2">{{ changes.join('; ') }}</p>
    </div>
    <div ref="box" class="overflow-hidden">
      <svg :width="width" height="86" class="block" role="img" :aria-label="said">
        <pattern :id="idOf('red')" width="6" height="6" patternUnits="userSpaceOnUse">
          <path d="M-1 7L7 -1M-1 1L1 -1M5 7L7 5" stroke="var(--redlead)" stroke-width="2" />
        </pattern>
        <g v-for="one in bars" :key="one.key">
          <path
            v-if="one.agreed > 0"
            :d="`M${one.x} 36V4h${one.agreed}V36${''}M${one.x} 36${teeth(one.x, one.agreed, 36)}`"
            :fill="one.kind === 'change' ? 'var(--brass-tint)' : 'var(--brass)'"
            stroke="var(--ink)"
            stroke-width="1.5"
          />
          <rect
            v-if="one.agreed > 0"
            :x="one.x"
            y="4"
            :width="one.agreed"
            height="30"
            :fill="one.kind === 'change' ? 'var(--brass-tint)' : 'var(--brass)'"
          />
          <path
            v-if="one.billed > 0"
            :d="`M${one.x} 46${teeth(one.x, Math.min(one.billed, one.agreed || one.billed), 46)}V78H${one.x}Z`"
            :fill="
              one.kind === 'extra'
                ? urlOf('red')
                : one.kind === 'change'
                  ? 'var(--brass-tint)'
                  : 'var(--brass)'
            "
            stroke="var(--ink)"
            stroke-width="1.5"
          />
          <rect
            v-if="one.over > 0 && one.agreed > 0"
            :x="one.x + one.agreed"
            y="44"
            :width="Math.max(2, px(one.over))"
            height="34"
            :fill="urlOf('red')"
            stroke="var(--redlead)"
            stroke-width="1.5"
          />
          <text
            v-if="fits(`${one.label} ${say(one.agreedMinor)}`, one.agreed)"
            :x="one.x + 6"
            y="24"
            class="cond"
            font-size="15"
            fill="var(--on-brass)"
          >
            {{ one.label }} {{ say(one.agreedMinor) }}
          </text>
          <text
            v-if="
              one.agreed > 0 && one.billedMinor !== null && fits(say(one.billedMinor), one.billed)
            "
            :x="one.x + 6"
            y="68"
            class="cond"
            font-size="15"
            fill="var(--on-brass)"
          >
            {{
              one.billedMinor === one.agreedMinor && one.billed > 80
                ? 'as agreed'
                : say(one.billedMinor)
            }}
          </text>
        </g>
        <rect
          v-if="tally.unnamedMinor > 0"
          :x="unnamedX"
          y="44"
          :width="Math.max(2, px(tally.unnamedMinor))"
          height="34"
          fill="none"
          stroke="var(--redlead)"
          stroke-dasharray="4 3"
          stroke-width="1.5"
        />
      </svg>
    </div>
    <p v-if="last" class="leading-snug">
      <span class="cond text-lg">Billed {{ say(account.billedMinor) }}</span>
      <span class="text-ink2">
        {{ account.invoices.length > 1 ? `in ${account.invoices.length} bills, the last` : '' }}
        {{ sayDate(last.on) }}<template v-if="last.number">, number {{ last.number }}</template>
      </span>
    </p>
    <p v-else class="text-ink2">No bill yet.</p>
    <p class="text-ink2">
      paid so far {{ say(account.paidMinor)
      }}<template v-if="account.heldMinor > 0"
        >; held until checked, {{ account.booking.retainPercent }} %:
        {{ say(account.heldMinor) }}</template
      >
    </p>
    <p v-for="text in account.sum.questions" :key="text" class="leading-snug text-redlead">
      {{ text }}
    </p>
    <p v-if="tally.unnamedMinor > 0 && tally.lines.length > 0" class="leading-snug text-redlead">
      {{ say(tally.unnamedMinor) }} of the bill is named by no line: write the lines of the bill on
      its sheet.
    </p>
    <div class="no-print mt-2 flex flex-wrap gap-2">
      <button
        v-if="account.payableMinor > 0"
        class="btn btn-small btn-main"
        @click="emit('pay', account)"
      >
        Paid as agreed: {{ say(account.payableMinor) }}
      </button>
      <button class="btn btn-small" @click="emit('bill', account)">
        A bill came<span class="sr-only"> from {{ account.booking.trade }}</span>
      </button>
      <NuxtLink class="btn btn-small" :to="`/r/${store.refitId}/trade/${account.booking.id}`">
        Sheet and changes
      </NuxtLink>
    </div>
  </article>
</template>
