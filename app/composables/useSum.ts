import { useDebounceFn } from '@vueuse/core'
import { computed, reactive, ref, shallowRef, watch } from 'vue'
import type { Ask, LineValues, Scalar, Value, Values } from '#core/bench/ask'
import { besideSums } from '#core/bench/beside'
import type { BesideSum } from '#core/bench/beside'
import { askedValues, fittingValues, initialValues, isAsked, problemsIn } from '#core/bench/check'
import { grownValues } from '#core/bench/grow'
import { movedMarks } from '#core/bench/moved'
import { preparedSteps } from '#core/bench/prepared'
import { doubtOf } from '#core/bench/doubt'
import type { Doubt, Known } from '#core/bench/doubt'
import { plainTools } from '#core/bench/sum'
import type { Answer, ShelfLot, Sum } from '#core/bench/sum'
import { isSaid, keptFor, valueAt, wantedSums, withPaths } from '#core/bench/wanted'
import type { Want } from '#core/bench/wanted'
import { workSum } from '#core/bench/workSum'

/** One sum on the screen: its figures as they are typed, which of them are measured, and the answer as it stands. */
export function useSum(sum: Sum) {
  const store = useRefitStore()
  const route = useRoute()
  const writeOwn = useOwnAddress()
  const air = useAirNow()
  const time = useTimeStore()
  const lots = useShelfLots()
  const currency = computed(() => store.refit?.currency ?? 'EUR')
  const units = computed(() => store.refit?.units ?? 'metric')

  const asked = (name: string): string => String(route.query[name] ?? '')
  const opened = store.rows.keptSum.find(
    (one) => one.id === asked('kept') && one.sumKey === sum.key,
  )
  const jobId = ref(asked('job') || (opened?.jobId ?? ''))
  /** The answer kept for the job that is chosen, or that was opened and belongs to none. */
  const kept = computed(() =>
    jobId.value === ''
      ? (store.rows.keptSum.find((one) => one.id === asked('kept') && one.jobId === null) ?? null)
      : keptFor(store.rows, sum.key, jobId.value),
  )
  const wants = computed(() => (jobId.value === '' ? [] : wantedSums(store.rows, jobId.value)))
  const want = computed(() => wants.value.find((one) => one.sum.key === sum.key) ?? null)

  /** What the sum begins with here: a kept answer's figures, those of the job, or its own. */
  function beginning(): { values: Values; known: Known } {
    const fromKept = opened ?? kept.value
    if (fromKept)
      return {
        values: { ...initialValues(sum.asks), ...fittingValues(sum.asks, fromKept.inputs) },
        known: fromKept.known,
      }
    const own = want.value && isSaid(want.value) ? want.value.values : null
    const grown = grownValues(
      sum,
      store.rows.keptSum,
      jobId.value,
      (own?.[sum.grows?.list ?? ''] ?? []) as readonly LineValues[],
      plainTools(units.value, currency.value),
    )
    const here = {
      ...grown,
      ...sum.prepared?.(preparedSteps(store.rows, store.waits, time.minute)),
      ...sum.now?.(air.value),
      ...sum.shelf?.(
        lotsOf(lots.value, String(want.value?.values.what ?? initialValues(sum.asks).what ?? '')),
      ),
    }
    if (want.value)
      return {
        values: { ...want.value.values, ...here, ...paths(want.value), ...grown },
        known: want.value.known,
      }
    return { values: { ...initialValues(sum.asks), ...here }, known: {} }
  }
  const begun = beginning()
  const typed = readTyped(sum.asks, asked('v'))
  const values = reactive<Record<string, Value>>({
    ...(JSON.parse(JSON.stringify(begun.values)) as Values),
    ...typed.values,
  })
  const known = reactive<Record<string, true>>({ ...(typed.known ?? begun.known) })
  /** Sentences at fields whose text cannot be read, by path. */
  const unread = reactive<Record<string, string>>({})

  const problems = computed(() => problemsIn(sum.asks, askedValues(sum.asks, values), units.value))
  const tools = computed(() => plainTools(units.value, currency.value))
  const worked = computed(() => workSum(sum, values, tools.value))
  const lastGood = shallowRef<Answer | null>(null)
  watch(
    worked,
    (now) => {
      if (now.ok) lastGood.value = now.value
    },
    { immediate: true },
  )
  /** Sums about the same thing, with the last figures that could be worked. */
  const beside = shallowRef<readonly BesideSum[]>([])
  watch(
    () => [worked.value, store.rows.keptSum, wants.value] as const,
    ([now]) => {
      if (!now.ok) return
      const on = { jobId: jobId.value, wants: wants.value, tools: tools.value }
      beside.value = besideSums(sum, askedValues(sum.asks, values), store.rows, on)
    },
    { immediate: true },
  )
  const asks = computed(() => sum.asks.filter((one) => isAsked(one, values)))
  /** A field that is not asked for any more says nothing. */
  const isOnScreen = (path: string) => asks.value.some((one) => one.key === path.split('.')[0])
  const firstUnread = computed(
    () => Object.entries(unread).find(([path, said]) => said !== '' && isOnScreen(path))?.[1] ?? '',
  )
  /** Why there is no answer to what stands in the fields; '': there is. */
  const wrong = computed(() => firstUnread.value || (worked.value.ok ? '' : worked.value.message))
  const problemAt = (path: string): string =>
    problems.value.find((one) => one.field === path)?.message ??
    (worked.value.ok
      ? ''
      : (worked.value.problems?.find((one) => one.field === path)?.message ?? ''))
  const quick = computed(() =>
    worked.value.ok && firstUnread.value === '' ? worked.value.value : null,
  )
  const search = useSumSearch(
    sum,
    values,
    quick,
    () => units.value,
    () => currency.value,
  )
  /** Worked many times over: the answer does not wait for it. */
  const doubt = shallowRef<Doubt | null>(null)
  const isDoubtOld = ref(false)
  const doubtNow = (): void => {
    const { value } = worked
    doubt.value = value.ok ? doubtOf(sum, values, known, tools.value, value.value) : null
    isDoubtOld.value = false
  }
  doubtNow()
  const stands = computed(() => JSON.stringify([values, known, units.value]))
  watch(stands, () => (isDoubtOld.value = true))
  watchSettled(stands, doubtNow, { ms: 200 })

  function put(path: string, value: Scalar): void {
    if (valueAt(values, path) === value) return
    Object.assign(values, withPaths(sum.asks, values, { [path]: value }))
    known[path] = true
    keepTyped()
  }
  /** What the shelf has of what is cut, as long as nobody changed the list by hand. */
  let fromShelf = JSON.stringify(values.stock ?? null)
  watch(
    () => values.what,
    (what) => {
      const next = sum.shelf?.(lotsOf(lots.value, String(what ?? '')))
      if (!next || JSON.stringify(values.stock ?? null) !== fromShelf) return
      Object.assign(values, next)
      fromShelf = JSON.stringify(values.stock ?? null)
    },
  )
  function setKnown(path: string, is: boolean): void {
    if (is) known[path] = true
    else Reflect.deleteProperty(known, path)
    keepTyped()
  }
  /** A list with its lines in other places; `from`: where each stood before, null: it is new. */
  function setLines(key: string, list: Value, from: readonly (number | null)[]): void {
    values[key] = list
    moveMarks(known, key, from)
    moveMarks(unread, key, from)
    keepTyped()
  }
  /** What was typed stands in the address, so that a reload, the back button and a copied link keep it. */
  const writeAddress = useDebounceFn(() => {
    writeOwn({ v: JSON.stringify({ v: differing(begun.values, values), k: Object.keys(known) }) })
  }, 350)
  const keepTyped = () => void writeAddress()

  /** Lines whose fields are in hand, in the list or on the drawing. */
  const lit = ref('')
  /** Where lists are folded: the line that stands open, by list. */
  const unfolded = reactive<Record<string, number>>({})

  return {
    sum,
    lit,
    light: (path: string) => {
      lit.value = path
    },
    unfolded,
    unfold: (key: string, index: number) => {
      unfolded[key] = index
    },
    asks,
    values,
    known,
    want,
    kept,
    jobId,
    answer: computed(() => (quick.value === null ? null : (search.best.value ?? quick.value))),
    search,
    lastGood,
    beside,
    wrong,
    problemAt,
    doubt,
    isDoubtOld,
    put,
    setKnown,
    unreadAt: (path: string) => unread[path] ?? '',
    setUnread: (path: string, message: string) => {
      unread[path] = message
    },
    setJob: (id: string) => {
      jobId.value = id
    },
    setLines,
  }
}

