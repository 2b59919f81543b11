import {
  computed,
  nextTick,
  onMounted,
  onScopeDispose,
  ref,
  shallowRef,
  watch,
  watchEffect,
} from 'vue'
import type { Ref, ShallowRef } from 'vue'

/**
 * Drawings of several views that are kept while another is looked at, so that going between them draws nothing anew.
 * Each keeps the size that it had; those not seen yet are made when the page has nothing else to do.
 */
export function useHeldViews<View extends string>(
  view: Ref<View>,
  size: { readonly width: Ref<number>; readonly height: Ref<number> },
  views: readonly View[],
) {
  type Size = readonly [width: number, height: number]
  const sizes = shallowRef<Partial<Record<View, Size>>>({})
  const ready = ref<ReadonlySet<View>>(new Set([view.value]))
  const idle: number[] = []

  function record(): void {
    const [width, height] = [size.width.value, size.height.value]
    const known = sizes.value[view.value]
    if (known && known[0] === width && known[1] === height) return
    sizes.value = { ...sizes.value, [view.value]: [width, height] }
  }
  watch([size.width, size.height], record, { immediate: true })
  watch(view, async (now) => {
    ready.value = new Set([...ready.value, now])
    if (!sizes.value[now]) record()
    await nextTick()
    // Its own width is known once it is laid out.
    requestAnimationFrame(record)
  })
  onMounted(() => {
    if (typeof requestIdleCallback !== 'function') return
    // One at a time, so that none is waited for.
    const next = (rest: readonly View[]): void => {
      const [one, ...others] = rest
      if (one === undefined) return
      idle.push(
        requestIdleCallback(() => {
          ready.value = new Set([...ready.value, one])
          next(others)
        }),
      )
    }
    next(views.filter((one) => one !== view.value))
  })
  onScopeDispose(() => idle.forEach((one) => cancelIdleCallback(one)))

  /** Width and height for a view: its own, else those of the view that is looked at. */
  const sizeOf = (one: View): Size =>
    sizes.value[one] ?? sizes.value[view.value] ?? [size.width.value, size.height.value]

  /** A drawing that is made while its view is looked at, and once before that. */
  function held<Drawing>(one: View, draw: () => Drawing): ShallowRef<Drawing | null> {
    const drawing = shallowRef<Drawing | null>(null)
    // Looked at again with nothing changed, it is not drawn anew.
    const made = computed(draw)
    watchEffect(() => {
      const isFirst = drawing.value === null && ready.value.has(one)
      if (view.value === one || isFirst) drawing.value = made.value
    })
    return drawing
  }
  return { ready, sizeOf, held }
}
