<script setup lang="ts">
import { computed, ref } from 'vue'
import { cameAgain } from '#core/log/history'
import { inOrder } from '#core/model/refit'
import { sayMonth } from '#core/time/say'

/** What came again after it was mended, with all that was ever done in that place; and work before us. */
const store = useRefitStore()
const most = 3
const all = computed(() => cameAgain(store.rows, store.zone))
const again = computed(() => all.value.slice(0, most))
const adding = ref(false)
const form = useRowForm('earlierWork', () => ({
  zoneId: null,
  what: '',
  year: store.refit?.builtYear ?? undefined,
  byWhom: '',
}))
const zones = computed(() =>
  inOrder(store.rows.zone).map((one) => ({ value: one.id, label: one.name })),
)
async function add() {
  const id = newId()
  const kept = await form.save('Work before us', (values) => [
    { op: 'create', entity: 'earlierWork', id, patch: values },
  ])
  if (kept) {
    form.reset()
    adding.value = false
  }
}
</script>

<template>
  <section aria-labelledby="came-again">
    <h2 id="came-again" class="border-b-2 border-ink">It came again</h2>
    <p v-if="again.length === 0" class="text-ink2">
      Nothing is written down that came again after it was mended. On a finding say after which
      repair it did: how long that held is told here, and wherever work is planned in that place.
    </p>
    <article v-for="one in again" :key="one.findingId" class="mt-1">
      <p class="leading-snug">
        <strong>{{ one.title }}</strong>: {{ one.repair }}, {{ sayMonth(one.doneOn) }}, held
        <strong>{{ one.months }} {{ one.months === 1 ? 'month' : 'months' }}</strong>.
      </p>
      <PlaceHistory v-if="one.zoneId" :zone-id="one.zoneId" :again="one" />
    </article>
    <p v-if="all.length > most" class="mt-1 text-ink2">And {{ all.length - most }} more.</p>
    <button class="btn btn-small no-print mt-2" :aria-expanded="adding" @click="adding = !adding">
      Work before us
    </button>
    <UiRowForm v-if="adding" class="grid sm:grid-cols-2" :form="form" keep="Keep it" @keep="add">
      <FieldInput v-bind="form.bind('what')" class="sm:col-span-2" />
      <FieldInput v-bind="form.bind('zoneId')" :options="zones" none="Not said" />
      <FieldInput v-bind="form.bind('year', 'About which year')" />
      <FieldInput v-bind="form.bind('byWhom')" />
    </UiRowForm>
  </section>
</template>
