import type { Job, Step } from '../model/entities'
import type { Mend } from '../model/stored'
import type { WeatherHour } from '../cure/dewPoint'
import type { PlaceNeed } from '../model/words'

/** When something must be finished or may begin, and why. */
export interface Limit {
  readonly at: number
  readonly why: string
  /** True when the line as timed does not keep it. */
  readonly missed: boolean
}

/** A line of the day sheet. */
export interface DayLine {
  readonly kind: 'setUp' | 'work' | 'packUp'
  readonly from: number
  readonly to: number
  /** Null for set-up and pack-up. */
  readonly step: Step | null
  readonly job: Job | null
  readonly personIds: readonly string[]
  /** Goes on another day. */
  readonly continues: boolean
  readonly caution: string
  readonly limit: Limit | null
  /** End of the wait after it when that is after the work; null: none. */
  readonly waitUntil: number | null
  /** What is done besides because a bond window shuts. */
  readonly mends: readonly Mend[]
  /** Moved against the plan because of the day's weather. */
  readonly moved: boolean
}

/** Whom and what the day has. */
export interface DayFrame {
  readonly on: string
  readonly placeNeed: PlaceNeed
  readonly personIds: readonly string[]
  readonly weather: readonly WeatherHour[]
  /** End of the people's day, UTC ms; null: not known. */
  readonly until: number | null
}
