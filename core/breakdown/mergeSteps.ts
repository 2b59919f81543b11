import type { ChangeItem } from '../model/changes'
import type { Step } from '../model/entities'
import type { RefitRows } from '../model/refit'
import { references } from '../model/references'
import { deletion, patchOf, plainRows } from '../model/removal'
import { hullReader } from '../plan/hullNeed'
import { roundHours } from '../plan/planned'
import { accepted, refused } from '../result'
import type { Outcome } from './outcome'

/** Low and high where they were not given, as shares of the likely hours. Source: handbook 5. */
const usualLow = 0.8
const usualHigh = 2.5

/** Why two steps are two: what one asks for, the other forbids. Null: they may be one. */
function apart(first: Step, second: Step, rows: RefitRows): string | null {
  if (first.jobId !== second.jobId) return 'They belong to different jobs. Merge the jobs.'
  if (first.state === 'done' || second.state === 'done')
    return 'One of them is done. Reopen it, or leave them apart.'
  if (first.operation !== second.operation)
    return 'They are different kinds of work, and each has its own cautions and rules. Leave them apart, or make them the same kind first.'
  if (first.placeNeed !== second.placeNeed) return 'They are done in different places.'
  const hullOf = hullReader(rows)
  const [a, b] = [hullOf(first), hullOf(second)]
  if (a !== b && a !== 'either' && b !== 'either')
    return `One is done ${a === 'slings' ? 'in the slings' : a}, the other ${b === 'slings' ? 'in the slings' : b}.`
  if (countedApart(first, second))
    return 'They are counted, read or repeated in different ways. Leave them apart.'
  if (first.afterGate !== second.afterGate)
    return 'One comes after the gate and the other before it.'
  if (first.skill !== second.skill && first.skill !== 'general' && second.skill !== 'general')
    return `One takes ${first.skill}, the other ${second.skill}.`
  if (
    first.licensedKind !== null &&
    second.licensedKind !== null &&
    first.licensedKind !== second.licensedKind
  )
    return `They take different licences: ${first.licensedKind} and ${second.licensedKind}.`
  if (
    first.wantedPersonId !== null &&
    second.wantedPersonId !== null &&
    first.wantedPersonId !== second.wantedPersonId
  )
    return 'They are kept for different people.'
  return null
}

/** Fields that say how a step is counted, read and repeated: one step can have only one of each. */
const doing = [
  'unitName',
  'unitCount',
  'readWhat',
  'readUnit',
  'readLow',
  'readHigh',
  'readFailAt',
  'readDry',
  'roundsLikely',
  'roundsMost',
  'untilGood',
  'provisionalFor',
] as const
const countedApart = (first: Step, second: Step): boolean =>
  first.unitCount !== null || doing.some((field) => first[field] !== second[field])

/** Hours of a wait at 20 °C, to see which of two is the longer. */
const waitAt20 = (step: Step): number =>
  step.waitKind === 'none'
    ? 0
    : step.waitHours * (step.waitKind === 'chem' ? 2 ** ((step.waitRefC - 20) / 10) : 1)

const greatest = (a: number | null, b: number | null): number | null =>
  a === null || b === null ? (a ?? b) : Math.max(a, b)
const least = (a: number | null, b: number | null): number | null =>
  a === null || b === null ? (a ?? b) : Math.min(a, b)
const later = (a: string | null, b: string | null): string | null =>
  a === null || b === null ? (a ?? b) : a > b ? a : b
const earlier = (a: string | null, b: string | null): string | null =>
  a === null || b === null ? (a ?? b) : a < b ? a : b

