/** Why a step does not start sooner. */
import type { Interval } from '../../time/intervals'
import { hourMs } from '../../time/civil'
import type { Binding } from './binding'
import type { Laying, Room } from './laying'
import { durationMs } from './openWork'
import type { OpenStep } from './openWork'
import { workForward } from './openHours'

/** The latest of now, releases and predecessors, and which of them it is. */
export interface Earliest {
  readonly at: number
  readonly binding: Binding
}

/** Busy steps asked one by one whether they hold another. */
const mostAsked = 12
/** A week: a longer gap without the right people is itself what holds a step. */
export const longGapMs = 7 * 24 * hourMs

/** The step behind a binding; null: none. */
export function heldBy(binding: Binding): string | null {
  if (binding.kind === 'after' || binding.kind === 'wait' || binding.kind === 'air')
    return binding.stepId
  return binding.kind === 'weather' || binding.kind === 'forecast' ? binding.after : null
}

/** What of her hull a step waited for until an instant. */
export function hullBinding(laying: Laying, activity: OpenStep, from: number): Binding {
  const launched = laying.ashore.filter((one) => one.launchAt <= from).at(-1)
  if (activity.step.hullNeed === 'afloat' && launched)
    return { kind: 'launch', haulOutId: launched.haulOut.id }
  return { kind: 'liftOut', haulOutId: activity.ashore?.haulOut.id ?? '' }
}

/** What keeps a crew's work from starting sooner: its people, her hull, the months, or what it waited for. */
export function crewBinding(
  laying: Laying,
  activity: OpenStep,
  earliest: Earliest,
  windows: readonly Interval[],
  { crew, room }: Room,
): Binding {
  const { start, finish } = room
  if (start <= earliest.at) return earliest.binding
  const { clock } = laying.compiled
  const dry = activity.fit && roomInAnyWeather(laying, activity, earliest.at, start)
  if (dry)
    return {
      kind: 'forecast',
      from: dry.room.start,
      until: start,
      after: heldBy(earliest.binding),
    }
  const other = airHolder(laying, activity, earliest.at, start)
  if (other !== null) return { kind: 'air', stepId: other, until: start }
  const length = activity.splittable ? 1 : durationMs(activity, crew.length)
  const hours = laying.hours.of(activity)
  const free = workForward(hours, windows, earliest.at, length, activity.splittable, clock)
  if (free && free.start < start) {
    const busy = busyWith(laying, activity, earliest.at, [free.start, start, finish], windows)
    if (busy) return busy
  }
  const window = windows.find(([from, to]) => from <= start && start < to)
  if (window && window[0] > earliest.at) {
    const warm = laying.inWarmth.has(activity.step.id) ? activity.warm : null
    const isSeason = [activity.season, warm].some((spans) =>
      spans?.some(([from]) => from === window[0]),
    )
    return isSeason
      ? { kind: 'season', until: window[0] }
      : hullBinding(laying, activity, window[0])
  }
  if (earliest.binding.kind === 'now' || start - earliest.at > longGapMs)
    return { kind: 'calendar', until: start }
  return earliest.binding
}

/** The step whose dust or wet work alone keeps another from starting sooner; null: none does. */
function airHolder(laying: Laying, activity: OpenStep, from: number, start: number): string | null {
  if (!laying.air.concerns(activity.step)) return null
  const found = laying.roomFor(activity, from, laying.windowsInAnyAir(activity))
  return found && found.room.start < start
    ? laying.air.heldBy(activity.step, found.room.start)
    : null
}

/** Room before a start that only the forecast takes away; null: there is none. */
function roomInAnyWeather(
  laying: Laying,
  activity: OpenStep,
  from: number,
  start: number,
): Room | null {
  const windows = laying.windowsInAnyWeather(activity, from)
  const found = laying.roomFor(activity, from, windows)
  return found && found.room.start < start ? found : null
}

/** The step that keeps those it needs from it: the latest without which it could be earlier. */
function busyWith(
  laying: Laying,
  activity: OpenStep,
  from: number,
  [freeAt, start, finish]: readonly [number, number, number],
  windows: readonly Interval[],
): Binding | null {
  const all = laying.diary.busyBetween(activity.hands, freeAt, start, mostAsked)
  const last = all[0]
  if (!last) return null
  const holds = all.find((one) => {
    const looking = { giveUpAt: finish, ignoring: one.stepId }
    const without = laying.roomFor(activity, from, windows, looking)
    return without !== null && without.room.start < start
  })
  const { stepId, person } = holds ?? last
  return {
    kind: 'people',
    stepId,
    personIds: [laying.sites.people[person]?.id ?? ''],
    // None of them alone: it is held by some of them together.
    ...(holds ? {} : { among: true }),
  }
}
