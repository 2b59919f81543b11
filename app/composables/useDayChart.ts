import { computed } from 'vue'
import type { Ref } from 'vue'
import { lineKey } from '#core/today/dayLine'
import type { DayLine } from '#core/today/dayLine'
import { dayScale } from '#core/today/dayScale'
import { columnOfLine, mostColumns, strandsOf } from '#core/today/strands'
import { minuteMs } from '#core/time/civil'

/** Least heights of lines, px, by what they have to say. */
const heights = {
  wide: { next: 114, limited: 68, work: 45, alone: 46, frame: 26 },
  /** Where the day is too full for that: one line each. */
  tight: { next: 114, limited: 46, work: 27, alone: 30, frame: 24 },
  narrow: { next: 46, limited: 62, work: 32, alone: 46, frame: 28 },
} as const
/** Strands cross to another column over so much, px, in which nothing is written. */
const leadPx = 17
/** A day may run over its room by so much before its second lines go, px. */
const overPx = 30
/** Pauses of the whole crew from so long on are named. */
const leastPauseMs = 15 * minuteMs

/** A line of the day with its place on the chart. */
export interface PlacedLine {
  readonly key: string
  readonly line: DayLine
  readonly column: number
  readonly joint: boolean
  readonly isNext: boolean
  /** Left free above its words for the strands, px. */
  readonly lead: number
  readonly top: number
  readonly height: number
}

/** A pause in which nobody is at anything. */
export interface PlacedPause {
  readonly from: number
  readonly to: number
  readonly top: number
  readonly height: number
}

/** Where everything of a day stands: the clock stretched where words are, strands, lines, pauses. */
export function useDayChart(
  lines: Ref<readonly DayLine[]>,
  people: Ref<readonly string[]>,
  nextKey: Ref<string>,
  wantedPx: Ref<number>,
  narrow: Ref<boolean>,
) {
  const columns = computed(() => Math.max(1, Math.min(mostColumns, people.value.length)))
  const isJoint = (line: DayLine) =>
    line.personIds.length === 0 ||
    line.personIds.length >= people.value.length ||
    columns.value === 1
  const strands = computed(() => strandsOf(lines.value, people.value))
  /** Times at which a strand goes to another column. */
  const crossings = computed(
    () =>
      new Set(
        strands.value.flatMap(({ parts }) =>
          parts
            .slice(1)
            .flatMap((part, at) => (part.column === parts[at]?.column ? [] : part.from)),
        ),
      ),
  )
  const leadOf = (line: DayLine) => (crossings.value.has(line.from) ? leadPx : 0)
  function leastHeight(line: DayLine, px: (typeof heights)[keyof typeof heights]): number {
    if (lineKey(line) === nextKey.value) return px.next
    if (line.kind !== 'work') return px.frame
    if (line.limit || line.against !== '') return px.limited
    return isJoint(line) ? px.work : px.alone
  }
  const scaleWith = (px: (typeof heights)[keyof typeof heights]) =>
    dayScale(
      lines.value.map((line) => ({
        from: line.from,
        to: line.to,
        px: leastHeight(line, px) + leadOf(line),
      })),
      wantedPx.value,
    )
  const scale = computed(() => {
    if (narrow.value) return scaleWith(heights.narrow)
    const roomy = scaleWith(heights.wide)
    return roomy.height <= wantedPx.value + overPx ? roomy : scaleWith(heights.tight)
  })
  const placed = computed<PlacedLine[]>(() =>
    lines.value.map((line) => {
      const top = scale.value.yOf(line.from)
      return {
        key: lineKey(line),
        line,
        column: isJoint(line) ? 0 : columnOfLine(line, people.value),
        joint: isJoint(line),
        isNext: lineKey(line) === nextKey.value,
        lead: leadOf(line),
        top: top + leadOf(line),
        height: scale.value.yOf(line.to) - top - leadOf(line),
      }
    }),
  )
  const pauses = computed<PlacedPause[]>(() => {
    const { edges, yOf } = scale.value
    return edges.slice(1).flatMap((to, index): PlacedPause[] => {
      const from = edges[index] as number
      const busy = lines.value.some((line) => line.from < to && from < line.to)
      if (busy || to - from < leastPauseMs) return []
      return [{ from, to, top: yOf(from), height: yOf(to) - yOf(from) }]
    })
  })
  /** Times to be written at the side, each with its height; close ones give way to the earlier. */
  const times = computed(() => {
    const apart = 17
    const shown: { at: number; y: number }[] = []
    for (const at of [...new Set(lines.value.map((line) => line.from))].sort((a, b) => a - b)) {
      const y = scale.value.yOf(at)
      if (shown.length === 0 || y - (shown.at(-1)?.y ?? 0) >= apart) shown.push({ at, y })
    }
    return shown
  })
  return { columns, scale, placed, strands, pauses, times }
}
