import { computed } from 'vue'
import type { ComputedRef } from 'vue'
import type { BuyBoard } from '#core/stores/board'
import { shoppingRun } from '#core/stores/run'
import { inShopMin } from '#core/stores/runRoute'
import type { StoreFacts } from '#core/stores/storeFacts'
import { addDays, dayNumber, minuteMs } from '#core/time/civil'
import { openOn } from '#core/time/openAt'
import { curingDuring } from '#core/today/curing'
import { placeOn } from '#core/today/placeOn'
import { runToday } from '#core/today/runToday'

/** Days that are looked at for one on which a shop is open. */
const daysAhead = 7

/** The round of the shops: what each has, on which day it goes, and when it fits into that day. */
export function useShoppingRun(facts: ComputedRef<StoreFacts>, board: ComputedRef<BuyBoard>) {
  const store = useRefitStore()
  const time = useTimeStore()
  const run = computed(() => shoppingRun(facts.value, board.value, store.derived.today))
  /** Today while a shop can still be seen, else the next day on which one is open. */
  const on = computed(() => {
    const { today } = store.derived
    const days = Array.from({ length: daysAhead + 1 }, (_, index) => addDays(today, index))
    const isOpen = (date: string) =>
      run.value.shops.some(({ place }) => {
        const open = openOn(place, dayNumber(date))
        return (
          open !== null &&
          store.zone.at(dayNumber(date), open[1]) - inShopMin * minuteMs >= time.minute
        )
      })
    return days.find(isOpen) ?? today
  })
  const { frame, sheet } = useDay(on)
  const isToday = computed(() => on.value === store.derived.today)
  /** Where the work of the day is; null: nobody works that day, and they go from home. */
  const place = computed(() =>
    frame.value.personIds.length === 0
      ? null
      : placeOn(store.rows, store.accepted, on.value, frame.value.placeNeed, store.zone),
  )
  const day = computed(() => {
    const { zone } = store
    const at = dayNumber(on.value)
    const minutes = (text: string) =>
      zone.at(at, Number(text.slice(0, 2)) * 60 + Number(text.slice(3)))
    const [from, to] = [minutes(frame.value.from), minutes(frame.value.to)]
    return runToday(
      store.rows,
      run.value.shops,
      sheet.value?.lines ?? [],
      curingDuring(store.rows, store.accepted?.placements ?? [], from, to, store.waits),
      { on: on.value, personIds: frame.value.personIds, from, to, place: place.value },
      zone,
      isToday.value ? time.minute : 0,
    )
  })
  return { run, on, isToday, place, day, placeNeed: computed(() => frame.value.placeNeed) }
}
