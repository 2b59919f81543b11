<script setup lang="ts">
import { Printer } from '@lucide/vue'
import { computed, ref } from 'vue'
import { bagsToFind, bagsWanted, isLocated } from '#core/bags/bags'
import { keyBetween } from '#core/model/order'
import { inOrder } from '#core/model/refit'
import { figured } from '#core/units/counted'

/** Everything stripped out and put away: where it is, and which step wants it back. */
const store = useRefitStore()
const { sayDay } = useDates()
const route = useRoute()
const asked = ref('')
const openId = computed({
  get: () => (typeof route.query.bag === 'string' ? route.query.bag : null),
  set: (id: string | null) => void goTo({ query: { bag: id ?? undefined } }),
})
const bags = computed(() => {
  const words = asked.value.toLowerCase().split(/\s+/).filter(Boolean)
  return inOrder(store.rows.bag).filter((bag) =>
    words.every((word) =>
      `${bag.code} ${bag.what} ${bag.contents} ${bag.storedAt}`.toLowerCase().includes(word),
    ),
  )
})
const plan = computed(() => store.accepted)
const wanted = computed(
  () => new Map(bagsWanted(store.rows, plan.value).map((one) => [one.bag.id, one])),
)
const missing = computed(() => bagsToFind(store.rows, plan.value, useTimeStore().minute))
const located = computed(() => store.rows.bag.filter(isLocated).length)
const open = computed(() => store.rows.bag.find((one) => one.id === openId.value) ?? null)
const stateName = { stored: 'Stored', fitted: 'Back in place', lost: 'Lost' } as const
const wantedSaid = (bagId: string): string => {
  const one = wanted.value.get(bagId)
  if (!one) return ''
  const at = one.at === null ? '' : `, ${sayDay(store.derived.clock.dateOf(one.at))}`
  return `${one.step.title}${at}`
}
async function add() {
  const codes = store.rows.bag.map((bag) => Number(/\d+/.exec(bag.code)?.[0] ?? 0))
  const code = `B${String(Math.max(0, ...codes) + 1).padStart(2, '0')}`
  const id = newId()
  const order = keyBetween(inOrder(store.rows.bag).at(-1)?.order ?? null, null)
  const patch = { code, what: 'Something taken out', order }
  if (await store.attempt(`New bag ${code}`, [{ op: 'create', entity: 'bag', id, patch }]))
    openId.value = id
}
</script>

<template>
  <div class="gap-8 lg:grid" :class="open ? 'lg:grid-cols-[1fr_26rem]' : 'max-w-4xl'">
    <h1 v-if="open" class="sr-only lg:hidden">Bags</h1>
    <div :class="{ 'max-lg:hidden': open }">
      <div class="flex flex-wrap items-end justify-between gap-2">
        <h1>{{ figured(store.rows.bag.length, 'bag') }}, {{ located }} with a place</h1>
        <div class="flex gap-2">
          <NuxtLink class="btn btn-small" :to="`/r/${store.refitId}/bags/labels`"
            ><Printer :size="16" aria-hidden="true" /> Labels</NuxtLink
          >
          <button class="btn btn-small" @click="add">New bag</button>
        </div>
      </div>
      <div
        v-if="missing.length > 0"
        class="mt-3 border-l-4 border-redlead pl-3"
        role="status"
        aria-label="Bags to find"
      >
        <h2>Find these soon</h2>
        <ul>
          <li v-for="one in missing" :key="one.bag.id">
            <button class="underline" @click="openId = one.bag.id">
              {{ one.bag.code }} {{ one.bag.what }}
            </button>
            — wanted by {{ wantedSaid(one.bag.id) }}
          </li>
        </ul>
      </div>
      <div
        v-if="store.rows.bag.length === 0"
        class="my-6 max-w-lg border-l-4 border-verdigris pl-4"
      >
        <h2>What comes out goes into a bag</h2>
        <p class="mt-1">
          A code, a picture, what is in it, its wires, and the step that wants it back. Two years on
          it goes together again.
        </p>
      </div>
      <template v-else>
        <UiText v-model="asked" class="mt-3 max-w-sm" label="Find a bag" />
        <ul class="mt-3 border-t-2 border-ink" aria-label="Bags">
          <li v-for="bag in bags" :key="bag.id" class="border-b border-rule2">
            <button
              class="grid w-full grid-cols-[3.5rem_1fr] gap-x-3 px-1 py-2 text-left hover:bg-brass-tint sm:grid-cols-[3.5rem_1fr_12rem]"
              :class="{ 'bg-verdigris-tint': bag.id === openId }"
              @click="openId = bag.id"
            >
              <span class="cond text-xl">{{ bag.code }}</span>
              <span>
                {{ bag.what }}
                <span v-if="wantedSaid(bag.id)" class="block text-ink2"
                  >back for {{ wantedSaid(bag.id) }}</span
                >
              </span>
              <span
                :class="isLocated(bag) || bag.state === 'fitted' ? 'text-ink2' : 'text-redlead'"
              >
                {{
                  bag.state === 'stored'
                    ? bag.storedAt || 'nobody knows where'
                    : stateName[bag.state]
                }}
              </span>
            </button>
          </li>
        </ul>
      </template>
    </div>
    <BagPanel v-if="open" :key="open.id" :bag="open" @close="openId = null" />
  </div>
</template>
