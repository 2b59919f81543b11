import { useEventListener } from '@vueuse/core'
import type { Ref } from 'vue'
import type { DayLine } from '#core/today/dayLine'
import { alongStrands } from '#core/today/alongStrands'
import type { Arrow } from '#core/today/alongStrands'
import type { PlacedLine } from './useDayChart'

const arrows: Readonly<Record<string, Arrow>> = {
  ArrowUp: 'up',
  ArrowDown: 'down',
  ArrowLeft: 'left',
  ArrowRight: 'right',
}

/** Keys of the drawn day: along and across the strands, and what is done with the line that has the focus. */
export function useDayKeys(
  root: Ref<HTMLElement | null>,
  placed: Ref<readonly PlacedLine[]>,
  does: {
    readonly start: (line: DayLine) => void
    readonly done: (line: DayLine) => void
    readonly failed: (line: DayLine) => void
    /** Along its strand, or to the one beside it. */
    readonly shift: (line: DayLine, way: Arrow) => void
  },
): void {
  const frame = useFrameStore()
  /** Lines of work only, tied or not: there is nothing to be done with setting up. */
  const work = () => placed.value.filter((one) => one.line.kind === 'work')
  const at = (event: KeyboardEvent): number => {
    const row = (event.target as HTMLElement).closest<HTMLElement>('[data-line]')
    return row && root.value?.contains(row)
      ? work().findIndex((one) => one.key === row.dataset.line)
      : -1
  }
  const focus = (index: number): void => {
    const key = work()[index]?.key
    if (key === undefined) return
    const row = root.value?.querySelector<HTMLElement>(`[data-line="${CSS.escape(key)}"]`)
    const main = row?.querySelector<HTMLElement>('a') ?? row?.querySelector<HTMLElement>('button')
    main?.focus()
  }
  /** What a key does with the line in focus; without one the key is not for the day. */
  const on = (act: (line: DayLine) => void) => (event: KeyboardEvent) => {
    const line = work()[at(event)]?.line
    if (!line?.step) return false
    act(line)
  }
  // Keys held with Alt are none of the table's: a name for them stands there all the same.
  useEventListener(root, 'keydown', (event: KeyboardEvent) => {
    const arrow = arrows[event.key]
    const line = work()[at(event)]?.line
    if (!event.altKey || event.ctrlKey || event.metaKey || !arrow || !line) return
    event.preventDefault()
    does.shift(line, arrow)
  })
  useKeyScope({
    dayMove: (event) => {
      const from = at(event)
      const arrow = arrows[event.key]
      if (from < 0 || !arrow) return false
      const to = alongStrands(work(), from, arrow)
      if (to !== null) focus(to)
    },
    dayTick: (event) =>
      // On a button or a tick the space bar presses that.
      event.target instanceof HTMLAnchorElement ? on(does.done)(event) : false,
    dayStart: on((line) => {
      if (line.step?.state === 'open') does.start(line)
    }),
    dayFailed: on((line) => {
      if (line.step?.state === 'doing') does.failed(line)
    }),
    hours: on((line) => frame.open('hours', line.step?.id ?? null)),
    clock: on((line) => frame.open('clock', line.step?.id ?? null)),
  })
}
