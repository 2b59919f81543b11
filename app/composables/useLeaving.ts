import { computed } from 'vue'
import type { Ref } from 'vue'
import type { ChangeItem } from '#core/model/changes'
import { deletion } from '#core/model/removal'
import { haulOutsAsPlanned } from '#core/plan/schedule/haulOuts'
import { dayNumber, minutesOf } from '#core/time/civil'
import { curingDuring } from '#core/today/curing'
import { doneHours } from '#core/today/doneHours'
import { leavingList, sayLeaving } from '#core/today/leaving'
import type { LeaveLine } from '#core/today/leaving'
import { nextVisit } from '#core/today/nextVisit'
import { ashoreAtDawn } from '#core/plan/schedule/lies'
import { placeOn } from '#core/today/placeOn'

/** The end of a day: can she be left, what cures through the night, whose hours were whose. */
export function useLeaving(
  frame: Ref<{
    readonly on: string
    readonly personIds: readonly string[]
    readonly to: string
  }>,
) {
  const store = useRefitStore()
  const time = useTimeStore()
  const personId = useMe()
  const leaveAt = computed(() => {
    const end = store.zone.at(dayNumber(frame.value.on), minutesOf(frame.value.to))
    return frame.value.on === store.derived.today ? Math.max(time.minute, end) : end
  })
  const place = computed(() =>
    placeOn(store.rows, store.accepted, frame.value.on, 'boat', store.zone),
  )
  const next = computed(() => nextVisit(store.rows, place.value, leaveAt.value, store.zone))
  const nightEnd = computed(() => next.value?.at ?? leaveAt.value + 24 * 3_600_000)
  const curing = computed(() =>
    curingDuring(
      store.rows,
      store.accepted?.placements ?? [],
      leaveAt.value,
      nightEnd.value,
      store.waits,
    ).filter((one) => one.from <= leaveAt.value),
  )
  const isAshore = computed(
    () =>
      ashoreAtDawn(
        haulOutsAsPlanned(store.rows, store.accepted, store.zone),
        dayNumber(frame.value.on),
        store.zone,
      ) !== null,
  )
  const leaving = computed(() =>
    leavingList(
      store.rows,
      store.waits.weather,
      {
        on: frame.value.on,
        leaveAt: leaveAt.value,
        next: next.value,
        isAshore: isAshore.value,
        curing: curing.value,
      },
      store.zone,
    ),
  )
  const said = computed(() => sayLeaving(leaving.value))
  const hours = computed(() =>
    doneHours(store.rows, frame.value.on, frame.value.personIds, store.zone),
  )
  const left = computed(() =>
    store.rows.leaving.find((one) => one.on === frame.value.on && one.line === ''),
  )

  /** Lines of the day that were ticked, of whichever list. */
  const ticked = computed(
    () =>
      new Set(store.rows.leaving.filter((one) => one.on === frame.value.on).map((one) => one.line)),
  )
  const tick = (line: LeaveLine): Promise<boolean> => tickLine(line.key, line.what)
  function tickLine(key: string, what: string): Promise<boolean> {
    const known = store.rows.leaving.find((one) => one.on === frame.value.on && one.line === key)
    const item: ChangeItem = known
      ? deletion('leaving', known)
      : {
          op: 'create',
          entity: 'leaving',
          id: newId(),
          patch: {
            on: frame.value.on,
            line: key,
            at: Math.round(time.now),
            personId: personId.value || null,
          },
        }
    return store.attempt(`${known ? 'Not done' : 'Done'}: ${what}`, [item])
  }
  /** She is left, with what stops it named and who says so. */
  const leave = (stops: readonly LeaveLine[], by: string | null): Promise<boolean> =>
    store.attempt('She is left', [
      {
        op: 'create',
        entity: 'leaving',
        id: newId(),
        patch: {
          on: frame.value.on,
          stops: stops.map((one) => one.what).join('; '),
          at: Math.round(time.now),
          personId: by,
        },
      },
    ])
  return {
    leaving,
    said,
    leaveAt,
    next,
    nightEnd,
    curing,
    hours,
    left,
    isAshore,
    ticked,
    tick,
    tickLine,
    leave,
  }
}
