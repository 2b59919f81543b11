<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { X } from '@lucide/vue'
import { nextTick, ref, watch } from 'vue'

/** The one dialog: a titled panel over the page; Escape and the cross close it. On phones it fills the screen. */
const props = defineProps<{
  open: boolean
  title: string
  /** Red-lead band on top, for things found and things lost. */
  red?: boolean
  wide?: boolean
}>()
const emit = defineEmits<{ close: [] }>()
const body = ref<HTMLElement | null>(null)
const writable =
  'input:not([type=file], [type=checkbox], [type=radio], [tabindex="-1"]), textarea, select'

/** The cursor stands in the first field, so that a key opens a panel ready to be typed in. */
watch(
  () => props.open,
  async (open) => {
    if (!open) return
    await nextTick()
    requestAnimationFrame(() => {
      // On a busy machine somebody may be typing in another of its fields by then.
      if (body.value?.querySelector(':focus')?.matches(writable)) return
      body.value?.querySelector<HTMLElement>(writable)?.focus()
    })
  },
  { immediate: true },
)
</script>

<template>
  <Dialog :open="open" class="fixed inset-0 z-40" @close="emit('close')">
    <div class="fixed inset-0 bg-ink/50" aria-hidden="true" />
    <div class="fixed inset-0 flex items-start justify-center overflow-y-auto sm:p-8">
      <DialogPanel
        class="flex min-h-full w-full flex-col border-ink bg-paper sm:min-h-0 sm:border-2"
        :class="wide ? 'sm:max-w-3xl' : 'sm:max-w-xl'"
      >
        <div
          class="flex items-center justify-between gap-4 px-5 py-3"
          :class="red ? 'bg-redlead text-sheet' : 'border-b-2 border-ink'"
        >
          <DialogTitle class="text-xl">{{ title }}</DialogTitle>
          <button
            type="button"
            class="cond flex min-h-11 min-w-11 items-center justify-center gap-1 text-lg"
            @click="emit('close')"
          >
            Close <X :size="18" aria-hidden="true" />
          </button>
        </div>
        <div ref="body" class="grow px-5 py-4"><slot /></div>
      </DialogPanel>
    </div>
  </Dialog>
</template>
