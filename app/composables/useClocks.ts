import { computed } from 'vue'
import { byUrgency, clockState } from '#core/cure/clockState'
import type { ClockState } from '#core/cure/clockState'
import type { Clock } from '#core/model/entities'
import { formatCountdown } from '#core/units/hours'
import type { UnitSystem } from '#core/units/length'
import { formatTemp } from '#core/units/quantity'
import { shortDateTime } from '#core/time/say'
import type { ZoneClock } from '#core/time/zone'

export interface ShownClock {
  readonly clock: Clock
  readonly state: ClockState
  /** "0:18" and what it counts to. */
  readonly left: string
  readonly until: string
  readonly said: string
  /** Shares of the bar: waiting, open; and where now stands. */
  readonly openAtShare: number
  readonly nowShare: number
  readonly alarming: boolean
}

const openWord = {
  pot: 'left',
  cure: 'to cured',
  overcoat: 'to next coat',
  immersion: 'to water',
} as const
const closeWord = {
  pot: 'left',
  cure: 'left',
  overcoat: 'until the bond window shuts',
  immersion: 'to be in the water',
} as const

/** Running clocks with what each shows: those run out first, then the next to change. */
export function useClocks() {
  const store = useRefitStore()
  const time = useTimeStore()
  // A clock's ends move only with its rows and the weather; every second only what is left does.
  const states = computed(() =>
    store.rows.clock
      .filter((clock) => clock.endedAt === null)
      .map((clock) => {
        const readings = store.rows.clockReading.filter((one) => one.clockId === clock.id)
        return {
          clock,
          state: clockState(clock, readings, store.waits.expectedBy(clock), time.minute),
        }
      }),
  )
  const clocks = computed(() =>
    states.value
      .map(({ clock, state }) =>
        show(clock, state, time.now, store.derived.clock, store.refit?.units ?? 'metric'),
      )
      .sort((a, b) => byUrgency(time.now)(a.state, b.state)),
  )
  return { clocks }
}

function show(
  clock: Clock,
  state: ClockState,
  now: number,
  zone: ZoneClock,
  units: UnitSystem,
): ShownClock {
  const toOpen = state.opensAt !== null && now < state.opensAt
  const next = toOpen ? state.opensAt : state.closesAt
  const over = next === null || now >= next
  const end = Math.max(state.closesAt ?? 0, state.opensAt ?? 0)
  const span = Math.max(1, end - clock.startedAt)
  const share = (at: number) => Math.min(1, Math.max(0, (at - clock.startedAt) / span))
  return {
    clock,
    state,
    left: next === null ? '–' : over ? '0:00' : formatCountdown(next - now),
    until: toOpen ? openWord[clock.kind] : closeWord[clock.kind],
    said: said(clock, state, now, zone, units),
    openAtShare: state.opensAt === null ? 0 : share(state.opensAt),
    nowShare: share(now),
    alarming: over || (next !== null && next - now < 30 * 60_000),
  }
}

function said(
  clock: Clock,
  state: ClockState,
  now: number,
  zone: ZoneClock,
  units: UnitSystem,
): string {
  const at = (instant: number) => shortDateTime(instant, zone, zone.dateOf(now).slice(0, 4))
  const cold =
    state.coldHours >= 0.5 ? ` ${Math.round(state.coldHours)} h too cold to earn anything.` : ''
  if (clock.kind === 'pot')
    return state.phase === 'closed'
      ? 'It has gone off. If it is hot: outdoors, on concrete, not in the hand.'
      : `At ${formatTemp(Math.round(state.tempC), units)}. Then it warms in the cup: set it outdoors, do not hold it.`
  if (state.phase === 'closed')
    return clock.kind === 'immersion'
      ? 'Too long out of the water: read the data sheet before launching.'
      : `The bond window shut ${at(state.closesAt ?? now)}: wash, key and wipe before the next coat.`
  const closes = state.closesAt === null ? '' : ` Shuts ${at(state.closesAt)}.`
  if (state.phase === 'open') return `Open since ${at(state.opensAt ?? now)}.${closes}${cold}`
  if (state.opensAt === null) return `At these temperatures it never cures. Warm it.${closes}`
  return `Opens ${at(state.opensAt)} at ${formatTemp(Math.round(state.tempC), units)} now.${closes}${cold}`
}
