<script setup lang="ts">
import { Printer } from '@lucide/vue'
import { computed } from 'vue'
import { severityName } from '#core/plan/priority'
import { sayFullDate } from '#core/time/say'
import type { Finding } from '#core/model/entities'
import { listLevels } from '#core/walk/marks'
import { sayEvidence } from '#core/walk/sayEvidence'
import { walkHeading, walkSentences } from '#core/walk/sayWalk'
import { countOf } from '#core/walk/causes'

/** The walk on paper, for an insurer, a surveyor or a yard: what was found, how it was measured, what nobody saw. */
const store = useRefitStore()
const { byZone, figures, markOf, letterOf, walk } = useWalk()
const heading = computed(() => walkHeading(figures.value))
const said = computed(() => walkSentences(figures.value))
const levels = computed(() => [
  ...listLevels.map((level) => ({
    title: level.title as string,
    zones: byZone.value.filter(
      ({ zone, open }) =>
        zone !== null && open > 0 && (level.strakes as readonly string[]).includes(zone.strake),
    ),
  })),
  {
    title: 'Place not said',
    zones: byZone.value.filter(({ zone, open }) => zone === null && open > 0),
  },
])
const openOf = (findings: readonly Finding[]) => findings.filter((one) => markOf(one).open)
const evidenceOf = (id: string) => store.rows.evidence.filter((one) => one.findingId === id)
const pictureOf = (id: string) => store.rows.picture.find((one) => one.findingId === id)
const stateOf = (finding: Finding): string => {
  const { fill } = markOf(finding)
  const job = store.rows.job.find((one) => one.id === finding.jobId)
  if (fill === 'job' && job) return `job: ${job.title.toLowerCase()}`
  return fill === 'watched' ? `watched: ${finding.reason}` : fillWords[fill]
}
const causes = computed(() =>
  store.rows.cause.map((cause) => ({
    cause,
    findings: store.rows.finding.filter((one) => one.causeId === cause.id),
  })),
)
const accepted = computed(() => store.rows.finding.filter((one) => markOf(one).fill === 'accepted'))
const closed = computed(
  () => store.rows.finding.filter((one) => markOf(one).fill === 'mended').length,
)
const print = () => window.print()
</script>

<template>
  <article class="max-w-4xl">
    <div class="flex items-start justify-between gap-3">
      <div>
        <p class="cond text-ink2">
          What was found · {{ store.refit?.boatName
          }}<template v-if="store.refit?.builtYear">, built {{ store.refit.builtYear }}</template>
        </p>
        <h1>{{ heading.before }}{{ heading.danger }}{{ heading.after }}</h1>
      </div>
      <div class="no-print flex gap-2">
        <button class="btn" @click="print"><Printer :size="17" aria-hidden="true" /> Print</button>
        <NuxtLink class="btn" :to="`/r/${store.refitId}/walk`">To the boat</NuxtLink>
      </div>
    </div>
    <p>{{ said.hours }} {{ said.rest }}</p>
    <p class="text-ink2">
      Written on {{ sayFullDate(store.derived.today)
      }}<template v-if="walk"
        >; walk “{{ walk.title }}”, begun {{ sayFullDate(walk.startedOn) }}</template
      >. This is no survey: it says what was seen, not that the rest is sound.
    </p>
    <section v-if="figures.notLooked.length > 0" class="mt-3 border-2 border-ink p-2">
      <p>
        <span class="cond">Not looked at:</span>
        {{ figures.notLooked.map((zone) => zone.name.toLowerCase()).join('; ') }}.
      </p>
    </section>
    <section
      v-for="level in levels.filter((one) => one.zones.length > 0)"
      :key="level.title"
      class="mt-4"
    >
      <h2 class="border-b-2 border-ink">{{ level.title }}</h2>
      <div v-for="marks in level.zones" :key="marks.zone?.id ?? ''" class="break-inside-avoid">
        <h3 class="mt-2">{{ marks.zone?.name ?? '' }}</h3>
        <ul>
          <li
            v-for="finding in marks.groups.flatMap((group) => openOf(group.findings))"
            :key="finding.id"
            class="grid break-inside-avoid grid-cols-[5.5rem_1fr_auto] gap-3 border-b border-rule py-1"
          >
            <span class="flex items-center gap-1.5"
              ><MarkShape
                :severity="finding.severity"
                :fill="markOf(finding).fill"
                :many="finding.howMany"
              />
              <span class="cond">{{ severityName[finding.severity - 1] }}</span></span
            >
            <span>
              {{ finding.title
              }}<template v-if="finding.causeId"> ({{ letterOf(finding.causeId) }})</template>,
              {{ stateOf(finding) }}<template v-if="finding.spreading">; gets worse</template>.
              <span v-for="one in evidenceOf(finding.id)" :key="one.id" class="block text-ink2">{{
                sayEvidence(one)
              }}</span>
            </span>
            <img
              v-if="pictureOf(finding.id)"
              :src="`/api/pictures/${pictureOf(finding.id)?.hash}?small`"
              :alt="`Picture of ${finding.title}`"
              width="96"
              height="64"
              class="h-16 w-24 border border-ink object-cover"
            />
          </li>
        </ul>
      </div>
    </section>
    <section v-if="causes.length > 0" class="mt-4 break-inside-avoid">
      <h2 class="border-b-2 border-ink">Causes</h2>
      <p v-for="{ cause, findings } in causes" :key="cause.id" class="py-1">
        <span class="cond">{{ letterOf(cause.id) }}</span> {{ cause.title }}:
        {{ countOf(findings) }} of the above<template v-if="cause.test"
          >; closes by: {{ cause.test.toLowerCase() }}</template
        >.
      </p>
    </section>
    <section v-if="accepted.length > 0" class="mt-4 break-inside-avoid">
      <h2 class="border-b-2 border-ink">Accepted as it is</h2>
      <p v-for="one in accepted" :key="one.id" class="py-1">
        {{ one.title }}: {{ one.reason || 'with its job'
        }}<template v-if="one.lookAgainOn"
          >, looked at again {{ sayFullDate(one.lookAgainOn) }}</template
        >.
      </p>
    </section>
    <p v-if="closed > 0" class="mt-4">{{ closed }} more were found and are mended.</p>
    <p class="mt-10 border-t border-ink pt-1 text-ink2 print:mt-16">Seen and signed, with date</p>
  </article>
</template>
