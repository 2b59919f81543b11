<script setup lang="ts">
import { computed } from 'vue'
import { howAccount } from '#core/how/money'
import type { AccountFigures } from '#core/money/accounts'

/** A tape for each account: paid, owed, planned, work done, likely; those that overshoot most first. */
const emit = defineEmits<{ open: [key: string] }>()
const { money, likelyMinor, sayWhole: say } = useMoney()
const { idOf, urlOf } = provideChartIds()
const most = 13
const hasSums = (one: AccountFigures) =>
  one.plannedMinor !== 0 || one.likelyMinor !== 0 || one.lines.length > 0
/** Without any sum yet: to be opened and planned for. */
const without = computed(() => money.value.accounts.filter((one) => !hasSums(one)))
const rows = computed(() =>
  money.value.accounts
    .filter(hasSums)
    .sort((a, b) => b.likelyMinor - b.plannedMinor - (a.likelyMinor - a.plannedMinor)),
)
/** Where there are many, the smallest lie together. */
const shown = computed(() => {
  const all = rows.value
  if (all.length <= most) return { own: all, rest: [] as AccountFigures[] }
  const small = [...all]
    .sort((a, b) => a.likelyMinor - b.likelyMinor)
    .slice(0, all.length - most + 1)
  return { own: all.filter((one) => !small.includes(one)), rest: small }
})
const sum = (list: readonly AccountFigures[], of: (one: AccountFigures) => number) =>
  list.reduce((all, one) => all + of(one), 0)
const top = computed(() =>
  Math.max(1, ...rows.value.map((one) => Math.max(one.likelyMinor, one.plannedMinor))),
)
const wide = 236
const x = (minor: number) => (Math.max(0, minor) / top.value) * (wide - 12) + 1
const over = (one: AccountFigures) => one.likelyMinor > one.plannedMinor
</script>

