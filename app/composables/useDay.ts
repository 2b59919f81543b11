import { computed, ref } from 'vue'
import type { Ref } from 'vue'
import type { ChangeItem } from '#core/model/changes'
import type { PlaceNeed } from '#core/model/words'
import { inOrder } from '#core/model/refit'
import type { RefitRows } from '#core/model/refit'
import { deletion } from '#core/model/removal'
import { attendanceOf } from '#core/time/attendance'
import { dayNumber, timeOf } from '#core/time/civil'
import { placeOn } from '#core/today/placeOn'
import { openOn } from '#core/time/openAt'
import { wantedOn } from '#core/plan/wanted'
import { daySheet } from '#core/today/daySheet'
import { nightsAround } from '#core/today/dayStays'

/** A day's frame, as the week gives it or as its people changed it, and the day sheet that follows. */
export function useDay(on: Ref<string>) {
  const store = useRefitStore()
  const busy = ref(false)
  const zone = computed(() => store.zone)
  const planIn = (rows: RefitRows) => rows.dayPlan.find((one) => one.on === on.value) ?? null
  const dayPlan = computed(() => planIn(store.rows))
  const people = computed(() => inOrder(store.rows.person).filter((person) => !person.gone))

  const spansOf = (personId: string) =>
    attendanceOf(
      store.rows.weekSlot.filter((one) => one.personId === personId),
      store.rows.personDay.filter((one) => one.personId === personId),
    ).on(dayNumber(on.value))
  const usual = computed(() => {
    const coming = people.value.filter((person) => spansOf(person.id).length > 0)
    const spans = coming.flatMap((person) => spansOf(person.id))
    const { placeNeed } = dayPlan.value ?? { placeNeed: 'boat' as const }
    const place = placeOn(store.rows, store.accepted, on.value, placeNeed, zone.value)
    const travel = place?.travelMin ?? 0
    const open = openOn(place, dayNumber(on.value))
    const isOut = placeNeed === 'boat' && wantedOn(store.rows)(dayNumber(on.value)) === 'gone'
    const nights = store.accepted
      ? nightsAround(
          store.rows,
          store.accepted,
          on.value,
          coming.map((one) => one.id),
          zone.value,
        )
      : { before: null, after: null }
    const [out, back] = [nights.before ? 0 : travel, nights.after ? 0 : travel]
    const from = spans.length > 0 ? Math.min(...spans.map(([a]) => a)) + out : 510
    const to = spans.length > 0 ? Math.max(...spans.map(([, b]) => b)) - back : 1020
    const [opens, shuts] = open ?? [0, 1440]
    return {
      // Shut, or out at sea: nobody works on her.
      personIds: open && !isOut ? coming.map((person) => person.id) : [],
      from: timeOf(Math.max(from, opens)),
      to: timeOf(Math.max(Math.max(from, opens) + 30, Math.min(to, shuts))),
    }
  })
  /** Of people put down for the day, those who did not say that they cannot come, whoever was put down before. */
  function notAway(personIds: readonly string[], rows: RefitRows): string[] {
    const away = new Set(
      rows.personDay
        .filter((one) => one.on === on.value && one.kind === 'cannotCome' && one.wholeDay)
        .map((one) => one.personId),
    )
    return personIds.filter((id) => !away.has(id))
  }
  const frame = computed(() => ({
    on: on.value,
    placeNeed: (dayPlan.value?.placeNeed ?? 'boat') as PlaceNeed,
    personIds: notAway(dayPlan.value?.personIds ?? usual.value.personIds, store.rows),
    from: dayPlan.value?.from ?? usual.value.from,
    to: dayPlan.value?.to ?? usual.value.to,
    rain: dayPlan.value?.rain ?? false,
    lowC: dayPlan.value?.lowC ?? null,
    highC: dayPlan.value?.highC ?? null,
  }))
  const sheet = computed(() =>
    store.accepted
      ? daySheet(store.rows, store.accepted, frame.value, store.waits, zone.value)
      : null,
  )

  /** Something of the day, as the change it is. */
  function itemFor(fields: Readonly<Record<string, unknown>>): ChangeItem {
    const { placeNeed, personIds, from, to, rain, lowC, highC } = frame.value
    const whole = { placeNeed, personIds, from, to, rain, lowC, highC, stepOrder: [], on: on.value }
    const plan = planIn(store.asked)
    return plan
      ? { op: 'patch', entity: 'dayPlan', id: plan.id, baseVersion: plan.version, patch: fields }
      : { op: 'create', entity: 'dayPlan', id: newId(), patch: { ...whole, ...fields } }
  }
  /** Changes something of the day; the plan follows. */
  async function set(fields: Readonly<Record<string, unknown>>): Promise<void> {
    busy.value = true
    const item = itemFor(fields)
    // Put down by hand after all: what said they cannot come goes.
    const back = Array.isArray(fields.personIds) ? (fields.personIds as string[]) : []
    const comes = store.rows.personDay
      .filter(
        (one) => one.on === on.value && one.kind === 'cannotCome' && back.includes(one.personId),
      )
      .map((one) => deletion('personDay', one))
    await store.attempt('Change the day', [...comes, item])
    busy.value = false
  }
  /** Puts a person down for the day, or takes them off it. */
  function comes(personId: string): Promise<void> {
    const rows = store.asked
    const here = notAway(planIn(rows)?.personIds ?? usual.value.personIds, rows)
    return set({
      personIds: here.includes(personId)
        ? here.filter((id) => id !== personId)
        : [...here, personId],
    })
  }
  /** Back to what the week gives. */
  async function reset(): Promise<void> {
    const plan = dayPlan.value
    if (plan)
      await store.attempt('The day as usual', [
        { op: 'delete', entity: 'dayPlan', id: plan.id, baseVersion: plan.version },
      ])
  }
  return { frame, dayPlan, people, usual, sheet, busy, itemFor, set, comes, reset }
}
