<script setup lang="ts">
import { computed, ref } from 'vue'
import { howPressure, howWorth } from '#core/how/walk'
import { keyBetween } from '#core/model/order'
import { inOrder } from '#core/model/refit'
import { deletion } from '#core/model/removal'
import { formatMoney } from '#core/money/money'
import { sharesOver, supportFigures } from '#core/members/pressure'
import { lessWorth, outlookFigures } from '#core/outlook/worth'

/** What she stands on, pad by pad; and whether she is worth it, in numbers that can be worked again at any time. */
const store = useRefitStore()
const currency = computed(() => store.refit?.currency ?? 'EUR')
const money = (minor: number) => formatMoney(minor, currency.value)
const haul = computed(() =>
  store.rows.haulOut.find((one) => one.liftOutActual !== null && one.launchActual === null),
)
const supports = computed(() =>
  inOrder(store.rows.support.filter((one) => one.haulOutId === (haul.value?.id ?? null))),
)
const weightT = computed(() => store.refit?.weightT ?? null)
const pads = computed(() => (weightT.value ? supportFigures(supports.value, weightT.value) : []))
const marking = computed(() => pads.value.filter((one) => one.marksHer))
const over = computed(() => sharesOver(supports.value))
const worthNow = computed(() => store.refit?.worthNowMinor ?? null)
const outlooks = computed(() =>
  worthNow.value === null ? [] : outlookFigures(inOrder(store.rows.outlook), worthNow.value),
)
const farthest = computed(() =>
  Math.max(1, ...outlooks.value.map((one) => Math.abs(one.gainMinor))),
)
const best = computed(
  () =>
    [...outlooks.value]
      .filter((one) => one.perHourMinor !== null)
      .sort((a, b) => b.gainMinor - a.gainMinor)[0],
)
const lower = computed(() =>
  best.value && worthNow.value !== null ? lessWorth(best.value, worthNow.value, 0.1) : null,
)
const pad = ref({ title: '', along: 0.5 as number | null, sharePct: 3 as number | null })
async function addPad() {
  const { title, along, sharePct } = pad.value
  if (title.trim() === '' || along === null || sharePct === null) return
  const order = keyBetween(supports.value.at(-1)?.order ?? null, null)
  const patch = { title: title.trim(), along, sharePct, haulOutId: haul.value?.id ?? null, order }
  if (await store.attempt('A support', [{ op: 'create', entity: 'support', id: newId(), patch }]))
    pad.value = { title: '', along: 0.5, sharePct: 3 }
}
</script>

