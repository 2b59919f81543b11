/**
 * An independent check of a plan. It shares no code with the solver: wall-clock times come from
 * Intl, attendance, arcs, waits and hull windows are worked out here again from the rows.
 */
import type { HaulOut, Job, Place, Step } from '../model/entities'
import type { Placement, StoredPlan } from '../model/stored'
import type { RefitRows } from '../model/refit'

const minute = 60_000
const hour = 60 * minute
const tick = 5 * minute
const slings = 3 * hour
const reach = { open: 1, awkward: 1.3, cramped: 1.7, blind: 2.2 } as const
const goneBy = ['buy', 'contract', 'launch', 'lift', 'move']
const inOneGo = [
  'fill',
  'laminate',
  'prime',
  'barrier',
  'antifoul',
  'paint',
  'varnish',
  'bed',
  'launch',
  'lift',
  'move',
]

interface Wall {
  readonly date: string
  readonly minutes: number
  readonly weekday: number
}

const days = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun']

function wallClock(zone: string): (at: number) => Wall {
  const format = new Intl.DateTimeFormat('en-CA', {
    timeZone: zone,
    hourCycle: 'h23',
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
    hour: '2-digit',
    minute: '2-digit',
    weekday: 'short',
  })
  return (at) => {
    const part = Object.fromEntries(format.formatToParts(at).map((one) => [one.type, one.value]))
    return {
      date: `${part.year}-${part.month}-${part.day}`,
      minutes: Number(part.hour) * 60 + Number(part.minute),
      weekday: days.indexOf(part.weekday ?? '') + 1,
    }
  }
}

const hhmm = (text: string): number => Number(text.slice(0, 2)) * 60 + Number(text.slice(3, 5))
const dayIndex = (date: string): number => Math.round(Date.parse(`${date}T00:00:00Z`) / (24 * hour))
const mondays = (date: string): number => Math.floor((dayIndex(date) + 3) / 7)

/** Every way in which a plan breaks the rules, as sentences; empty when it holds. */
export function checkPlan(given: RefitRows, plan: StoredPlan): string[] {
  const rows = hullsByPlace(given)
  const zone = rows.refit[0]?.zone ?? 'UTC'
  const wall = wallClock(zone)
  const faults: string[] = []
  const placed = new Map(plan.placements.map((one) => [one.stepId, one]))
  const jobOf = new Map(rows.job.map((job) => [job.id, job]))
  const open = rows.step.filter(
    (step) =>
      (step.state === 'open' || step.state === 'doing') &&
      jobOf.get(step.jobId)?.decision === 'plan',
  )
  const stepOf = new Map(open.map((step) => [step.id, step]))
  const hauls = haulOuts(rows, plan, zone)
  const say = (step: Step, fault: string) => faults.push(`${step.title}: ${fault}`)

  for (const one of plan.placements) {
    const step = stepOf.get(one.stepId)
    if (!step) {
      faults.push(`A step that is not open is placed: ${one.stepId}`)
      continue
    }
    for (const fault of [
      ...shape(step, one, plan, rows),
      ...attendance(step, one, rows, hauls, wall),
      ...hull(step, one, rows, hauls),
      ...releases(step, one, rows, wall),
    ])
      say(step, fault)
  }
  faults.push(...togetherness(plan, stepOf, wall))
  faults.push(...sequence(rows, placed, stepOf))
  faults.push(...bonds(rows, placed, stepOf))
  faults.push(...launches(rows, plan, placed, open, jobOf, hauls, wall))
  const excused = new Set(plan.reasons.flatMap((reason) => reason.stepIds))
  if (plan.reasons.length === 0)
    for (const step of open)
      if (!placed.has(step.id)) say(step, 'is not placed, and no reason given')
  for (const id of excused) {
    const step = stepOf.get(id)
    if (step && placed.has(id)) say(step, 'is called impossible, and placed')
  }
  return faults
}

