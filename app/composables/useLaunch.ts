import { computed } from 'vue'
import { ledgerOf } from '#core/launch/ledger'
import { craneUse, slingSplit } from '#core/launch/lift'
import { isWorthShowing, liftDaysOf, liftDaysShown } from '#core/launch/liftDays'
import { readiness } from '#core/launch/readiness'
import { isOpenAt, sayStanding } from '#core/launch/readyWords'
import type { ReadyItem } from '#core/launch/readyItem'
import { haulOutsAsPlanned } from '#core/plan/schedule/haulOuts'
import { makeSites } from '#core/plan/schedule/sites'
import { dayMs, dayNumber } from '#core/time/civil'
import { refused } from '#core/result'

/** A launch is watched for so long after it. */
const watchedMs = 9 * dayMs

/** The launch to come, or the one just made: its readiness, its days, how she is lifted. */
export function useLaunch() {
  const store = useRefitStore()
  const time = useTimeStore()
  const odds = useOddsStore()
  const { all: found } = useOutOfOrder()
  const { shortDate } = useDates()
  const ashore = computed(() => haulOutsAsPlanned(store.rows, store.accepted, store.zone))
  const today = computed(() => dayNumber(store.derived.today))
  /** The one she goes in from next; null: none is written down. */
  const next = computed(() => ashore.value.find((one) => one.haulOut.launchActual === null) ?? null)
  /** The launch whose watch still runs; null: none does. */
  const watched = computed(
    () =>
      ashore.value.findLast(
        ({ haulOut, launchAt }) => haulOut.launchActual !== null && time.now - launchAt < watchedMs,
      ) ?? null,
  )
  const date = (at: number) => shortDate(at, store.zone)
  const ready = computed(() =>
    next.value
      ? readiness({
          rows: store.rows,
          plan: store.accepted,
          clock: store.zone,
          waits: store.waits,
          now: time.now,
          haulOut: next.value.haulOut,
          found: found.value,
          date,
        })
      : null,
  )
  const sites = computed(() => makeSites(store.rows, store.zone, ashore.value))
  const lifts = computed(() =>
    odds.isFresh
      ? (odds.stored?.lifts.find((one) => one.haulOutId === next.value?.haulOut.id) ?? null)
      : null,
  )
  const daysOf = (from: number, to: number) =>
    next.value
      ? liftDaysOf(store.rows, next.value, sites.value, lifts.value, store.zone, from, to)
      : []
  const days = computed(() => {
    if (!next.value) return []
    const { from, wholeTo, to } = liftDaysShown(
      next.value,
      lifts.value?.bestDay ?? null,
      today.value,
      store.zone,
    )
    return daysOf(from, to).filter((one) => one.day <= wholeTo || isWorthShowing(one))
  })
  /** The day aimed at in words and marks: the best lift, else the booked one, else that of the plan. */
  const aimDay = computed(() => {
    const one = next.value
    if (!one) return null
    if (lifts.value?.bestDay) return lifts.value.bestDay
    return one.launchAt === Infinity ? null : store.zone.dayOf(one.launchAt)
  })
  const bookedAt = computed(() => {
    const one = next.value
    return one?.haulOut.launchBooked ? one.lifts.at(dayNumber(one.haulOut.launchBooked)) : null
  })
  const sheet = computed(
    () => store.rows.liftSheet.find((one) => one.haulOutId === next.value?.haulOut.id) ?? null,
  )
  const ledger = computed(() => ledgerOf(store.rows, sheet.value, store.zone))
  const split = computed(() => {
    const one = sheet.value
    const { weightT, centreM } = ledger.value
    if (weightT === null) return refused('Say what she weighs, in Settings or at the lift below.')
    if (!one || one.slingForeM === null || one.slingAftM === null || centreM === null)
      return refused('Say where the slings go and where her centre of gravity lies.')
    return slingSplit(weightT, one.slingForeM, one.slingAftM, centreM, one.legDeg)
  })
  const crane = computed(() => {
    const one = sheet.value
    const { weightT } = ledger.value
    const beamM = store.refit?.beamM ?? null
    if (!one || weightT === null || beamM === null)
      return refused('Say what she weighs, how wide she is, and give the crane’s chart.')
    return craneUse(one, weightT, beamM, split.value.ok ? split.value.value : null)
  })
  const standing = (item: ReadyItem) => sayStanding(item, date)
  const isLate = (item: ReadyItem) => isOpenAt(item, bookedAt.value)
  return {
    next,
    watched,
    ready,
    days,
    daysOf,
    aimDay,
    bookedAt,
    lifts,
    sites,
    sheet,
    ledger,
    split,
    crane,
    standing,
    isLate,
    date,
  }
}
