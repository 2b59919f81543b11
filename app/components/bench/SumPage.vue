<script setup lang="ts">
import { ChevronLeft, Printer } from '@lucide/vue'
import { computed, nextTick } from 'vue'
import type { Sum } from '#core/bench/sum'

/** One sum: its figures, the drawing, the answer, how it came, what to distrust, and the job it goes on. */
const props = defineProps<{ sum: Sum }>()
const store = useRefitStore()
const page = useSum(props.sum)
const job = computed(() => store.rows.job.find((one) => one.id === page.jobId.value) ?? null)
/** What stands on the screen: the answer, or greyed the last one that could be worked. */
const shown = computed(() => page.answer.value ?? page.lastGood.value)
/** Too many columns for a third of the page. */
const isWideTable = computed(() => (shown.value?.table?.head.length ?? 0) > 5)
const isStale = computed(() => page.answer.value === null)
const doubtSaid = computed(() => {
  const doubt = page.doubt.value
  if (!doubt || !page.answer.value) return ''
  // Of what may not be done yet it is no comfort that guesses do not change it.
  if (doubt.holds)
    return page.answer.value.verdict === 'go' ? 'The same, whatever the guesses are.' : ''
  // Answers of many lines are no reading matter: that they change, and by which figure, is what counts.
  const isShort = (doubt.thin?.length ?? 0) + (doubt.thick?.length ?? 0) < 44
  const range =
    isShort && doubt.thin !== null && doubt.thick !== null && doubt.thin !== doubt.thick
      ? `Every guess thin: ${doubt.thin}; every guess thick: ${doubt.thick}.`
      : doubt.thin === null || doubt.thick === null
        ? 'With the guesses off, it may not work at all.'
        : ''
  const small = doubt.decides.map((one) => one.charAt(0).toLowerCase() + one.slice(1))
  if (small.length === 0) return range
  const named =
    small.length > 3 ? `${small[0]} and ${small.length - 1} others` : small.join(' and ')
  return `${range} Measure ${named}: ${small.length === 1 ? 'it decides' : 'they decide'}.`.trim()
})
/** Of the sums beside it, what stands in the way. */
const besideSaid = computed(() =>
  page.beside.value
    .filter((one) => one.answer && one.answer.verdict !== 'go')
    .map((one) => one.answer?.heading ?? '')
    .join('; '),
)
async function toField(path: string) {
  const [key = '', index] = path.split('.')
  if (index !== undefined) page.unfold(key, Number(index))
  await nextTick()
  const field = document
    .querySelector(`[data-path="${CSS.escape(path)}"]`)
    ?.querySelector<HTMLElement>('input, select')
  field?.focus()
  if (field instanceof HTMLInputElement) field.select()
}
/** A piece dragged on the drawing: it is pinned there. */
function lay(fields: { along: string; across: string }, at: { along: number; across: number }) {
  page.put(fields.along, at.along)
  page.put(fields.across, at.across)
}
const print = () => window.print()
useKeyScope({ benchBack: () => void goTo(`/r/${store.refitId}/bench`) })
</script>

