/** Placed steps against each other: order, waits, bond windows, and one place at a time for everybody. */
import type { Step } from '../../core/model/entities'
import type { Placement, StoredPlan } from '../../core/model/stored'
import type { RefitRows } from '../../core/model/refit'
import { goesOff } from './weather'
import { reach, readyAfter, waitHours } from './placements'
import { hour, minute } from './wallClock'

/** Nobody at two jobs at once. */
export function togetherness(plan: StoredPlan): string[] {
  const faults: string[] = []
  const diary = new Map<string, { from: number; to: number; stepId: string }[]>()
  for (const one of plan.placements)
    for (const person of one.personIds)
      for (const [from, to] of one.segments)
        diary.set(person, [...(diary.get(person) ?? []), { from, to, stepId: one.stepId }])
  for (const [person, list] of diary) {
    list.sort((a, b) => a.from - b.from || a.to - b.to)
    for (let i = 1; i < list.length; i++)
      if ((list[i]?.from ?? 0) < (list[i - 1]?.to ?? 0))
        faults.push(`${person} is at two jobs at once: ${list[i - 1]?.stepId}, ${list[i]?.stepId}`)
  }
  return faults
}

/** Every bond window is kept, or its mend is planned: peel ply when laid, else keying before the next. */
export function bonds(
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
    if (finish === undefined || start <= goesOff(from, finish, most, rows)) return []
    const own = (one: Placement | undefined, kind: string) =>
      (one?.mends ?? []).some((mend) => mend.kind === kind && mend.fromStepId === from.id)
    if (own(next, from.windowKind === 'bareMetal' ? 'etching' : 'keying')) return []
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

/** Ids of steps that come after one that is done in the slings or afloat, over any number of others. */
export function afterTheWater(rows: RefitRows): ReadonlySet<string> {
  const found = new Set<string>()
  const links = pairs(rows)
  for (let size = -1; found.size !== size;) {
    size = found.size
    for (const { from, to } of links)
      if (found.has(from.id) || from.hullNeed === 'slings' || from.hullNeed === 'afloat')
        if (from.state !== 'done') found.add(to.id)
  }
  return found
}

interface Pair {
  readonly from: Step
  readonly to: Step
  readonly hours: number
  readonly most: number | null
  /** How far the first has to have cured. */
  readonly once: Step['beginsOnce']
}

/** Pairs of steps that follow each other, with the hours that must and may lie between. */
function pairs(rows: RefitRows): Pair[] {
  const planned = new Set(rows.job.filter((job) => job.decision === 'plan').map((job) => job.id))
  const ranks = new Map<string, Step[][]>()
  const aside: Pair[] = []
  const lists = rows.step
    .filter((step) => step.state !== 'dropped' && planned.has(step.jobId))
    .sort((a, b) => (a.order === b.order ? (a.id < b.id ? -1 : 1) : a.order < b.order ? -1 : 1))
  const hung = new Map<string, { steps: Step[]; follows: Step[]; ranks: number }>()
  for (const step of lists) {
    const own = ranks.get(step.jobId) ?? []
    ranks.set(step.jobId, own)
    const last = hung.get(step.jobId)
    if (step.afterGate) {
      // It follows the row as it stands, or what already hangs beside it and joined the row since.
      const here = last?.ranks === own.length ? last : undefined
      const row = own.at(-1) ?? []
      const together = here !== undefined && step.parallel
      const follows = together
        ? here.follows
        : here
          ? [...here.steps, ...row.filter((one) => one.order > (here.steps[0]?.order ?? ''))]
          : row
      if (together) here.steps.push(step)
      else hung.set(step.jobId, { steps: [step], follows: [...follows], ranks: own.length })
      for (const from of follows)
        aside.push({ from, to: step, hours: 0, most: from.maxWaitHours, once: step.beginsOnce })
    } else if (step.parallel && own.length > 0) own.at(-1)?.push(step)
    else own.push([step])
  }
  const result = [...aside]
  const cross = (
    left: readonly Step[],
    right: readonly Step[],
    hours: number,
    most: (from: Step) => number | null,
    once: (to: Step) => Step['beginsOnce'] = (to) => to.beginsOnce,
  ) => {
    for (const from of left)
      for (const to of right) result.push({ from, to, hours, most: most(from), once: once(to) })
  }
  for (const own of ranks.values())
    own.forEach(
      (rank, index) =>
        index > 0 && cross(own[index - 1] ?? [], rank, 0, (from) => from.maxWaitHours),
    )
  // A job with nothing to do hands on what it waits for.
  const handedOn = (jobId: string, seen: ReadonlySet<string>): RefitRows['link'][number][] =>
    rows.link
      .filter((link) => link.fromJobId === jobId && planned.has(link.toJobId))
      .flatMap((link) =>
        ranks.has(link.toJobId) || seen.has(link.toJobId)
          ? [link]
          : handedOn(link.toJobId, new Set([...seen, link.toJobId])),
      )
  for (const [jobId, own] of ranks)
    for (const link of handedOn(jobId, new Set())) {
      const named = (id: string, stepId: string | null) =>
        lists.filter((step) => step.jobId === id && step.id === stepId)
      const from = link.fromJobId === jobId ? named(jobId, link.fromStepId) : []
      const to = named(link.toJobId, link.toStepId)
      const all = ranks.get(link.toJobId) ?? []
      const first = all.find((rank) => rank.some((step) => step.state !== 'done')) ?? all[0] ?? []
      cross(
        // Of a job that is all after its gate, what hangs there is waited for.
        from.length > 0 ? from : (own.at(-1) ?? hung.get(jobId)?.steps ?? []),
        to.length > 0 ? to : first,
        link.minWaitHours,
        () => link.maxWaitHours,
        () => link.once,
      )
    }
  return result
}

export function sequence(
  rows: RefitRows,
  placed: ReadonlyMap<string, Placement>,
  stepOf: ReadonlyMap<string, Step>,
): string[] {
  return pairs(rows).flatMap(({ from, to, hours, once }) => {
    const start = placed.get(to.id)?.segments[0]?.[0]
    if (start === undefined || !stepOf.has(to.id)) return []
    const finish = placed.get(from.id)?.segments.at(-1)?.[1]
    if (from.state !== 'done' && finish === undefined)
      return [`${to.title} is placed, and ${from.title} before it is not`]
    const ready =
      from.state === 'done'
        ? readyAfter(from, rows, once)
        : (finish ?? 0) + waitHours(from, finish ?? 0, rows, once) * hour
    const over = ready + hours * hour
    // A clock is read minute by minute here and by the quarter hour there.
    return start < over - 2 * minute
      ? [`${to.title} starts before ${from.title} and its wait are over`]
      : []
  })
}
