import { mount } from '@vue/test-utils'
import { defineComponent, h } from 'vue'

/** What a page makes of a composable, in a page that is there until it is left. */
export function inSetup<Made>(make: () => Made): {
  readonly made: Made
  readonly leave: () => void
} {
  let made: Made | null = null
  const page = mount(
    defineComponent({
      setup() {
        made = make()
        return () => h('div')
      },
    }),
  )
  return { made: made as Made, leave: () => page.unmount() }
}
