<script setup lang="ts">
import { fieldOf } from '#core/model/references'
import { sayChoice } from '#core/model/sayValue'
import { computed } from 'vue'
import { canDo, licensedName } from '#core/canDo/canDo'
import { formatMoney } from '#core/money/money'
import type { Job } from '#core/model/entities'
import { formatHours } from '#core/units/hours'

/** Can we do this ourselves? What it takes, what can hurt, what stands against it, and the choice kept. */
const props = defineProps<{ job: Job }>()
const store = useRefitStore()
const edits = useJobEdits()
const said = computed(() => canDo(store.rows, props.job))
const currency = computed(() => store.refit?.currency ?? 'EUR')
const money = (minor: number) => formatMoney(minor, currency.value)
const doers = [
  { value: 'undecided', label: 'Not decided' },
  { value: 'own', label: 'We do it' },
  { value: 'trade', label: 'A trade does it' },
] as const
const skillName = (skill: string) => sayChoice(fieldOf('step', 'skill'), skill).toLowerCase()
const placeName: Readonly<Record<string, string>> = {
  boat: 'at the boat',
  shed: 'in the shed',
  home: 'at home',
  toBuy: 'to buy',
}
const set = (field: string) => (value: unknown) => void edits.editJob(props.job, { [field]: value })
</script>

<template>
  <details class="border-b border-rule py-1">
    <summary class="cond text-xl">
      Can we do this?
      <span class="text-ink2">{{
        job.doBy === 'undecided'
          ? said.against.length > 0
            ? `${said.against.length} against it`
            : 'nothing against it'
          : doers.find((one) => one.value === job.doBy)?.label
      }}</span>
    </summary>
    <div class="mt-2 grid gap-4">
      <ul v-if="said.against.length > 0" class="border-l-4 border-redlead pl-3">
        <li v-for="one in said.against" :key="one">{{ one }}</li>
      </ul>
      <p v-else>Skills, hands and rules are there for every open step.</p>
      <div class="grid gap-4 sm:grid-cols-2">
        <section>
          <h4>It takes</h4>
          <ul>
            <li v-for="need in said.skills" :key="need.skill">
              {{ formatHours(need.hours) }} {{ skillName(need.skill) }}:
              {{ need.who.join(', ') || 'nobody here' }}
            </li>
            <li v-if="said.mostHands > 1">{{ said.mostHands }} people at once</li>
          </ul>
          <p v-if="said.tools.length > 0" class="mt-1">
            <span class="cond">Tools</span>
            {{ said.tools.map((tool) => `${tool.what} (${placeName[tool.at]})`).join(', ') }}.
          </p>
        </section>
        <section>
          <h4>Ours or a trade’s</h4>
          <p>
            {{ formatHours(said.ownHours) }} of ours<template v-if="said.ownCostMinor !== null"
              >, reckoned {{ money(said.ownCostMinor) }} with parts</template
            >.
            <template v-if="said.savedPerHourMinor !== null">
              Against the trade’s price each of our hours
              {{ said.savedPerHourMinor >= 0 ? 'saves' : 'costs' }}
              {{ money(Math.abs(said.savedPerHourMinor)) }}.
            </template>
          </p>
          <p v-if="said.ownCostMinor === null" class="text-ink2">
            Say in Settings what an hour of yours is worth, and both are set side by side.
          </p>
        </section>
      </div>
      <section v-if="said.licences.length > 0">
        <h4>Licences</h4>
        <ul>
          <li v-for="one in said.licences" :key="one.kind">
            {{ licensedName(one.kind) }}, {{ one.steps.join(', ') }}:
            {{
              one.here
                ? 'takes a licensed person here.'
                : 'you said it does not take one here. The local code decides.'
            }}
          </li>
        </ul>
        <NuxtLink class="underline" :to="`/r/${store.refitId}/settings`"
          >Change what takes a licence where you live</NuxtLink
        >
      </section>
      <section v-if="said.dangers.length > 0">
        <h4>What can hurt</h4>
        <ul>
          <li v-for="one in said.dangers" :key="one.caution" class="py-0.5">
            {{ one.caution }} <span class="text-ink2">{{ one.steps.join(', ') }}</span>
          </li>
        </ul>
      </section>
      <div class="grid items-end gap-3 sm:grid-cols-[10rem_10rem_1fr]">
        <UiMoney
          :model-value="job.tradePriceMinor"
          label="A trade’s price"
          :currency="currency"
          may-be-empty
          @update:model-value="set('tradePriceMinor')($event)"
        />
        <UiSelect
          :model-value="job.doBy"
          label="Who does it"
          :options="doers"
          @update:model-value="set('doBy')($event)"
        />
        <UiText
          :model-value="job.doByReason"
          label="Why"
          :hint="
            job.doBy !== 'undecided' && job.doByReason === ''
              ? 'Say why: it is asked again in a year.'
              : ''
          "
          :most="1000"
          @update:model-value="set('doByReason')($event)"
        />
      </div>
      <NuxtLink class="btn justify-self-start" :to="`/r/${store.refitId}/work-order/${job.id}`"
        >Work order to print</NuxtLink
      >
    </div>
  </details>
</template>
