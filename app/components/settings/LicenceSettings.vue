<script setup lang="ts">
import { computed } from 'vue'
import { licensedName } from '#core/canDo/canDo'
import { licensedKinds } from '#core/model/words'

/** Work that takes a licensed person where she lies, and what an own hour is reckoned at. */
const store = useRefitStore()
const refits = useRows('refit')
const here = computed(() => new Set(store.refit?.licensedHere ?? []))
</script>

<template>
  <section v-if="store.refit" aria-labelledby="set-licence">
    <h2 id="set-licence" class="border-b-2 border-ink">Ourselves or a trade</h2>
    <p class="mt-1 text-ink2">
      Tick what takes a licensed person where she lies. Ask the local authority or your insurer: the
      code decides, not this list.
    </p>
    <div class="mt-1 grid sm:grid-cols-3">
      <UiCheck
        v-for="kind in licensedKinds"
        :key="kind"
        :model-value="here.has(kind)"
        :label="licensedName(kind)"
        @update:model-value="store.refit && refits.tick(store.refit, 'licensedHere', kind)"
      />
    </div>
    <RowField
      entity="refit"
      :row="store.refit"
      field="ownHourMinor"
      class="mt-2 max-w-56"
      hint="Set against a trade’s price."
      label="An hour of ours is worth"
    />
  </section>
</template>