/** Below the waterline is worked on ashore: said here again from the rows. */
function hullsByPlace(rows: RefitRows): RefitRows {
  const wet = (step: Step): boolean => {
    if (step.operation === 'barrier' || step.operation === 'antifoul') return true
    const job = rows.job.find((one) => one.id === step.jobId)
    if (job?.zoneId) return rows.zone.some((zone) => zone.id === job.zoneId && zone.belowWaterline)
    return rows.system.some((one) => one.id === job?.systemId && one.kind === 'stern gear')
  }
  const paper = ['buy', 'label', 'setUp', 'packUp']
  return {
    ...rows,
    step: rows.step.map((step) => {
      if (step.hullNeed !== 'byPlace') return step
      const aboard = step.placeNeed === 'boat' && !step.afterGate && !paper.includes(step.operation)
      return { ...step, hullNeed: aboard && wet(step) ? 'ashore' : 'either' }
    }),
  }
}

interface Haul {
  readonly row: HaulOut
  readonly yard: Place | undefined
  readonly out: number
  readonly launch: number
}

/** UTC instant of a civil date and time, found by trying the offsets around it. */
function instantOf(date: string, minutes: number, zone: string): number {
  const wall = wallClock(zone)
  const naive = Date.parse(`${date}T00:00:00Z`) + minutes * minute
  for (let offset = -14; offset <= 14; offset += 0.25) {
    const at = naive - offset * hour
    const shown = wall(at)
    if (shown.date === date && shown.minutes === minutes) return at
  }
  return naive
}

function haulOuts(rows: RefitRows, plan: StoredPlan, zone: string): Haul[] {
  const planned = new Map(plan.launches.map((one) => [one.haulOutId, one.at]))
  return rows.haulOut
    .map((row) => {
      const yard =
        rows.place.find((place) => place.id === row.placeId) ??
        rows.place.find((place) => place.kind === 'yard')
      const lift = hhmm(yard?.liftFrom ?? '09:00')
      const out = instantOf(row.liftOutActual ?? row.liftOutBooked ?? row.liftOutAimed, lift, zone)
      const launch = row.launchActual
        ? instantOf(row.launchActual, lift, zone)
        : (planned.get(row.id) ?? Infinity)
      return { row, yard, out, launch }
    })
    .sort((a, b) => a.out - b.out)
}

function shape(step: Step, one: Placement, plan: StoredPlan, rows: RefitRows): string[] {
  const faults: string[] = []
  let last = plan.now
  for (const [from, to] of one.segments) {
    if (from < last) faults.push('starts before now or before its own earlier stretch')
    if (to < from) faults.push('ends before it starts')
    if (from % tick !== 0) faults.push('does not lie on the five-minute grid')
    last = to
  }
  if (booked(step, rows) || goneBy.includes(step.operation) || step.hoursLikely === 0) return faults
  const crew = one.personIds.length
  if (crew < step.crewMin || crew > Math.max(step.crewMin, step.crewMax))
    faults.push(`has a crew of ${crew}`)
  if (new Set(one.personIds).size !== crew) faults.push('names a person twice')
  for (const id of one.personIds) {
    const person = rows.person.find((row) => row.id === id)
    if (!person || person.gone) faults.push('is given to somebody who is gone')
    else if (step.skill !== 'general' && !person.skills.includes(step.skill))
      faults.push(`is given to ${person.name}, who lacks ${step.skill}`)
  }
  const logged = rows.hoursEntry
    .filter((entry) => entry.stepId === step.id)
    .reduce((sum, entry) => sum + entry.hours, 0)
  const mending = (one.mends ?? []).reduce((sum, mend) => sum + mend.hours, 0)
  const all = step.hoursLikely * reach[step.access] + mending
  const want = step.state === 'doing' ? Math.max(all / 4, all - logged) : all
  const given = one.segments.reduce((sum, [from, to]) => sum + to - from, 0) / hour
  if (given * crew < want - 0.01) faults.push(`gets ${given * crew} of ${want} person-hours`)
  if (given > want / crew + 5.1 / 60) faults.push('is given more time than it takes')
  const oneGo = step.splittable === null ? inOneGo.includes(step.operation) : !step.splittable
  if (oneGo && one.segments.length > 1) faults.push('is broken up and must be done in one go')
  const wait = waitHours(step, one.segments.at(-1)?.[1] ?? 0, rows)
  if (one.readyAt < (one.segments.at(-1)?.[1] ?? 0) + wait * hour - 1)
    faults.push('has its wait cut short')
  return faults
}