/** Likely, low and high of both together: as they stand with equal access, else as planned, in the open. */
function hoursOf(first: Step, second: Step) {
  const same = first.access === second.access
  const factor = (step: Step) =>
    same || step.hoursLikely === 0 ? 1 : roundHours(step) / step.hoursLikely
  const sum = (of: (step: Step) => number) =>
    Number((of(first) * factor(first) + of(second) * factor(second)).toFixed(4))
  const some = (field: 'hoursLow' | 'hoursHigh') => first[field] !== null || second[field] !== null
  return {
    access: same ? first.access : ('open' as const),
    hoursLikely: sum((step) => step.hoursLikely),
    hoursLow: some('hoursLow') ? sum((step) => step.hoursLow ?? step.hoursLikely * usualLow) : null,
    hoursHigh: some('hoursHigh')
      ? sum((step) => step.hoursHigh ?? step.hoursLikely * usualHigh)
      : null,
  }
}

/**
 * Puts two steps of a kind that follow each other together: hours add up with their access, and the stricter
 * of the two holds in everything else: hull, licence, skill, weather, temperature, date, crew, the longer
 * wait. Refused, with the reason, where what one asks for the other forbids.
 */
export function mergeSteps(rows: RefitRows, first: Step, second: Step): Outcome {
  const reason = apart(first, second, rows)
  if (reason !== null) return refused(reason)
  const wait = waitAt20(second) >= waitAt20(first) ? second : first
  const maxWaitHours = least(first.maxWaitHours, second.maxWaitHours)
  if (maxWaitHours !== null && wait.waitKind !== 'none' && maxWaitHours < wait.waitHours)
    return refused('The bond window of one shuts before the wait of the other is over.')
  const hullOf = hullReader(rows)
  const strict = hullOf(first) === 'either' ? second : first
  const oneGo = first.splittable === false || second.splittable === false
  return accepted({
    said: 'Merged; what hung on the second hangs on the first.',
    items: [
      patchOf('step', first, {
        ...hoursOf(first, second),
        title: `${first.title}; ${second.title}`.slice(0, 300),
        crewMin: Math.max(first.crewMin, second.crewMin),
        crewMax: Math.max(first.crewMax, second.crewMax),
        skill: first.skill === 'general' ? second.skill : first.skill,
        licensedKind: first.licensedKind ?? second.licensedKind,
        wantedPersonId: first.wantedPersonId ?? second.wantedPersonId,
        hullNeed: strict.hullNeed,
        needsDry: first.needsDry || second.needsDry,
        minTempC: greatest(first.minTempC, second.minTempC),
        maxTempC: least(first.maxTempC, second.maxTempC),
        proveOnOne: first.proveOnOne || second.proveOnOne,
        noNeighbours: first.noNeighbours || second.noNeighbours,
        notBefore: later(first.notBefore, second.notBefore),
        dueBy: earlier(first.dueBy, second.dueBy),
        splittable: oneGo ? false : (first.splittable ?? second.splittable),
        forHelpers: first.forHelpers && second.forHelpers,
        waitKind: wait.waitKind,
        waitHours: wait.waitHours,
        waitRefC: wait.waitRefC,
        waitMinC: wait.waitMinC,
        windowKind: wait.windowKind,
        bedDepthMm: greatest(first.bedDepthMm, second.bedDepthMm),
        productId: wait.productId ?? first.productId ?? second.productId,
        maxWaitHours,
        caution: [...new Set([first.caution, second.caution])]
          .filter(Boolean)
          .join(' ')
          .slice(0, 1000),
      }),
      ...movedOver(rows, first, second),
      deletion('step', second),
    ],
  })
}

/** What hung on the second step, hung on the first; where both are in a list, the first stays. */
function movedOver(rows: RefitRows, first: Step, second: Step): ChangeItem[] {
  return references
    .filter(({ to }) => to === 'step')
    .flatMap(({ from, field, many }) =>
      plainRows(rows, from).flatMap((row): ChangeItem[] => {
        const value = row[field]
        if (!many) return value === second.id ? [patchOf(from, row, { [field]: first.id })] : []
        const list = value as readonly string[]
        if (!list.includes(second.id)) return []
        const left = list.includes(first.id)
          ? list.filter((id) => id !== second.id)
          : list.map((id) => (id === second.id ? first.id : id))
        return [patchOf(from, row, { [field]: left })]
      }),
    )
}
