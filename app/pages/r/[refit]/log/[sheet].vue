<script setup lang="ts">
import { Printer } from '@lucide/vue'
import { computed, ref } from 'vue'
import { completeness } from '#core/asbuilt/draft'
import { inOrder } from '#core/model/refit'

/** One as-built sheet: what anybody needs to know to check it or take it apart. Prints on a page. */
const store = useRefitStore()
const route = useRoute()
const sheetId = computed(() => String(route.params.sheet))
const { sheet, lines, tests, pictures, edit, editTest, remove } = useSheet(sheetId)
const record = computed(() => (sheet.value ? completeness(sheet.value, store.rows) : null))
const moments = [
  { value: 'before', label: 'Before' },
  { value: 'open', label: 'Open' },
  { value: 'after', label: 'After' },
] as const
const moment = ref<(typeof moments)[number]['value'] | null>('after')
const print = () => window.print()
const failing = ref(false)
const failed = computed(() => tests.value.filter((one) => one.outcome === 'failed'))
/** The last step of its job that is done: from there back something did not work. */
const lastStep = computed(
  () =>
    inOrder(
      store.rows.step.filter(
        (one) =>
          one.jobId === sheet.value?.jobId && one.state === 'done' && one.operation !== 'label',
      ),
    ).at(-1) ?? null,
)
provideRow({
  entity: 'asBuiltSheet',
  row: sheet,
  edit: (patch) => sheet.value && void edit('asBuiltSheet', sheet.value, patch),
})
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
        <RowField field="title" />
        <RowField field="where" />
        <RowField field="doneOn" />
        <RowField field="who" />
        <RowField field="hours" />
        <RowField field="costMinor" />
      </div>
      <section class="mt-6">
        <h2 class="border-b-2 border-ink">Materials, sizes, settings</h2>
        <ul>
          <li
            v-for="one in lines"
            :key="one.id"
            class="grid grid-cols-2 items-start gap-1 border-b border-rule2 py-1 sm:grid-cols-[7rem_2fr_2fr_1.5fr_auto]"
          >
            <RowField
              entity="asBuiltLine"
              :row="one"
              field="kind"
              hide-label
              quiet
              :label="`Kind of ${one.what}`"
            />
            <RowField entity="asBuiltLine" :row="one" field="what" hide-label quiet />
            <RowField
              entity="asBuiltLine"
              :row="one"
              field="value"
              hide-label
              quiet
              placeholder="how much, what size"
              :label="`Value of ${one.what}`"
            />
            <RowField
              entity="asBuiltLine"
              :row="one"
              field="batch"
              hide-label
              quiet
              placeholder="batch, expiry"
              :label="`Batch of ${one.what}`"
            />
            <button
              class="btn btn-quiet btn-small no-print"
              :aria-label="`Remove ${one.what}`"
              @click="remove('asBuiltLine', one)"
            >
              Remove
            </button>
            <SheetReading
              v-if="one.kind === 'setting' || one.kind === 'size' || one.reading !== null"
              entity="asBuiltLine"
              :row="one"
              @edit="edit('asBuiltLine', one, $event)"
            />
          </li>
        </ul>
        <UiAnother
          v-slot="{ bind }"
          entity="asBuiltLine"
          field="what"
          label="New line"
          placeholder="Sealant below the waterline"
          keep="Add line"
          :initial="{ kind: 'material' }"
          :rest="() => ({ sheetId: sheet?.id })"
        >
          <FieldInput v-bind="bind('kind', 'Kind')" />
        </UiAnother>
      </section>
      <section class="mt-6">
        <h2 class="border-b-2 border-ink">Tests</h2>
        <ul>
          <li
            v-for="one in tests"
            :key="one.id"
            class="grid grid-cols-2 items-start gap-1 border-b border-rule2 py-1 sm:grid-cols-[2fr_2fr_2fr_7rem_auto]"
          >
            <RowField entity="asBuiltTest" :row="one" field="what" hide-label quiet label="Test" />
            <RowField
              entity="asBuiltTest"
              :row="one"
              field="expected"
              hide-label
              quiet
              placeholder="expected"
              :label="`Expected of ${one.what}`"
            />
            <RowField
              entity="asBuiltTest"
              :row="one"
              field="measured"
              hide-label
              quiet
              placeholder="measured"
              :label="`Measured of ${one.what}`"
            />
            <RowField
              entity="asBuiltTest"
              :row="one"
              field="outcome"
              hide-label
              quiet
              :label="`Outcome of ${one.what}`"
            />
            <button
              class="btn btn-quiet btn-small no-print"
              :aria-label="`Remove ${one.what}`"
              @click="remove('asBuiltTest', one)"
            >
              Remove
            </button>
            <SheetReading entity="asBuiltTest" :row="one" @edit="editTest(one, $event)" />
          </li>
        </ul>
        <div v-if="failed.length > 0" class="mt-2 border-l-4 border-redlead pl-2">
          <p>{{ failed.map((one) => one.what).join(', ') }}: not passed.</p>
          <p v-if="lastStep">
            The plan goes on as if it had passed. To have it done again first:
            <button class="btn btn-small" @click="failing = true">Did not work</button>
          </p>
        </div>
        <UiAnother
          entity="asBuiltTest"
          field="what"
          label="New test"
          placeholder="Hose test, ten minutes"
          keep="Add test"
          :rest="() => ({ sheetId: sheet?.id })"
        />
      </section>
      <section class="mt-6">
        <h2 class="border-b-2 border-ink">Pictures</h2>
        <UiSelect
          v-model="moment"
          class="mt-2 max-w-48"
          label="A new one shows"
          :options="moments"
        />
        <PictureStrip
          class="mt-2"
          :pictures="pictures"
          :belongs="{ sheetId: sheet.id, jobId: sheet.jobId }"
          :of="sheet.title"
          :moment="moment"
        />
      </section>
      <section class="mt-6 grid gap-3">
        <h2 class="border-b-2 border-ink">Later</h2>
        <RowField field="takeApart" />
        <RowField field="nextTime" placeholder="what you would have liked to know" />
        <div class="grid gap-3 sm:grid-cols-[12rem_1fr]">
          <RowField field="nextCheckOn" />
          <RowField field="nextCheckWhat" />
        </div>
      </section>
    </article>
    <DidNotWorkDialog v-if="lastStep" :open="failing" :step="lastStep" @close="failing = false" />
  </div>
</template>