const booked = (step: Step, rows: RefitRows) =>
  rows.tradeBooking.find((row) => row.stepId === step.id && row.state === 'booked')

function waitHours(step: Step, finish: number, rows: RefitRows): number {
  if (step.waitKind === 'none') return 0
  if (step.waitKind !== 'chem') return step.waitHours
  const mean = rows.refit[0]?.monthMeanC[new Date(finish).getUTCMonth()] ?? step.waitRefC
  const warm = step.waitMinC === null ? mean : Math.max(mean, step.waitMinC)
  return step.waitHours * Math.pow(2, (step.waitRefC - warm) / 10)
}

/** Minutes of a date in which a person can work at a place. */
function hoursAt(
  personId: string,
  need: Step['placeNeed'],
  wall: Wall,
  at: number,
  rows: RefitRows,
  hauls: readonly Haul[],
) {
  const dawn = at - wall.minutes * minute
  const ashore = hauls.find((one) => dawn >= one.out && dawn < one.launch)
  const place =
    need === 'boat'
      ? ashore
        ? ashore.yard
        : (rows.place.find((row) => row.kind === 'berth') ?? hauls[0]?.yard)
      : need === 'shed'
        ? rows.place.find((row) => row.kind === 'shed')
        : undefined
  const plan = rows.dayPlan.find((row) => row.on === wall.date)
  const away = rows.personDay.some(
    (row) => row.personId === personId && row.on === wall.date && row.kind === 'cannotCome',
  )
  if (away) return []
  if (plan) {
    if (plan.placeNeed !== need || !plan.personIds.includes(personId)) return []
    return [[hhmm(plan.from) + (place?.setUpMin ?? 0), hhmm(plan.to) - (place?.packUpMin ?? 0)]]
  }
  const own = rows.personDay.filter((row) => row.personId === personId && row.on === wall.date)
  const spans = rows.weekSlot
    .filter(
      (row) =>
        row.personId === personId &&
        row.weekday === wall.weekday &&
        Math.abs(mondays(wall.date) - (row.anchor ? mondays(row.anchor) : 0)) % row.everyWeeks ===
          0,
    )
    .map((row) => [hhmm(row.from), hhmm(row.to)])
  for (const row of own) spans.push([hhmm(row.from), hhmm(row.to)])
  const out = (place?.travelMin ?? 0) + (place?.setUpMin ?? 0)
  const back = (place?.travelMin ?? 0) + (place?.packUpMin ?? 0)
  return spans.map(([from, to]) => [(from as number) + out, (to as number) - back])
}

function attendance(
  step: Step,
  one: Placement,
  rows: RefitRows,
  hauls: readonly Haul[],
  wall: (at: number) => Wall,
): string[] {
  const faults: string[] = []
  for (const id of one.personIds)
    for (const [from, to] of one.segments) {
      const start = wall(from)
      const end = start.minutes + (to - from) / minute
      if (step.hullNeed === 'slings') {
        const away = rows.personDay.some(
          (row) => row.personId === id && row.on === start.date && row.kind === 'cannotCome',
        )
        if (away) faults.push(`is placed on ${start.date} when ${id} cannot come`)
        continue
      }
      const hours = hoursAt(id, step.placeNeed, start, from, rows, hauls)
      if (!hours.some(([a, b]) => (a as number) <= start.minutes && end <= (b as number)))
        faults.push(`is placed on ${start.date} when ${id} is not there`)
    }
  return faults
}

function hull(step: Step, one: Placement, rows: RefitRows, hauls: readonly Haul[]): string[] {
  const nobody = one.personIds.length === 0
  return one.segments.flatMap(([from, to]) => {
    const ashore = hauls.some((haul) => from >= haul.out + slings && to <= haul.launch)
    const wet = hauls.every((haul) => to <= haul.out || from >= haul.launch + slings)
    if (step.hullNeed === 'ashore' && !ashore) return ['is placed while she is not ashore']
    if (step.hullNeed === 'afloat' && !wet) return ['is placed while she is not afloat']
    const coming = hauls.filter((haul) => haul.row.launchActual === null)
    if (step.hullNeed === 'slings' && coming.length > 0) {
      const hung = hauls.some((haul) => from >= haul.launch && to <= haul.launch + slings)
      return hung ? [] : ['is placed while she does not hang in the slings']
    }
    const hangs = hauls.some(
      (haul) =>
        (from < haul.out + slings && to > haul.out) ||
        (from < haul.launch + slings && to > haul.launch),
    )
    if (step.placeNeed === 'boat' && !nobody && hangs) return ['has people aboard while she hangs']
    return []
  })
}

