import { useEventListener } from '@vueuse/core'
import { computed, shallowRef } from 'vue'
import type { Ref } from 'vue'
import { besides } from '#core/today/dayOrder'
import type { PutBefore } from '#core/today/dayOrder'
import type { DayLine } from '#core/today/dayLine'
import type { PlacedLine } from './useDayChart'

/** Where a line that is dragged would go. */
export type LineTarget =
  | ({ readonly kind: 'order'; readonly y: number } & PutBefore)
  | { readonly kind: 'who'; readonly personId: string; readonly y: number }

interface Held {
  readonly one: PlacedLine
  readonly stepId: string
  readonly startX: number
  readonly startY: number
  readonly x: number
  readonly y: number
  readonly isMoving: boolean
}

const leastMove = 6
/** What is pressed for itself. */
const own = 'input, label, button, summary'

/**
 * A line of the day dragged along its strand or to another one, with a mouse or a pen, let go of by Escape; a finger that
 * stays on it asks for the same in words, and for nothing else.
 */
export function useLineDrag(ask: {
  readonly holder: Ref<HTMLElement | null>
  readonly placed: Ref<readonly PlacedLine[]>
  readonly lines: Ref<readonly DayLine[]>
  /** Whose column is at a place across; null: nobody's own. */
  readonly columnAt: (x: number) => { readonly column: number; readonly personId: string | null }
  readonly put: (stepId: string, where: PutBefore) => void
  readonly give: (stepId: string, personId: string) => void
  readonly longPress: (line: DayLine) => void
}) {
  const held = shallowRef<Held | null>(null)
  const stays = useLongPress()
  const spot = (event: PointerEvent) => {
    const box = ask.holder.value?.getBoundingClientRect()
    return { x: event.clientX - (box?.left ?? 0), y: event.clientY - (box?.top ?? 0) }
  }
  function take(event: PointerEvent) {
    const on = event.target as HTMLElement
    const key = on.closest<HTMLElement>('[data-line]')?.dataset.line
    const one = ask.placed.value.find((each) => each.key === key)
    const { step } = one?.line ?? {}
    if (!one || !step || event.button !== 0 || on.closest(own)) return
    if (step.state !== 'open') return
    if (event.pointerType === 'touch') {
      stays.begin(() => ask.longPress(one.line))
      return
    }
    const { x, y } = spot(event)
    held.value = { one, stepId: step.id, startX: x, startY: y, x, y, isMoving: false }
  }
  function move(event: PointerEvent) {
    if (event.pointerType === 'touch') return stays.forget()
    const last = held.value
    if (!last) return
    const { x, y } = spot(event)
    const far = Math.hypot(x - last.startX, y - last.startY)
    // Held only from here on: a press on its name still opens it.
    if (!last.isMoving && far > leastMove)
      (event.currentTarget as Element).setPointerCapture(event.pointerId)
    held.value = { ...last, x, y, isMoving: last.isMoving || far > leastMove }
  }
  const target = computed<LineTarget | null>(() => {
    const now = held.value
    if (!now?.isMoving) return null
    const { one, stepId, x, y } = now
    const under = ask.columnAt(x)
    const isAlone = !one.joint && one.line.personIds.length === 1
    if (isAlone && under.personId !== null && under.column !== one.column)
      return { kind: 'who', personId: under.personId, y: one.top }
    const ids = besides(ask.lines.value, stepId)
    const others = ids.flatMap((id) => {
      const first = ask.placed.value.find((each) => each.line.step?.id === id)
      return first ? [{ id, first }] : []
    })
    const [below, after] = [
      others.find(({ first }) => first.top + first.height / 2 > y),
      others.find(({ first }) => first.top > one.top),
    ]
    // Where it is already.
    if (others.length === 0 || below?.id === after?.id) return null
    const last = others.at(-1)?.first
    return {
      kind: 'order',
      beforeId: below?.id ?? null,
      y: below ? below.first.top : (last?.top ?? 0) + (last?.height ?? 0),
    }
  })
  function letGo() {
    stays.forget()
    const [last, to] = [held.value, target.value]
    held.value = null
    if (!last || !to) return
    if (to.kind === 'who') ask.give(last.stepId, to.personId)
    else ask.put(last.stepId, to)
  }
  function giveUp() {
    stays.forget()
    held.value = null
  }
  useEventListener('keydown', (event: KeyboardEvent) => {
    if (event.key === 'Escape' && held.value) giveUp()
  })
  /** What a name does of itself where a finger stays on it, or leaves it after that. */
  function notItsOwn(event: Event) {
    if (stays.hasFired()) event.preventDefault()
  }
  const moving = computed(() => (held.value?.isMoving ? held.value : null))
  return { take, move, letGo, giveUp, notItsOwn, moving, target }
}
