import { useEventListener } from '@vueuse/core'
import { computed, shallowRef } from 'vue'

/** Something taken on a drawing of time. */
interface Held<What> {
  readonly what: What
  readonly startX: number
  /** Where it stood when it was taken. */
  readonly fromX: number
  readonly x: number
  readonly isMoving: boolean
}

const leastMove = 6

/**
 * Dragging along time with a mouse or a pen, let go of by Escape; a finger that stays asks for it by date instead. The
 * click that ends a drag or a long press opens nothing.
 */
export function useTimeDrag<What>(ask: {
  /** What places are measured in, from its left. */
  readonly drawing: () => Element | null | undefined
  /** The instant at a place, UTC ms. */
  readonly atX: (x: number) => number
  readonly drag: (what: What, day: number) => void
  readonly drop: () => void
  readonly cancel: () => void
  readonly longPress: (what: What) => void
}) {
  const store = useRefitStore()
  const time = useTimeStore()
  const held = shallowRef<Held<What> | null>(null)
  const stays = useLongPress()
  let ended = false
  const xIn = (event: PointerEvent): number =>
    event.clientX - (ask.drawing()?.getBoundingClientRect().left ?? 0)
  /** A pointer went down on something that stands at `fromX`; null: it cannot be moved. */
  function take(event: PointerEvent, what: What, fromX: number | null) {
    ended = false
    if (event.button !== 0 || fromX === null) return
    if (event.pointerType === 'touch') {
      stays.begin(() => {
        ended = true
        ask.longPress(what)
      })
      return
    }
    const x = xIn(event)
    held.value = { what, startX: x, fromX, x, isMoving: false }
    ;(event.target as Element).setPointerCapture(event.pointerId)
  }
  const dayUnder = ({ fromX, x, startX }: Held<What>): number =>
    Math.max(store.zone.dayOf(time.now), store.zone.dayOf(ask.atX(fromX + x - startX)))
  function move(event: PointerEvent) {
    if (event.pointerType === 'touch') stays.forget()
    const last = held.value
    if (!last) return
    const x = xIn(event)
    const now = { ...last, x, isMoving: last.isMoving || Math.abs(x - last.startX) > leastMove }
    held.value = now
    if (now.isMoving) ask.drag(now.what, dayUnder(now))
  }
  function letGo() {
    stays.forget()
    const last = held.value
    held.value = null
    // The click comes before anything else does; what is pressed after that counts again.
    if (last?.isMoving) ended = true
    if (ended) setTimeout(() => (ended = false), 0)
    if (last?.isMoving) ask.drop()
  }
  function giveUp() {
    stays.forget()
    if (held.value) ask.cancel()
    held.value = null
  }
  /** What is on its way, and the day under it. */
  const moving = computed(() =>
    held.value?.isMoving ? { what: held.value.what, day: dayUnder(held.value) } : null,
  )
  useEventListener('keydown', (event: KeyboardEvent) => {
    if (event.key === 'Escape' && held.value) giveUp()
  })
  return { take, move, letGo, giveUp, moving, hasJustEnded: () => ended }
}
