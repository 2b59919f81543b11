<script setup lang="ts">
import { computed } from 'vue'
import type { Finding, Row } from '#core/model/entities'
import { formatGuess } from '#core/units/hours'
import { failedTestChanges } from '#core/walk/causes'
import type { ZoneMarks } from '#core/walk/marks'

/** One place of the list: its marks, what waits for a word, the hours; opened, every finding by itself. */
const props = defineProps<{ marks: ZoneMarks; open: boolean; name: string }>()
const emit = defineEmits<{
  choose: []
  finding: [id: string]
  join: [causeId: string]
  place: []
}>()
const store = useRefitStore()
const { hoursOf, markOf, letterOf, lettersAt } = useWalk()
const all = computed(() => props.marks.groups.flatMap((group) => group.findings))
const work = computed(() => hoursOf(all.value))
const saidHours = computed(() => {
  const { hours, notGuessed } = work.value
  if (props.marks.open === 0) return ''
  if (hours === 0) return notGuessed > 0 ? 'not guessed' : ''
  return notGuessed > 0 ? `${formatGuess(hours)} +` : formatGuess(hours)
})
const letters = computed(() => lettersAt(props.marks.groups))
/** Causes that explain something here and have something to settle, anywhere. */
const causes = computed(() =>
  store.rows.cause.flatMap((cause) => {
    const findings = store.rows.finding.filter((one) => one.causeId === cause.id)
    const here = findings.some((one) => all.value.some((own) => own.id === one.id))
    const free = findings.filter((one) => markOf(one).toSettle)
    return here ? [{ cause, free, all: findings }] : []
  }),
)
/** The job opens again with a step before its test, and with it all that the cause explains. */
const testFailed = (cause: Row<'cause'>) =>
  store.attempt(`The test failed: ${cause.title}`, failedTestChanges(store.rows, cause, newId))
const stateWords = (finding: Finding) => {
  const { fill } = markOf(finding)
  return fillWords[fill]
}
</script>

<template>
  <li :class="{ 'bg-verdigris-tint': open }" class="walk-row border-b border-rule2">
    <button
      class="flex min-h-7 w-full items-center gap-2 px-1.5 text-left max-sm:min-h-12"
      :class="{ 'border-l-4 border-verdigris': open }"
      :aria-expanded="open"
      @click="emit('choose')"
    >
      <span class="cond w-36 shrink-0 truncate text-lg max-[22rem]:w-24">{{ name }}</span>
      <span class="flex grow flex-wrap items-center gap-1.5 py-px">
        <MarkShape
          v-for="group in marks.groups"
          :key="`${group.severity} ${group.fill}`"
          :severity="group.severity"
          :fill="group.fill"
          :many="group.many"
        />
        <svg
          v-for="letter in letters"
          :key="letter"
          width="20"
          height="25"
          viewBox="0 -4 20 27"
          role="img"
          :aria-label="`cause ${letter}`"
        >
          <CauseDrop :letter="letter" />
        </svg>
      </span>
      <span v-if="marks.toSettle > 0" class="cond shrink-0 text-redlead"
        >{{ marks.toSettle }} to settle</span
      >
      <span class="cond w-20 shrink-0 text-right text-lg">{{ saidHours }}</span>
    </button>
    <div v-if="open" class="border-l-4 border-verdigris px-2 pb-2">
      <ul>
        <li v-for="finding in all" :key="finding.id">
          <button
            class="flex min-h-9 w-full items-center gap-2 text-left hover:bg-brass-tint max-sm:min-h-12"
            @click="emit('finding', finding.id)"
          >
            <MarkShape
              :severity="finding.severity"
              :fill="markOf(finding).fill"
              :many="finding.howMany"
            />
            <span class="grow leading-snug"
              >{{ finding.title
              }}<span v-if="finding.causeId" class="cond ml-1.5 text-water-deep">{{
                letterOf(finding.causeId)
              }}</span></span
            >
            <span class="shrink-0 text-sm text-ink2">{{ stateWords(finding) }}</span>
          </button>
        </li>
      </ul>
      <div
        v-for="{ cause, free, all: joined } in causes"
        :key="cause.id"
        class="mt-1 flex flex-wrap items-center gap-2"
      >
        <button
          v-if="free.length > 0 && cause.jobId === null"
          class="btn btn-small bg-verdigris! text-sheet!"
          @click="emit('join', cause.id)"
        >
          Make {{ free.length === joined.length ? 'them' : `the other ${free.length}` }} one job
        </button>
        <button
          v-if="cause.jobId !== null"
          class="btn btn-small"
          :aria-label="`Its test failed: ${cause.title}`"
          @click="testFailed(cause)"
        >
          Its test failed
        </button>
        <span class="text-sm"
          >{{ letterOf(cause.id) }}: {{ cause.title.toLowerCase() }},
          {{ joined.length }} findings<template v-if="cause.test"
            >; closes by: {{ cause.test.toLowerCase() }}</template
          ></span
        >
      </div>
      <button v-if="marks.zone" class="mt-1 text-sm underline" @click="emit('place')">
        About this place: what it is made of, way in, outline
      </button>
    </div>
  </li>
</template>