/** What a job says goes before what the air and the shelf say, field by field. */
function paths({ sum, values, filled }: Want): Values {
  const keys = new Set(Object.keys(filled).map((path) => path.split('.')[0] as string))
  return Object.fromEntries(
    sum.asks.flatMap((ask) => (keys.has(ask.key) ? [[ask.key, values[ask.key] as Value]] : [])),
  )
}

/** Pieces left over of what is asked for: they share a word with it. */
function lotsOf(lots: readonly ShelfLot[], what: string): ShelfLot[] {
  const words = what
    .toLowerCase()
    .split(/[^\p{L}\d]+/u)
    .filter((one) => one.length > 2)
  return lots.filter((one) => words.some((word) => one.name.toLowerCase().includes(word)))
}

/** Values that are not what the page began with. */
const differing = (first: Values, values: Values): Record<string, Value> =>
  Object.fromEntries(
    Object.entries(values).filter(
      ([key, value]) => JSON.stringify(value) !== JSON.stringify(first[key]),
    ),
  )

/** What an address says was typed; what cannot be read is left out, for anybody can write an address. */
function readTyped(
  asks: readonly Ask[],
  text: string,
): { readonly values: Values; readonly known: Known | null } {
  const nothing = { values: {}, known: null }
  if (text === '') return nothing
  try {
    const said = JSON.parse(text) as { v?: unknown; k?: unknown } | null
    const marks = said?.k
    const list = Array.isArray(marks) ? marks.filter((one) => typeof one === 'string') : []
    return {
      values: fittingValues(asks, said?.v),
      known: Object.fromEntries(list.map((one) => [one, true as const])),
    }
  } catch {
    return nothing
  }
}

/** What is known of a line, and what could not be read in it, goes with it. */
function moveMarks<Mark>(
  marks: Record<string, Mark>,
  key: string,
  from: readonly (number | null)[],
): void {
  const moved = movedMarks(marks, key, from)
  for (const path of Object.keys(marks)) Reflect.deleteProperty(marks, path)
  Object.assign(marks, moved)
}
