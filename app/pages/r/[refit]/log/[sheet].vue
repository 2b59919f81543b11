<script setup lang="ts">
import { Printer } from '@lucide/vue'
import { computed, ref } from 'vue'
import { completeness } from '#core/asbuilt/draft'

/** One as-built sheet: what anybody needs to know to check it or take it apart. Prints on a page. */
const store = useRefitStore()
const route = useRoute()
const sheetId = computed(() => String(route.params.sheet))
const { sheet, lines, tests, pictures, edit, remove, addLine, addTest, addPicture } =
  useSheet(sheetId)
const record = computed(() => (sheet.value ? completeness(sheet.value, store.rows) : null))
const kinds = [
  { value: 'material', label: 'Material' },
  { value: 'size', label: 'Size' },
  { value: 'setting', label: 'Setting' },
  { value: 'drawing', label: 'Drawing' },
  { value: 'note', label: 'Note' },
] as const
const outcomes = [
  { value: 'notYet', label: 'Not yet' },
  { value: 'passed', label: 'Passed' },
  { value: 'failed', label: 'Failed' },
] as const
const moments = [
  { value: 'before', label: 'Before' },
  { value: 'open', label: 'Open' },
  { value: 'after', label: 'After' },
] as const
const newKind = ref<(typeof kinds)[number]['value'] | null>('material')
const newLine = ref('')
const newTest = ref('')
const moment = ref<(typeof moments)[number]['value'] | null>('after')
const print = () => window.print()
const set = (field: string) => (value: unknown) =>
  sheet.value && void edit('asBuiltSheet', sheet.value, { [field]: value })

async function line() {
  if (newLine.value.trim() !== '' && (await addLine(newKind.value ?? 'material', newLine.value)))
    newLine.value = ''
}
async function test() {
  if (newTest.value.trim() !== '' && (await addTest(newTest.value))) newTest.value = ''
}
function picked(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (file) void addPicture(file, moment.value ?? 'after')
}
</script>

