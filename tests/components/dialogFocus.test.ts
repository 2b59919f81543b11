/** A dialog puts the cursor into its first field, unless somebody is typing in another by then. */
import { flushPromises, mount } from '@vue/test-utils'
import { expect, it } from 'vitest'
import { defineComponent, h, ref } from 'vue'
import UiDialog from '../../app/components/ui/UiDialog.vue'

const frame = () => new Promise((resolve) => requestAnimationFrame(resolve))

async function opened(meanwhile: () => void = () => undefined): Promise<string | null> {
  const open = ref(false)
  mount(
    defineComponent({
      setup: () => () =>
        h(UiDialog, { open: open.value, title: 'Posts' }, () => [
          h('input', { 'aria-label': 'First' }),
          h('input', { 'aria-label': 'Second' }),
        ]),
    }),
    { attachTo: document.body },
  )
  open.value = true
  await flushPromises()
  meanwhile()
  await frame()
  await frame()
  return document.activeElement?.getAttribute('aria-label') ?? null
}
const second = () => document.querySelector<HTMLInputElement>('[aria-label="Second"]')?.focus()

it('begins in its first field', async () => {
  expect(await opened()).toBe('First')
})

it('leaves the cursor where somebody types already', async () => {
  expect(await opened(second)).toBe('Second')
})
