<script setup lang="ts">
import type { Clash } from '#core/model/changes'
import { sayValue } from '#core/model/sayValue'

/** Two people changed the same thing: both values, and a choice. */
const store = useRefitStore()
const say = (clash: Clash, value: unknown) => sayValue(clash.entity, clash.field, value, store.rows)
const theirs = (clash: Clash) => say(clash, clash.theirs)
const yours = (clash: Clash) => (clash.field === '' ? 'removed' : say(clash, clash.yours))
</script>

<template>
  <UiDialog
    :open="store.clash !== null"
    title="Somebody else changed this too"
    red
    @close="store.setClashAside()"
  >
    <p>Since you looked, another window changed the same thing. Which do you want to keep?</p>
    <table class="my-4 w-full border-collapse">
      <caption class="sr-only">
        What clashes
      </caption>
      <thead>
        <tr class="border-b-2 border-ink text-left">
          <th scope="col" class="cond py-1">What</th>
          <th scope="col" class="cond py-1">Theirs</th>
          <th scope="col" class="cond py-1">Yours</th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="one in store.clash?.clashes ?? []"
          :key="one.id + one.field"
          class="border-b border-rule2"
        >
          <th scope="row" class="py-1 pr-3 text-left font-normal">{{ one.label }}</th>
          <td class="py-1 pr-3">{{ theirs(one) }}</td>
          <td class="py-1">{{ yours(one) }}</td>
        </tr>
      </tbody>
    </table>
    <div class="flex gap-3">
      <button class="btn btn-main" @click="store.keepMine()">Keep yours</button>
      <button class="btn" @click="store.keepTheirs()">Keep theirs</button>
      <button class="btn" @click="store.setClashAside()">Decide later</button>
    </div>
  </UiDialog>
</template>