<template>
  <section aria-labelledby="by-system">
    <svg width="0" height="0" class="absolute" aria-hidden="true">
      <pattern :id="idOf('owed')" width="6" height="6" patternUnits="userSpaceOnUse">
        <rect width="6" height="6" fill="var(--sheet)" />
        <path d="M-1 7L7 -1M-1 1L1 -1M5 7L7 5" stroke="var(--brass-deep)" stroke-width="2" />
      </pattern>
    </svg>
    <table class="w-full border-collapse leading-tight">
      <caption class="sr-only">
        Money by system, those over their plan by most first
      </caption>
      <thead>
        <tr class="border-b-2 border-ink text-ink2">
          <th id="by-system" scope="col" class="cond w-40 text-left text-lg text-ink">
            By system, worst first
          </th>
          <th class="max-sm:hidden"><span class="sr-only">Drawn</span></th>
          <th scope="col" class="cond pl-2 text-right font-normal">spent</th>
          <th scope="col" class="cond pl-2 text-right font-normal max-sm:hidden">owed</th>
          <th scope="col" class="cond pl-2 text-right font-normal">likely</th>
          <th scope="col" class="cond pl-2 text-right font-normal">plan</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="one in shown.own" :key="one.key" class="border-b border-rule2">
          <th scope="row" class="text-left font-normal">
            <button
              class="cond w-full py-0.5 text-left underline decoration-rule underline-offset-4 max-sm:min-h-11"
              @click="emit('open', one.key)"
            >
              {{ one.name }}
            </button>
          </th>
          <td class="max-sm:hidden">
            <svg :width="wide" height="16" class="block" aria-hidden="true">
              <rect
                x="1"
                y="3"
                :width="Math.max(0, x(one.plannedMinor) - 1)"
                height="10"
                fill="var(--sheet)"
                stroke="var(--ink)"
              />
              <rect
                x="1"
                y="3"
                :width="Math.max(0, x(one.spentMinor) - 1)"
                height="10"
                fill="var(--brass)"
                stroke="var(--ink)"
              />
              <rect
                v-if="one.owedMinor > 0"
                :x="x(one.spentMinor)"
                y="3"
                :width="x(one.owedMinor)"
                height="10"
                :fill="urlOf('owed')"
                stroke="var(--ink)"
              />
              <circle
                v-if="one.doneShare !== null"
                :cx="Math.max(4, x(one.plannedMinor * one.doneShare))"
                cy="8"
                r="3"
                fill="var(--ink)"
                stroke="var(--sheet)"
              />
              <path
                :d="`M${x(one.plannedMinor)} 8H${x(one.likelyMinor)}M${x(one.likelyMinor)} 2V14H${x(one.likelyMinor) - 4}`"
                fill="none"
                :stroke="over(one) ? 'var(--redlead)' : 'var(--verdigris)'"
                stroke-width="2"
              />
            </svg>
          </td>
          <td class="cond pl-2 text-right">
            {{ one.spentMinor === 0 ? '–' : say(one.spentMinor) }}
          </td>
          <td class="cond pl-2 text-right max-sm:hidden">
            {{ one.owedMinor === 0 ? '–' : say(one.owedMinor) }}
          </td>
          <td class="cond pl-2 text-right" :class="over(one) ? 'text-redlead' : ''">
            <UiHow :about="one.name" :how="() => howAccount(one, money)">{{
              say(one.likelyMinor)
            }}</UiHow>
          </td>
          <td class="cond pl-2 text-right">
            {{ say(one.plannedMinor)
            }}<span v-if="!one.isTyped" class="text-ink2" title="guessed at">?</span>
          </td>
        </tr>
        <tr v-if="shown.rest.length > 0" class="border-b border-rule2">
          <th scope="row" class="cond text-left font-normal">
            <details>
              <summary class="cursor-pointer">{{ shown.rest.length }} smaller ones</summary>
              <button
                v-for="one in shown.rest"
                :key="one.key"
                class="block py-1 underline max-sm:min-h-11"
                @click="emit('open', one.key)"
              >
                {{ one.name }}
              </button>
            </details>
          </th>
          <td class="max-sm:hidden"></td>
          <td class="cond pl-2 text-right align-top">
            {{ say(sum(shown.rest, (one) => one.spentMinor)) }}
          </td>
          <td class="cond pl-2 text-right align-top max-sm:hidden">
            {{ say(sum(shown.rest, (one) => one.owedMinor)) }}
          </td>
          <td class="cond pl-2 text-right align-top">
            {{ say(sum(shown.rest, (one) => one.likelyMinor)) }}
          </td>
          <td class="cond pl-2 text-right align-top">
            {{ say(sum(shown.rest, (one) => one.plannedMinor)) }}
          </td>
        </tr>
        <tr v-if="without.length > 0" class="border-b border-rule2">
          <th scope="row" colspan="6" class="text-left font-normal">
            <details :open="rows.length === 0 || undefined">
              <summary class="cond cursor-pointer py-0.5">
                {{ without.length }} without a sum
              </summary>
              <span class="flex flex-wrap gap-x-4">
                <button
                  v-for="one in without"
                  :key="one.key"
                  class="cond py-0.5 underline max-sm:min-h-11"
                  @click="emit('open', one.key)"
                >
                  {{ one.name }}
                </button>
              </span>
            </details>
          </th>
        </tr>
        <tr class="border-b border-rule2">
          <th scope="row" class="cond text-left font-normal">Found work still to come</th>
          <td class="max-sm:hidden"></td>
          <td class="cond pl-2 text-right">–</td>
          <td class="cond pl-2 text-right max-sm:hidden">–</td>
          <td class="cond pl-2 text-right">{{ say(money.foundToComeMinor) }}</td>
          <td class="cond pl-2 text-right">–</td>
        </tr>
        <tr v-if="likelyMinor !== money.likelyMinor" class="border-b border-rule2">
          <th scope="row" class="cond text-left font-normal">As the runs come out</th>
          <td class="max-sm:hidden"></td>
          <td class="cond pl-2 text-right">–</td>
          <td class="cond pl-2 text-right max-sm:hidden">–</td>
          <td class="cond pl-2 text-right">{{ say(likelyMinor - money.likelyMinor) }}</td>
          <td class="cond pl-2 text-right">–</td>
        </tr>
      </tbody>
      <tfoot>
        <tr class="border-t-2 border-ink font-semibold">
          <th scope="row" class="cond text-left font-normal">
            <span class="max-sm:hidden">brass paid, slanted owed, ● work done, hook likely</span>
            <span class="sm:hidden">Together</span>
          </th>
          <td class="max-sm:hidden"></td>
          <td class="cond pl-2 text-right">{{ say(money.spentMinor) }}</td>
          <td class="cond pl-2 text-right max-sm:hidden">{{ say(money.owedMinor) }}</td>
          <td class="cond pl-2 text-right">{{ say(likelyMinor) }}</td>
          <td class="cond pl-2 text-right">{{ say(money.plannedMinor) }}</td>
        </tr>
      </tfoot>
    </table>
    <p v-if="money.accounts.some((one) => !one.isTyped && one.plannedMinor > 0)" class="text-ink2">
      ? No sum was typed: guessed at by its parts, trades and yard. Open it to type one.
    </p>
  </section>
</template>