<template>
  <div>
    <div class="flex flex-wrap items-start justify-between gap-x-4 gap-y-1">
      <h1 :class="{ 'opacity-60': isStale }">
        {{ sum.title
        }}<template v-if="shown"
          >:
          <span :class="shown.verdict === 'go' ? 'text-verdigris' : 'text-redlead'">{{
            shown.heading
          }}</span
          ><span v-if="besideSaid" class="text-redlead">; {{ besideSaid }}</span></template
        >
      </h1>
      <div class="no-print flex gap-2">
        <NuxtLink class="btn" :to="`/r/${store.refitId}/bench`" aria-keyshortcuts="Escape">
          <ChevronLeft :size="18" aria-hidden="true" /> Bench
        </NuxtLink>
        <button class="btn" @click="print"><Printer :size="18" aria-hidden="true" /> Print</button>
      </div>
    </div>
    <p class="text-ink2">{{ sum.about }}<template v-if="job"> For “{{ job.title }}”.</template></p>
    <div aria-live="polite">
      <p v-if="page.wrong.value" class="mt-1 border-l-4 border-redlead pl-3 text-redlead">
        {{ page.wrong.value
        }}<template v-if="shown"> What stands below is the last answer.</template>
      </p>
    </div>
    <div
      v-if="sum.isSearch && page.answer.value"
      class="no-print mt-2 flex min-h-11 flex-wrap items-center gap-3"
      aria-live="polite"
    >
      <template v-if="page.search.running.value">
        <progress
          class="w-40"
          :value="page.search.share.value"
          max="1"
          aria-label="How far the search is"
        />
        <span>Looking for a better one; the best so far stands here.</span>
        <button class="btn btn-small" @click="page.search.stop()">Stop here</button>
      </template>
      <template v-else>
        <span class="text-ink2">{{
          page.search.share.value >= 1 ? 'Searched to the end.' : 'Stopped.'
        }}</span>
        <button class="btn btn-small" @click="page.search.start()">Search again</button>
      </template>
      <span v-if="page.search.wrong.value" class="text-redlead" role="alert">{{
        page.search.wrong.value
      }}</span>
    </div>
    <SumDrawing
      v-if="sum.isWide && shown?.drawing"
      class="mt-3"
      :class="{ 'opacity-50': isStale }"
      :drawing="shown.drawing"
      :most="430"
      :lit="page.lit.value"
      @field="toField"
      @light="page.light"
      @laid="lay"
    />
    <div
      class="mt-3 grid grid-cols-[minmax(0,1fr)] items-start gap-x-7 gap-y-5 lg:grid-cols-[minmax(0,1.25fr)_minmax(0,1fr)]"
      :class="
        sum.isWide
          ? 'xl:grid-cols-[minmax(0,2fr)_minmax(0,1fr)_minmax(0,1fr)]'
          : 'xl:grid-cols-[minmax(0,1.35fr)_minmax(0,1fr)_minmax(0,1fr)]'
      "
    >
      <div class="grid grid-cols-[minmax(0,1fr)] gap-4">
        <SumDrawing
          v-if="!sum.isWide && shown?.drawing"
          :class="{ 'opacity-50': isStale }"
          :drawing="shown.drawing"
          :most="380"
          :lit="page.lit.value"
          @field="toField"
          @light="page.light"
        />
        <SumClock v-if="shown?.starts && !isStale" :starts="shown.starts" :page="page" />
        <form class="grid grid-cols-2 items-end gap-x-4 gap-y-2" @submit.prevent>
          <template v-for="ask in page.asks.value" :key="ask.key">
            <SumLines v-if="ask.is === 'lines'" class="col-span-2" :lines="ask" :page="page" />
            <SumCell
              v-else
              :class="{ 'col-span-2': ask.is === 'amount' && ask.nudge !== undefined }"
              :cell="ask"
              :path="ask.key"
              :value="page.values[ask.key] as never"
              :error="page.problemAt(ask.key)"
              :is-known="page.known[ask.key] === true"
              @put="page.put(ask.key, $event)"
              @known="page.setKnown(ask.key, $event)"
              @unread="page.setUnread(ask.key, $event)"
            />
          </template>
        </form>
        <SumTable
          v-if="shown?.table && isWideTable"
          :class="{ 'opacity-50': isStale }"
          :table="shown.table"
        />
      </div>
      <div class="grid grid-cols-[minmax(0,1fr)] gap-5" :class="{ 'opacity-50': isStale }">
        <section v-if="shown && shown.figures.length > 0" aria-labelledby="sum-answer">
          <h2 id="sum-answer" class="border-b-2 border-ink">The answer</h2>
          <dl>
            <div
              v-for="one in shown.figures"
              :key="one.label"
              class="grid grid-cols-[1fr_auto] items-baseline gap-x-3 border-b border-rule2 py-1"
            >
              <dt>{{ one.label }}</dt>
              <dd
                class="cond text-right text-lg"
                :class="{
                  'text-redlead': one.tone === 'short',
                  'text-verdigris': one.tone === 'good',
                }"
              >
                {{ one.value }}
              </dd>
              <dd v-if="one.note" class="col-span-2 text-ink2">{{ one.note }}</dd>
            </div>
          </dl>
          <p
            v-if="doubtSaid"
            class="mt-2 border-l-4 border-brass pl-3"
            :class="{ 'opacity-60': page.isDoubtOld.value }"
          >
            {{ doubtSaid }}
          </p>
        </section>
        <section v-if="shown?.checks && shown.checks.length > 0" aria-labelledby="sum-checks">
          <h2 id="sum-checks" class="border-b-2 border-ink">Look first</h2>
          <SumChecks :checks="shown.checks" />
        </section>
        <SumTable v-if="shown?.table && !isWideTable" :table="shown.table" />
        <SumBeside :beside="page.beside.value" :job-id="page.jobId.value" />
      </div>
      <div
        class="grid grid-cols-[minmax(0,1fr)] gap-5 lg:col-span-2 lg:grid-cols-2 xl:col-span-1 xl:grid-cols-[minmax(0,1fr)]"
      >
        <div v-if="shown" class="grid content-start gap-4" :class="{ 'opacity-50': isStale }">
          <section aria-labelledby="sum-working">
            <h2 id="sum-working" class="border-b-2 border-ink">How it came</h2>
            <ol class="mt-1 grid gap-1">
              <li v-for="line in shown.working" :key="line">{{ line }}</li>
            </ol>
            <p class="mt-1 text-ink2">From {{ sum.source }}.</p>
          </section>
          <section aria-labelledby="sum-distrust">
            <h2 id="sum-distrust" class="border-b-2 border-ink">What to distrust</h2>
            <ul class="mt-1 grid gap-1">
              <li v-for="line in shown.distrust" :key="line">{{ line }}</li>
            </ul>
          </section>
          <ul v-if="shown.cautions.length > 0" class="grid gap-1" aria-label="Cautions">
            <li v-for="line in shown.cautions" :key="line" class="border-l-4 border-redlead pl-3">
              {{ line }}
            </li>
          </ul>
        </div>
        <SumPut :page="page" :answer="page.answer.value" />
      </div>
    </div>
  </div>
</template>
