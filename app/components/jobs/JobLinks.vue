<script setup lang="ts">
import { computed, ref } from 'vue'
import { suggestedLinks } from '#core/breakdown/suggestLinks'
import type { SuggestedLink } from '#core/breakdown/suggestLinks'
import type { Job, Link } from '#core/model/entities'
import { fieldOf } from '#core/model/references'
import { byId, inOrder } from '#core/model/refit'
import { sayChoice } from '#core/model/sayValue'

/** Which jobs this one waits for, and which wait for it; picked by name. */
const props = defineProps<{ job: Job }>()
defineEmits<{ open: [jobId: string] }>()
const store = useRefitStore()
const edits = useJobEdits()
const jobs = computed(() => byId(store.rows.job))
const wrong = ref<{ readonly before: string; readonly after: string }>({ before: '', after: '' })
const before = computed(() => store.rows.link.filter((one) => one.toJobId === props.job.id))
const after = computed(() => store.rows.link.filter((one) => one.fromJobId === props.job.id))
const suggested = computed(() => suggestedLinks(store.rows, props.job))
const options = computed(() =>
  inOrder(store.rows.job)
    .filter((one) => one.id !== props.job.id)
    .map((one) => ({ id: one.id, name: one.title })),
)
/** The link whose ends are open to be named. */
const opened = ref<string | null>(null)
const isOpen = (event: Event): boolean => (event.currentTarget as HTMLDetailsElement).open
const stepsOf = (jobId: string) =>
  inOrder(store.rows.step.filter((one) => one.jobId === jobId && one.state !== 'dropped')).map(
    (one) => ({ value: one.id, label: one.title }),
  )
/** "once “Bed it” is done, for “Coat”", or that it is all of both. */
function sayEnds(
  link: Pick<Link, 'fromStepId' | 'toStepId'> & Partial<Pick<Link, 'once'>>,
): string {
  const title = (id: string | null) => store.rows.step.find((one) => one.id === id)?.title
  const [from, to] = [title(link.fromStepId), title(link.toStepId)]
  const once =
    !link.once || link.once === 'cured'
      ? ''
      : `once it ${sayChoice(fieldOf('link', 'once'), link.once).toLowerCase()}`
  if (!from && !to) return once || 'all of it'
  return [from ? `once “${from}” is done` : '', to ? `for “${to}”` : '', once]
    .filter(Boolean)
    .join(', ')
}
async function take({ fromJobId, toJobId, fromStepId, toStepId }: SuggestedLink) {
  const side = toJobId === props.job.id ? 'before' : 'after'
  await add(side, side === 'before' ? fromJobId : toJobId, { fromStepId, toStepId })
}
async function add(
  side: 'before' | 'after',
  otherId: string,
  ends: Partial<Pick<Link, 'fromStepId' | 'toStepId'>> = {},
) {
  wrong.value = { before: '', after: '' }
  try {
    await (side === 'before'
      ? edits.addLink(otherId, props.job.id, ends)
      : edits.addLink(props.job.id, otherId, ends))
  } catch (error) {
    wrong.value = { ...wrong.value, [side]: sentenceOf(error) }
  }
}
const sides = computed(() => [
  {
    side: 'before' as const,
    title: 'Waits for',
    label: 'Add a job it waits for',
    links: before.value,
    other: 'fromJobId' as const,
  },
  {
    side: 'after' as const,
    title: 'Then comes',
    label: 'Add a job that comes after',
    links: after.value,
    other: 'toJobId' as const,
  },
])
</script>

<template>
  <div class="grid gap-4 sm:grid-cols-2">
    <div v-for="{ side, title, label, links, other } in sides" :key="side">
      <h3>{{ title }}</h3>
      <ul>
        <li v-for="link in links" :key="link.id" class="flex flex-wrap items-start gap-1">
          <button
            class="min-w-0 flex-1 py-1 text-left underline"
            @click="$emit('open', link[other])"
          >
            {{ jobs.get(link[other])?.title }}
          </button>
          <button
            class="btn btn-quiet btn-small"
            :aria-label="`Remove link with ${jobs.get(link[other])?.title}`"
            @click="edits.removeLink(link)"
          >
            Remove
          </button>
          <details
            class="basis-full pb-1 text-ink2"
            @toggle="opened = isOpen($event) ? link.id : opened"
          >
            <summary class="cond cursor-pointer py-1">{{ sayEnds(link) }}</summary>
            <div v-if="opened === link.id" class="grid gap-2 py-2">
              <RowField
                entity="link"
                :row="link"
                field="fromStepId"
                :options="stepsOf(link.fromJobId)"
                none="The whole job"
              />
              <RowField
                entity="link"
                :row="link"
                field="toStepId"
                :options="stepsOf(link.toJobId)"
                none="All that is open of it"
              />
              <RowField entity="link" :row="link" field="once" />
            </div>
          </details>
        </li>
      </ul>
      <UiPick :label="label" :options="options" :error="wrong[side]" @pick="add(side, $event)" />
    </div>
    <section v-if="suggested.length > 0" class="sm:col-span-2">
      <h3>In the same place, in which order?</h3>
      <ul>
        <li
          v-for="one in suggested"
          :key="`${one.fromJobId}-${one.toJobId}`"
          class="flex flex-wrap items-center justify-between gap-2 border-b border-rule2 py-1"
        >
          <span class="min-w-0 grow basis-64">
            {{ jobs.get(one.fromJobId)?.title }} → {{ jobs.get(one.toJobId)?.title }}
            <span class="block text-ink2">
              {{ one.why }}
              <template v-if="one.fromStepId || one.toStepId">({{ sayEnds(one) }})</template>
            </span>
          </span>
          <button class="btn btn-small" @click="take(one)">
            Link them<span class="sr-only">
              {{ jobs.get(one.fromJobId)?.title }} before {{ jobs.get(one.toJobId)?.title }}</span
            >
          </button>
        </li>
      </ul>
    </section>
  </div>
</template>