function releases(
  step: Step,
  one: Placement,
  rows: RefitRows,
  wall: (at: number) => Wall,
): string[] {
  const start = one.segments[0]?.[0] ?? 0
  const faults: string[] = []
  if (step.notBefore !== null && wall(start).date < step.notBefore)
    faults.push('starts before its own date')
  for (const part of rows.part)
    if (part.neededByStepId === step.id && part.state === 'ordered' && part.arrivesOn !== null)
      if (wall(start).date <= part.arrivesOn) faults.push(`starts before ${part.name} arrives`)
  const trade = booked(step, rows)
  if (trade && wall(start).date < trade.from) faults.push('starts before its trade comes')
  return faults
}

/** Nobody in two places or at two jobs at once; work pauses only where its crew is not there. */
function togetherness(
  plan: StoredPlan,
  stepOf: ReadonlyMap<string, Step>,
  wall: (at: number) => Wall,
): string[] {
  const faults: string[] = []
  const diary = new Map<string, { from: number; to: number; stepId: string }[]>()
  const where = new Map<string, string>()
  for (const one of plan.placements)
    for (const person of one.personIds)
      for (const [from, to] of one.segments) {
        diary.set(person, [...(diary.get(person) ?? []), { from, to, stepId: one.stepId }])
        const key = `${person} ${wall(from).date}`
        const place = stepOf.get(one.stepId)?.placeNeed ?? ''
        if ((where.get(key) ?? place) !== place) faults.push(`${key}: at two places on one day`)
        where.set(key, place)
      }
  for (const [person, list] of diary) {
    list.sort((a, b) => a.from - b.from || a.to - b.to)
    for (let i = 1; i < list.length; i++)
      if ((list[i]?.from ?? 0) < (list[i - 1]?.to ?? 0))
        faults.push(`${person} is at two jobs at once: ${list[i - 1]?.stepId}, ${list[i]?.stepId}`)
  }
  return faults
}

/** Every bond window is kept, or its mend is planned: peel ply when laid, else keying before the next. */
function bonds(
  rows: RefitRows,
  placed: ReadonlyMap<string, Placement>,
  stepOf: ReadonlyMap<string, Step>,
): string[] {
  const faults = pairs(rows).flatMap(({ from, to, most }) => {
    const next = placed.get(to.id)
    const start = next?.segments[0]?.[0]
    if (most === null || !next || start === undefined) return []
    const before = placed.get(from.id)
    const finish = from.state === 'done' ? (from.doneAt ?? 0) : before?.segments.at(-1)?.[1]
    if (finish === undefined || start <= finish + most * hour) return []
    const own = (one: Placement | undefined, kind: string) =>
      (one?.mends ?? []).some((mend) => mend.kind === kind && mend.fromStepId === from.id)
    if (own(next, 'keying')) return []
    if (own(before, 'peelPly') && from.operation === 'laminate') return []
    return [`${to.title} comes after the bond window of ${from.title}, and no mend is planned`]
  })
  for (const one of placed.values())
    for (const mend of one.mends ?? []) {
      const step = stepOf.get(one.stepId)
      const own = (step?.hoursLikely ?? 0) * reach[step?.access ?? 'open']
      const due = mend.kind === 'peelPly' ? Math.max(0.25, own / 10) : Math.max(0.5, own / 4)
      if (mend.hours !== 0 && Math.abs(mend.hours - due) > 1e-9)
        faults.push(`${step?.title}: a mend of ${mend.hours} h where ${due} h are due`)
    }
  return faults
}

