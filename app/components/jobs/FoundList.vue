<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Finding } from '#core/model/entities'
import { severityName } from '#core/plan/priority'
import { addDays } from '#core/time/civil'
import { likelyPurpose, placingChanges, usualHours, wantsAnotherLook } from '#core/triage/triage'
import type { Placing } from '#core/triage/triage'

/** Things found that nobody has placed: make a job of it, watch it, or accept it with a reason. */
const emit = defineEmits<{ job: [jobId: string] }>()
const store = useRefitStore()
const { sayDay } = useDates()
const open = computed(() =>
  store.rows.finding.filter(
    (one) => one.state === 'new' || wantsAnotherLook(one, store.derived.today),
  ),
)
/** Decided on for now: the reason and the day stay in sight. */
const watched = computed(() =>
  store.rows.finding
    .filter(
      (one) =>
        (one.state === 'watch' || one.state === 'accepted') &&
        !wantsAnotherLook(one, store.derived.today),
    )
    .sort((a, b) => ((a.lookAgainOn ?? '') < (b.lookAgainOn ?? '') ? -1 : 1)),
)
const deciding = ref<Finding | null>(null)
const decision = ref<'watch' | 'accepted'>('watch')
const reason = ref('')
const lookOn = ref<string | null>(null)
const wrong = ref('')
const unread = useUnread()

const pictureOf = (finding: Finding) =>
  store.rows.picture.find((one) => one.findingId === finding.id)
const where = (finding: Finding) =>
  store.rows.zone.find((one) => one.id === finding.zoneId)?.name ?? 'place not said'

/** As triage does it, with the gate that the finder asked for. */
async function makeJob(finding: Finding) {
  const launch = store.derived.launch?.gate.id
  const soon = finding.when === 'gate' || finding.when === 'now'
  const placing: Placing =
    finding.when === 'later'
      ? { to: 'later' }
      : soon && launch
        ? { to: 'gate', gateId: launch }
        : { to: 'whenTime' }
  const judged = {
    purpose: likelyPurpose(store.rows, finding.zoneId),
    severity: finding.severity,
    hours: usualHours(store.rows),
  }
  const item = { kind: 'finding', id: finding.id, finding } as const
  const { items, jobId } = placingChanges(store.rows, item, judged, placing, newId)
  if ((await store.attempt(`Job from: ${finding.title}`, items)) && jobId) emit('job', jobId)
}
function decide(finding: Finding, what: 'watch' | 'accepted') {
  deciding.value = finding
  unread.clear()
  decision.value = what
  reason.value = finding.reason
  wrong.value = ''
  const ahead = finding.lookAgainOn !== null && finding.lookAgainOn > store.derived.today
  lookOn.value = ahead ? finding.lookAgainOn : addDays(store.derived.today, 180)
}
async function keep() {
  const finding = deciding.value
  if (!finding) return
  wrong.value = unread.first()
  if (wrong.value !== '') return
  try {
    const patch = { state: decision.value, reason: reason.value, lookAgainOn: lookOn.value }
    await store.submit(`${decision.value === 'watch' ? 'Watch' : 'Accept'}: ${finding.title}`, [
      { op: 'patch', entity: 'finding', id: finding.id, baseVersion: finding.version, patch },
    ])
    deciding.value = null
  } catch (error) {
    wrong.value = sentenceOf(error)
  }
}
</script>

<template>
  <section aria-label="Found, not placed">
    <p v-if="open.length === 0" class="text-ink2 py-4">
      Nothing waits to be placed. Press n when you see something: it is kept here until you decide.
    </p>
    <ul>
      <li
        v-for="finding in open"
        :key="finding.id"
        class="flex flex-wrap items-center gap-3 border-b border-rule2 py-2"
      >
        <img
          v-if="pictureOf(finding)"
          :src="`/api/pictures/${pictureOf(finding)?.hash}?small`"
          :alt="`Picture of ${finding.title}`"
          width="64"
          height="48"
          class="h-12 w-16 border border-ink object-cover"
        />
        <div class="min-w-56 grow">
          <p class="cond text-lg leading-snug">{{ finding.title }}</p>
          <p class="text-ink2">
            <template v-if="finding.state !== 'new'">Look again: {{ finding.reason }} · </template>
            {{ where(finding) }} · {{ severityName[finding.severity - 1] }} · found
            {{ sayDay(store.derived.clock.dateOf(finding.foundAt)) }}
          </p>
        </div>
        <div class="flex gap-2">
          <button class="btn btn-small" @click="makeJob(finding)">Make a job</button>
          <NuxtLink
            class="btn btn-small"
            :to="{ path: `/r/${store.refitId}/recipes`, query: { finding: finding.id } }"
            >By a recipe<span class="sr-only"> for {{ finding.title }}</span></NuxtLink
          >
          <button class="btn btn-small" @click="decide(finding, 'watch')">Watch</button>
          <button class="btn btn-small" @click="decide(finding, 'accepted')">Accept</button>
        </div>
      </li>
    </ul>
    <template v-if="watched.length > 0">
      <h2 class="mt-6 border-b-2 border-ink">Watched and accepted</h2>
      <ul>
        <li
          v-for="finding in watched"
          :key="finding.id"
          class="flex flex-wrap items-center gap-3 border-b border-rule2 py-2"
        >
          <div class="min-w-56 grow">
            <p class="cond text-lg leading-snug">{{ finding.title }}</p>
            <p class="text-ink2">
              {{ finding.state === 'watch' ? 'Watched' : 'Accepted' }}: {{ finding.reason }} · look
              again {{ finding.lookAgainOn ? sayDay(finding.lookAgainOn) : 'some day' }}
            </p>
          </div>
          <button
            class="btn btn-small"
            :aria-label="`Change: ${finding.title}`"
            @click="decide(finding, finding.state === 'accepted' ? 'accepted' : 'watch')"
          >
            Change
          </button>
          <button class="btn btn-small" @click="makeJob(finding)">Make a job</button>
        </li>
      </ul>
    </template>
    <UiDialog
      :open="deciding !== null"
      :title="decision === 'watch' ? 'Watch it' : 'Accept it as it is'"
      @close="deciding = null"
    >
      <form class="grid gap-4" @submit.prevent="keep">
        <p>{{ deciding?.title }}</p>
        <UiText v-model="reason" label="Why" :most="1000" />
        <UiDate v-model="lookOn" label="Look again on" @invalid="unread.mark('lookOn')($event)" />
        <p v-if="wrong" class="text-redlead" role="alert">{{ wrong }}</p>
        <button class="btn btn-main" type="submit">Keep it so</button>
      </form>
    </UiDialog>
  </section>
</template>
