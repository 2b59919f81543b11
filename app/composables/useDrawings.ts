import { useElementBounding, useElementSize, useWindowSize } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import type { Ref } from 'vue'
import type { ChainLink } from '#core/plan/chain'
import type { LikelyDates } from '#core/forecast/oddsWords'
import type { SequenceFacts } from '#core/sequence/facts'
import type { PlankFlag } from '#core/sequence/mark'
import { sceneOf } from '#core/sequence/scene'
import { plannedPairs, weekendOf } from '#core/sequence/weekend'

const drawingViews = ['launch', 'seasons', 'weekend'] as const
export type DrawingView = (typeof drawingViews)[number]

/** From all seasons to two days. */
const nearer: readonly DrawingView[] = ['seasons', 'launch', 'weekend']
/** A wheel gives many turns for one. */
const leastTurnMs = 350
const leastHeight = 500
const [leastWidth, leastWeekend, startTop] = [560, 900, 205]

/** What is drawn. */
interface Drawn {
  readonly facts: Ref<SequenceFacts>
  readonly gateId: Ref<string | null>
  readonly links: Ref<readonly ChainLink[]>
  readonly flags: Ref<readonly PlankFlag[]>
  readonly likely: Ref<LikelyDates | null>
}

/** The drawings of the Sequence in the room they have, which of them is looked at, and the ways nearer and farther. */
export function useDrawings({ facts, gateId, links, flags, likely }: Drawn) {
  const store = useRefitStore()
  const decideBy = useDecideBy()
  const time = useTimeStore()
  const narrow = useNarrow()
  const view = ref<DrawingView>('launch')
  const box = ref<HTMLElement>()
  const { width } = useElementSize(box, { width: 940, height: 600 })
  const { top, update } = useElementBounding(box)
  const head = ref<HTMLElement>()
  const { height: headHeight } = useElementSize(head)
  watch(headHeight, update, { flush: 'post' })
  const { height: windowHeight } = useWindowSize()
  const chartHeight = computed(() =>
    Math.max(leastHeight, Math.floor(windowHeight.value - (top.value || startTop) - 2)),
  )
  // A phone draws in its own way: nothing is made beforehand for it.
  const { sizeOf, held } = useHeldViews(
    view,
    { width, height: chartHeight },
    narrow.value ? [] : drawingViews,
  )
  const common = () => ({
    now: time.minute,
    gateId: gateId.value,
    links: links.value,
    flags: flags.value,
  })
  const sceneAs = (as: 'launch' | 'seasons') => () => {
    const [wide, height] = sizeOf(as)
    return sceneOf(facts.value, {
      ...common(),
      view: as,
      width: Math.max(leastWidth, wide),
      height,
      gates: store.derived.gates,
      likely: likely.value,
      decide: decideBy.value.flatMap((one) =>
        one.by === null ? [] : [{ key: one.decisionId, on: one.by }],
      ),
    })
  }
  const launch = held('launch', sceneAs('launch'))
  const seasons = held('seasons', sceneAs('seasons'))
  const pairs = computed(() => plannedPairs(facts.value, store.zone.dayOf(time.minute)))
  const pairAt = ref(0)
  const firstDay = computed(() => pairs.value[Math.min(pairAt.value, pairs.value.length - 1)] ?? 0)
  const weekend = held('weekend', () => {
    const [wide, height] = sizeOf('weekend')
    return weekendOf(facts.value, {
      ...common(),
      day: firstDay.value,
      width: Math.max(leastWeekend, wide),
      height,
      hours: store.waits.weather.hours,
      meanC: (at) => store.rows.refit[0]?.monthMeanC[new Date(at).getUTCMonth()] ?? null,
    })
  })
  const levels = computed(() => {
    if (view.value === 'weekend') return weekend.value?.layout.levels ?? []
    return (view.value === 'seasons' ? seasons : launch).value?.levels ?? []
  })

  /** The pair of days with work that holds a day, or comes next after it. */
  function showDay(day: number): void {
    const found = pairs.value.findIndex((first) => first + 1 >= day)
    pairAt.value = found < 0 ? Math.max(0, pairs.value.length - 1) : found
    view.value = 'weekend'
  }
  function look(by: 1 | -1): void {
    view.value = nearer[nearer.indexOf(view.value) + by] ?? view.value
  }
  let turnedAt = -Infinity
  function turned(event: WheelEvent): void {
    if (!event.ctrlKey) return
    event.preventDefault()
    if (event.timeStamp - turnedAt < leastTurnMs) return
    turnedAt = event.timeStamp
    look(event.deltaY < 0 ? 1 : -1)
  }
  function keyed(event: KeyboardEvent): void {
    if (event.ctrlKey || event.metaKey || event.altKey) return
    if (event.key === '+') look(1)
    else if (event.key === '-') look(-1)
    else return
    event.preventDefault()
  }
  return {
    view,
    box,
    head,
    width,
    headHeight,
    chartHeight,
    launch,
    seasons,
    weekend,
    levels,
    pairs,
    pairAt,
    firstDay,
    showDay,
    turned,
    keyed,
  }
}