<template>
  <div>
    <p v-if="!sheet">
      This sheet is not here any more.
      <NuxtLink class="underline" :to="`/r/${store.refitId}/log`">To the log</NuxtLink>
    </p>
    <SheetDocument v-else class="hidden print:block" :sheet-id="sheet.id" />
    <article v-if="sheet" class="no-print max-w-4xl">
      <div class="flex flex-wrap items-start justify-between gap-3">
        <div>
          <p class="cond text-ink2">As-built sheet · {{ store.refit?.boatName }}</p>
          <h1>{{ sheet.title }}</h1>
          <p v-if="record && record.missing.length > 0" class="no-print text-ink2">
            Still missing: {{ record.missing.join(', ') }}.
          </p>
        </div>
        <button class="btn no-print" @click="print">
          <Printer :size="17" aria-hidden="true" /> Print
        </button>
      </div>
      <div class="mt-3 grid grid-cols-2 gap-3 sm:grid-cols-3">
        <UiText
          :model-value="sheet.title"
          label="What"
          needed
          @update:model-value="set('title')($event)"
        />
        <UiText
          :model-value="sheet.where"
          label="Where"
          @update:model-value="set('where')($event)"
        />
        <UiDate
          :model-value="sheet.doneOn"
          label="When"
          may-be-empty
          @update:model-value="set('doneOn')($event)"
        />
        <UiText :model-value="sheet.who" label="Who" @update:model-value="set('who')($event)" />
        <UiHours
          :model-value="sheet.hours"
          label="Hours"
          :most="100000"
          may-be-empty
          @update:model-value="set('hours')($event)"
        />
        <UiMoney
          :model-value="sheet.costMinor"
          label="Cost"
          :currency="store.refit?.currency ?? 'EUR'"
          may-be-empty
          @update:model-value="set('costMinor')($event)"
        />
      </div>
      <section class="mt-6">
        <h2 class="border-b-2 border-ink">Materials, sizes, settings</h2>
        <ul>
          <li
            v-for="one in lines"
            :key="one.id"
            class="grid grid-cols-2 items-start gap-1 border-b border-rule2 py-1 sm:grid-cols-[7rem_2fr_2fr_1.5fr_auto]"
          >
            <UiSelect
              :model-value="one.kind"
              :label="`Kind of ${one.what}`"
              hide-label
              quiet
              :options="kinds"
              @update:model-value="edit('asBuiltLine', one, { kind: $event })"
            />
            <UiText
              :model-value="one.what"
              label="What"
              hide-label
              needed
              quiet
              @update:model-value="edit('asBuiltLine', one, { what: $event })"
            />
            <UiText
              :model-value="one.value"
              :label="`Value of ${one.what}`"
              hide-label
              quiet
              placeholder="how much, what size"
              @update:model-value="edit('asBuiltLine', one, { value: $event })"
            />
            <UiText
              :model-value="one.batch"
              :label="`Batch of ${one.what}`"
              hide-label
              quiet
              placeholder="batch, expiry"
              :most="120"
              @update:model-value="edit('asBuiltLine', one, { batch: $event })"
            />
            <button
              class="btn btn-quiet btn-small no-print"
              :aria-label="`Remove ${one.what}`"
              @click="remove('asBuiltLine', one)"
            >
              Remove
            </button>
          </li>
        </ul>
        <form class="no-print mt-2 flex items-end gap-2" @submit.prevent="line">
          <UiSelect v-model="newKind" label="Kind" :options="kinds" />
          <UiText
            v-model="newLine"
            class="grow"
            label="New line"
            placeholder="Sealant below the waterline"
          />
          <button class="btn" type="submit">Add line</button>
        </form>
      </section>
      <section class="mt-6">
        <h2 class="border-b-2 border-ink">Tests</h2>
        <ul>
          <li
            v-for="one in tests"
            :key="one.id"
            class="grid grid-cols-2 items-start gap-1 border-b border-rule2 py-1 sm:grid-cols-[2fr_2fr_2fr_7rem_auto]"
          >
            <UiText
              :model-value="one.what"
              label="Test"
              hide-label
              needed
              quiet
              @update:model-value="edit('asBuiltTest', one, { what: $event })"
            />
            <UiText
              :model-value="one.expected"
              :label="`Expected of ${one.what}`"
              hide-label
              quiet
              placeholder="expected"
              @update:model-value="edit('asBuiltTest', one, { expected: $event })"
            />
            <UiText
              :model-value="one.measured"
              :label="`Measured of ${one.what}`"
              hide-label
              quiet
              placeholder="measured"
              @update:model-value="edit('asBuiltTest', one, { measured: $event })"
            />
            <UiSelect
              :model-value="one.outcome"
              :label="`Outcome of ${one.what}`"
              hide-label
              quiet
              :options="outcomes"
              @update:model-value="edit('asBuiltTest', one, { outcome: $event })"
            />
            <button
              class="btn btn-quiet btn-small no-print"
              :aria-label="`Remove ${one.what}`"
              @click="remove('asBuiltTest', one)"
            >
              Remove
            </button>
          </li>
        </ul>
        <form class="no-print mt-2 flex items-end gap-2" @submit.prevent="test">
          <UiText
            v-model="newTest"
            class="grow"
            label="New test"
            placeholder="Hose test, ten minutes"
          />
          <button class="btn" type="submit">Add test</button>
        </form>
      </section>
      <section class="mt-6">
        <h2 class="border-b-2 border-ink">Pictures</h2>
        <div class="mt-2 grid grid-cols-2 gap-3 sm:grid-cols-3">
          <figure v-for="one in pictures" :key="one.id">
            <img
              :src="`/api/pictures/${one.hash}?small`"
              :alt="one.caption || `${sheet.title}, ${one.moment}`"
              :width="one.widthPx"
              :height="one.heightPx"
              class="h-auto w-full border border-ink"
            />
            <figcaption class="flex items-center justify-between">
              <span
                ><span class="cond">{{
                  moments.find((m) => m.value === one.moment)?.label ?? one.moment
                }}</span>
                {{ one.caption }}</span
              >
              <button class="btn btn-quiet btn-small no-print" @click="remove('picture', one)">
                Remove
              </button>
            </figcaption>
          </figure>
        </div>
        <div class="no-print mt-2 flex items-end gap-2">
          <UiSelect v-model="moment" label="Moment" :options="moments" />
          <label class="btn"
            >Add picture<input type="file" accept="image/*" class="sr-only" @change="picked"
          /></label>
        </div>
      </section>
      <section class="mt-6 grid gap-3">
        <h2 class="border-b-2 border-ink">Later</h2>
        <UiText
          :model-value="sheet.takeApart"
          label="How to take it apart again"
          multiline
          :most="20000"
          @update:model-value="set('takeApart')($event)"
        />
        <div class="grid gap-3 sm:grid-cols-[12rem_1fr]">
          <UiDate
            :model-value="sheet.nextCheckOn"
            label="Next check"
            may-be-empty
            @update:model-value="set('nextCheckOn')($event)"
          />
          <UiText
            :model-value="sheet.nextCheckWhat"
            label="What to check"
            :most="500"
            @update:model-value="set('nextCheckWhat')($event)"
          />
        </div>
      </section>
    </article>
  </div>
</template>