<template>
  <div class="grid grid-cols-[minmax(0,1fr)] gap-6">
    <section aria-label="What she stands on">
      <h2 class="border-b-2 border-ink text-lg">What she stands on</h2>
      <p v-if="!weightT" class="text-ink2">
        Say in Settings what she weighs: without it no pressure can be worked out.
      </p>
      <StandsDrawing v-if="pads.length > 0" class="mt-1" :pads="pads" />
      <table v-if="weightT && pads.length > 0" class="w-full">
        <caption class="sr-only">
          Pressure under each pad
        </caption>
        <thead>
          <tr class="text-left text-ink2">
            <th scope="col" class="font-normal">Pad</th>
            <th scope="col" class="text-right font-normal">share</th>
            <th scope="col" class="text-right font-normal">off a frame</th>
            <th scope="col" class="text-right font-normal">kPa</th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="one in pads"
            :key="one.support.id"
            class="border-t border-rule2"
            :class="{ 'cond text-redlead': one.marksHer }"
          >
            <td>{{ one.support.title }}, {{ one.support.side }}</td>
            <td class="text-right">{{ one.support.sharePct }} %</td>
            <td class="text-right">{{ Math.round(one.support.offFrameMm) }} mm</td>
            <td class="text-right">
              <UiHow
                :how="() => (weightT ? howPressure(one, weightT) : null)"
                :about="`kPa under ${one.support.title}`"
                >{{ Math.round(one.pressure) }}</UiHow
              >
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="over > 0" class="text-redlead" role="alert">
        The shares are {{ Math.round(over * 10) / 10 }} % over her whole weight: one of them is too
        high.
      </p>
      <p v-if="marking.length > 0" class="mt-1">
        {{
          marking
            .map(
              (one) =>
                `${one.support.title} carries ${one.timesOthers?.toFixed(1)} times the others’ middle and stands ${Math.round(one.support.offFrameMm)} mm off the nearest frame`,
            )
            .join('; ')
        }}.
        <b class="text-redlead">The yard moves them; you do not.</b>
      </p>
      <p v-if="pads.length > 0" class="text-sm text-ink2">
        Her weight, {{ weightT }} t, by share over the pad. The shares are what somebody guessed or
        weighed.
      </p>
      <details>
        <summary class="cond">Change the pads</summary>
        <ul>
          <li
            v-for="one in supports"
            :key="one.id"
            class="grid grid-cols-2 items-end gap-2 border-b border-rule2 py-1"
          >
            <RowField entity="support" :row="one" field="title" />
            <RowField entity="support" :row="one" field="side" />
            <RowField entity="support" :row="one" field="sharePct" />
            <RowField entity="support" :row="one" field="offFrameMm" />
            <RowField entity="support" :row="one" field="padLengthM" />
            <RowField entity="support" :row="one" field="padWidthM" />
            <RowField entity="support" :row="one" field="along" />
            <button
              class="btn btn-small"
              :aria-label="`Remove ${one.title}`"
              @click="store.attempt(`Remove ${one.title}`, [deletion('support', one)])"
            >
              Remove
            </button>
          </li>
        </ul>
        <form
          class="mt-2 grid grid-cols-[1fr_5rem_5rem_auto] items-end gap-2"
          @submit.prevent="addPad"
        >
          <UiText v-model="pad.title" label="Another pad" />
          <UiNumber v-model="pad.along" label="Forward" :min="0" :max="1" />
          <UiNumber v-model="pad.sharePct" label="Share, %" :min="0" :max="100" />
          <button class="btn" type="submit">Add</button>
        </form>
      </details>
    </section>
    <section aria-label="Is she worth it?">
      <h2 class="flex items-baseline justify-between border-b-2 border-ink text-lg">
        Is she worth it?
        <span v-if="worthNow !== null" class="text-base font-medium text-ink2"
          >against selling today, {{ money(worthNow) }}</span
        >
      </h2>
      <p v-if="worthNow === null" class="text-ink2">
        Say in Settings what she would bring as she lies: everything is held against that.
      </p>
      <ul>
        <li v-for="one in outlooks" :key="one.outlook.id" class="border-b border-rule2 py-1">
          <div class="flex justify-between gap-3">
            <span class="cond">{{ one.outlook.title }}</span>
            <span class="cond" :class="{ 'text-redlead': one.gainMinor < 0 }"
              ><UiHow
                :how="() => (worthNow === null ? null : howWorth(one, worthNow, currency))"
                :about="one.outlook.title"
                >{{ one.gainMinor > 0 ? '+' : '' }}{{ money(one.gainMinor) }}</UiHow
              ></span
            >
          </div>
          <div class="flex h-2.5" aria-hidden="true">
            <span class="w-1/2 border-r-2 border-ink"
              ><span
                v-if="one.gainMinor < 0"
                class="ml-auto block h-full bg-redlead"
                :style="{ width: `${(-one.gainMinor / farthest) * 100}%` }"
            /></span>
            <span class="w-1/2"
              ><span
                v-if="one.gainMinor > 0"
                class="block h-full bg-verdigris"
                :style="{ width: `${(one.gainMinor / farthest) * 100}%` }"
            /></span>
          </div>
          <p class="text-sm text-ink2">
            {{ Math.round(one.outlook.ownHours) }} h of yours, {{ money(one.outlook.spendMinor)
            }}<template v-if="one.perHourMinor !== null"
              >; {{ money(one.perHourMinor) }} for each hour</template
            >
          </p>
        </li>
      </ul>
      <p v-if="lower && best" class="mt-1 text-sm">
        Worth is your guess: a tenth less, and “{{ best.outlook.title.toLowerCase() }}” gives
        {{ money(lower.perHourMinor ?? 0) }} an hour. Sailing her is not in it.
      </p>
      <details>
        <summary class="cond">Change what could be done</summary>
        <RowField entity="refit" :row="store.refit ?? undefined" field="worthNowMinor" />
        <ul>
          <li
            v-for="one in inOrder(store.rows.outlook)"
            :key="one.id"
            class="grid grid-cols-2 items-end gap-2 border-b border-rule2 py-1"
          >
            <RowField entity="outlook" :row="one" field="title" class="col-span-2" />
            <RowField entity="outlook" :row="one" field="ownHours" />
            <RowField entity="outlook" :row="one" field="spendMinor" />
            <RowField entity="outlook" :row="one" field="worthMinor" />
            <button
              class="btn btn-small"
              :aria-label="`Remove ${one.title}`"
              @click="store.attempt(`Remove ${one.title}`, [deletion('outlook', one)])"
            >
              Remove
            </button>
          </li>
        </ul>
        <UiAnother
          entity="outlook"
          field="title"
          label="Something else that could be done"
          keep="Add"
        />
      </details>
    </section>
  </div>
</template>