/** Pairs of steps that follow each other, with the hours that must and may lie between. */
function pairs(rows: RefitRows): { from: Step; to: Step; hours: number; most: number | null }[] {
  const planned = new Set(rows.job.filter((job) => job.decision === 'plan').map((job) => job.id))
  const ranks = new Map<string, Step[][]>()
  const aside: { from: Step; to: Step; hours: number; most: number | null }[] = []
  const lists = rows.step
    .filter((step) => step.state !== 'dropped' && planned.has(step.jobId))
    .sort((a, b) => (a.order === b.order ? (a.id < b.id ? -1 : 1) : a.order < b.order ? -1 : 1))
  for (const step of lists) {
    const own = ranks.get(step.jobId) ?? []
    ranks.set(step.jobId, own)
    if (step.afterGate) {
      const last = own.at(-1) ?? []
      for (const from of last) aside.push({ from, to: step, hours: 0, most: from.maxWaitHours })
    } else if (step.parallel && own.length > 0) own.at(-1)?.push(step)
    else own.push([step])
  }
  const result = [...aside]
  const cross = (
    left: readonly Step[],
    right: readonly Step[],
    hours: number,
    most: (from: Step) => number | null,
  ) => {
    for (const from of left)
      for (const to of right) result.push({ from, to, hours, most: most(from) })
  }
  for (const own of ranks.values())
    own.forEach(
      (rank, index) =>
        index > 0 && cross(own[index - 1] ?? [], rank, 0, (from) => from.maxWaitHours),
    )
  for (const link of rows.link)
    cross(
      ranks.get(link.fromJobId)?.at(-1) ?? [],
      ranks.get(link.toJobId)?.[0] ?? [],
      link.minWaitHours,
      () => link.maxWaitHours,
    )
  return result
}

function sequence(
  rows: RefitRows,
  placed: ReadonlyMap<string, Placement>,
  stepOf: ReadonlyMap<string, Step>,
): string[] {
  return pairs(rows).flatMap(({ from, to, hours }) => {
    const start = placed.get(to.id)?.segments[0]?.[0]
    if (start === undefined || !stepOf.has(to.id)) return []
    const finish =
      from.state === 'done' ? (from.doneAt ?? 0) : placed.get(from.id)?.segments.at(-1)?.[1]
    if (finish === undefined) return [`${to.title} is placed, and ${from.title} before it is not`]
    const over = finish + (waitHours(from, finish, rows) + hours) * hour
    return start < over - 1 ? [`${to.title} starts before ${from.title} and its wait are over`] : []
  })
}

function launches(
  rows: RefitRows,
  plan: StoredPlan,
  placed: ReadonlyMap<string, Placement>,
  open: readonly Step[],
  jobOf: ReadonlyMap<string, Job>,
  hauls: readonly Haul[],
  wall: (at: number) => Wall,
): string[] {
  return hauls
    .filter((haul) => haul.row.launchActual === null && haul.launch < Infinity)
    .flatMap((haul) => {
      const faults: string[] = []
      const shown = wall(haul.launch)
      const lifts = haul.yard?.liftWeekdays ?? []
      if (lifts.length > 0 && !lifts.includes(shown.weekday))
        faults.push(`${haul.row.name}: the yard does not lift on ${shown.date}`)
      if (shown.minutes !== hhmm(haul.yard?.liftFrom ?? '09:00'))
        faults.push(`${haul.row.name}: launched at the wrong time of day`)
      const aim = haul.row.launchBooked ?? haul.row.launchAimed
      if (haul.row.launchWhen !== 'asReady' && shown.date < aim)
        faults.push(`${haul.row.name}: launched before its date`)
      const gate = rows.gate.find((row) => row.kind === 'launch' && row.haulOutId === haul.row.id)
      for (const step of open) {
        const job = jobOf.get(step.jobId)
        const later = plan.warnings.some(
          (one) => one.kind === 'moved' && one.jobIds.includes(step.jobId),
        )
        const holds =
          !later &&
          !step.afterGate &&
          step.hullNeed === 'either' &&
          gate !== undefined &&
          job?.gateId === gate.id
        const ready = placed.get(step.id)?.readyAt
        if (holds && ready !== undefined && ready > haul.launch)
          faults.push(`${haul.row.name}: launched before ${step.title} is ready`)
      }
      return faults
    })
}
