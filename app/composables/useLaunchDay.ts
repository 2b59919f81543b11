import { computed } from 'vue'
import type { Ref } from 'vue'
import { highHPa, launchDaySheet, liftSpan } from '#core/launch/launchDay'
import type { LaunchDayFacts } from '#core/launch/launchDay'
import type { LiftDay } from '#core/launch/liftDays'
import { inOrder } from '#core/model/refit'
import type { Ashore } from '#core/plan/schedule/haulOuts'
import { refused } from '#core/result'
import { pressureLiftM, waterOver } from '#core/tide/tide'
import { minuteMs, minutesOf } from '#core/time/civil'

/** Times of a lift are asked for in steps of five minutes. */
export const liftStepMs = 5 * minuteMs

/** The hours of one launch day, as every view has them. `wantedAt`: when the slings should go on; null: as booked, else as its lift is reckoned. */
export function useLaunchDay(
  next: Ref<Ashore | null>,
  day: Ref<LiftDay | null>,
  wantedAt: Ref<number | null>,
) {
  const store = useRefitStore()
  const slip = computed(() => next.value?.lifts.slip ?? null)
  const atClock = (one: LiftDay, clock: string) => store.zone.at(one.day, minutesOf(clock))
  const bookedAt = computed(() => {
    const haulOut = next.value?.haulOut
    return day.value && haulOut?.launchBooked === day.value.on && haulOut.launchTime
      ? atClock(day.value, haulOut.launchTime)
      : null
  })
  /** The lead first, then in the order of the list. */
  const crewOf = (ids: readonly string[]) =>
    inOrder(store.rows.person.filter((each) => ids.includes(each.id))).sort(
      (a, b) => Number(b.role === 'lead') - Number(a.role === 'lead'),
    )
  /** The day with the slings on at the first moment at which they can be. */
  const earliest = computed((): LaunchDayFacts | null => {
    const one = day.value
    const yard = next.value?.yard ?? null
    if (!one) return null
    const opens = atClock(one, yard?.liftFrom ?? '09:00')
    const ends = atClock(one, yard?.liftUntil ?? '17:00')
    const water = one.window ?? (slip.value ? null : ([opens, ends] as const))
    if (!water) return null
    const high = slip.value
      ? waterOver(slip.value.tide, slip.value.needM - pressureLiftM(highHPa), water[0], water[1])
      : []
    return {
      water,
      waterHigh: high.at(-1) ?? null,
      liftsFrom: opens,
      bookedAt: null,
      openings: store.rows.hullOpening.length,
      travelMin: yard?.travelMin ?? 0,
      people: crewOf(one.personIds),
      hasEngine: true,
    }
  })
  const whyNot = (one: LiftDay): string => {
    if (one.closedFor) return one.closedFor
    if (!one.isLiftDay) return 'the yard does not lift'
    return one.isShort
      ? 'the water is there for too short a time'
      : 'the slip has not her depth in the yard’s hours'
  }
  const span = computed(() => earliest.value && liftSpan(earliest.value))
  /** When the slings go on, and what is asked for; null: no day is looked at. */
  const liftAt = computed(() => {
    const said = wantedAt.value ?? bookedAt.value
    if (said !== null || !day.value) return said
    // The lift is reckoned to a round time: where that is too late by a little, as late as can be.
    const [from, to] = span.value ?? [day.value.liftAt, day.value.liftAt]
    return Math.max(from, Math.min(day.value.liftAt, to))
  })
  /** Null: no day is looked at. */
  const worked = computed(() => {
    if (earliest.value) return launchDaySheet({ ...earliest.value, bookedAt: liftAt.value })
    return day.value && refused(`There is no lift that day: ${whyNot(day.value)}. Pick another.`)
  })
  /** When the slings can go on in steps of five minutes, the first time and the last; null: there is no choice. */
  const choice = computed(() => {
    if (!span.value) return null
    const [from, to] = [
      Math.ceil(span.value[0] / liftStepMs) * liftStepMs,
      Math.floor(span.value[1] / liftStepMs) * liftStepMs,
    ]
    return from < to ? ([from, to] as const) : null
  })
  /** Puts it at a time at which they can go on, the nearest in those steps. */
  function put(at: number): void {
    if (!choice.value) return
    const [from, to] = choice.value
    wantedAt.value = Math.min(to, Math.max(from, Math.round(at / liftStepMs) * liftStepMs))
  }
  /** She can be lifted that day, and nobody of the boat is there. */
  const isUnmanned = computed(() => earliest.value?.people.length === 0)
  return { slip, liftAt, worked, choice, put, isUnmanned }
}
