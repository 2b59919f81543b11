<script setup lang="ts">
import { computed } from 'vue'
import { inOrder } from '#core/model/refit'
import { asks, sheetChecked } from '#core/stores/makerSheet'

/** Sheets for makers, and how each stands: what is missing before it goes out, what was wrong when it came. */
const store = useRefitStore()
const rows = useRows('makerSheet')
const { sayDate } = useDates()
const list = computed(() =>
  [...store.rows.makerSheet]
    .sort((a, b) => b.number.localeCompare(a.number, 'en', { numeric: true }))
    .map((sheet) => {
      const items = inOrder(store.rows.makerItem.filter((one) => one.sheetId === sheet.id))
      const missing = asks(sheet, items)
      const checked = sheetChecked(items)
      const maker = store.rows.supplier.find((one) => one.id === sheet.supplierId)?.name ?? ''
      const said =
        sheet.sentOn === null
          ? missing.length > 0
            ? `not ready: ${missing[0] ?? ''}`
            : 'ready to go out'
          : `sent ${sayDate(sheet.sentOn)}, ${checked.said}`
      const isRed = checked.wrong.length > 0 || (sheet.sentOn === null && missing.length > 0)
      return { sheet, maker, many: items.length, said, isRed }
    }),
)
async function add() {
  const numbers = store.rows.makerSheet.map((one) => Number(one.number)).filter(Number.isInteger)
  const number = String(Math.max(0, ...numbers) + 1)
  const id = await rows.add({ number, title: 'Posts' })
  if (id) await goTo(`/r/${store.refitId}/maker/${id}`)
}
</script>

<template>
  <section aria-labelledby="maker-sheets">
    <div class="flex items-end justify-between gap-2 border-b-2 border-ink">
      <h2 id="maker-sheets">Sheets for makers</h2>
      <button class="btn btn-small mb-1" @click="add">New sheet</button>
    </div>
    <ul>
      <li v-for="one in list" :key="one.sheet.id" class="border-b border-rule2">
        <NuxtLink
          class="block py-1.5 hover:bg-brass-tint"
          :to="`/r/${store.refitId}/maker/${one.sheet.id}`"
        >
          <span class="cond block leading-tight">
            {{ one.sheet.number }}, {{ one.sheet.title
            }}<template v-if="one.maker">, {{ one.maker }}</template>, {{ one.many }}
            {{ one.many === 1 ? 'piece' : 'pieces' }}
          </span>
          <span class="block text-[0.9375rem]" :class="one.isRed ? 'text-redlead' : 'text-ink2'">
            {{ one.said }}
          </span>
        </NuxtLink>
      </li>
      <li v-if="list.length === 0" class="py-2 text-ink2">
        Posts, plates or brackets made to measure go out on a numbered sheet, and are checked
        against it when they come.
      </li>
    </ul>
  </section>
</template>
