/** What may be said of a gate: one place, so that no view says more than is known. */
import type { Gate } from '../model/entities'
import { canBeDated } from '../plan/gateGaps'
import { sayDate } from '../time/say'
import type { Derived, GateFigures } from './derive'

type GateStanding =
  /** Nothing was planned yet. */
  | 'unplanned'
  /** Something it waits for has no place: it has no date. */
  | 'undated'
  /** It has a date, and some of its work is not in it. */
  | 'notBefore'
  | 'dated'

export interface GateSaid {
  readonly standing: GateStanding
  /** For the sentence under the Tape: "launch planned 22 May". */
  readonly short: string
  /** For a heading: "Launch keeps 22 May". */
  readonly title: string
  /** What keeps it from a date, in sentences. */
  readonly because: readonly string[]
  /** What its date does not count, in sentences. */
  readonly leavesOut: readonly string[]
}

const count = (many: number, one: string, more = `${one}s`): string =>
  `${many} ${many === 1 ? one : more}`

const mostNames = 2
/** '“Rudder” and “Stove”', '“Rudder”, “Stove” and 3 more'. */
function names(titles: readonly string[]): string {
  const shown = titles.slice(0, mostNames).map((title) => `“${title}”`)
  const more = titles.length - shown.length
  if (more > 0) return `${shown.join(', ')} and ${more} more`
  return shown.join(' and ')
}

function standingOf({ gap, plannedOn }: GateFigures): GateStanding {
  if (!gap) return 'unplanned'
  if (!canBeDated(gap)) return 'undated'
  if (plannedOn === null) return 'unplanned'
  return gap.withoutSteps.length > 0 || gap.comesAfter.length > 0 ? 'notBefore' : 'dated'
}

function becauseOf({ gap }: GateFigures, derived: Derived): string[] {
  if (!gap) return []
  const said = [...new Set(gap.reasons.map((reason) => reason.message))]
  const behind = derived.gates.find((one) => one.gate.id === gap.behindGateId)
  if (behind) said.push(`Some of its work comes after ${behind.gate.name}, which has no date.`)
  if (said.length === 0 && gap.missing.length > 0)
    said.push(`${count(gap.missing.length, 'step is', 'steps are')} not in the plan yet.`)
  return said
}

function leftOutOf({ gap, provisional }: GateFigures, derived: Derived): string[] {
  const said: string[] = []
  const bare = gap?.withoutSteps ?? []
  const late = gap?.comesAfter ?? []
  const forNow = provisional.map((step) => step.title)
  if (bare.length > 0)
    said.push(
      `${count(bare.length, 'job')} before it ${bare.length === 1 ? 'has' : 'have'} no steps: ${names(bare.map((job) => job.title))}.`,
    )
  if (late.length > 0)
    said.push(
      `${count(late.length, 'job')} that ${late.length === 1 ? 'belongs' : 'belong'} before it ${late.length === 1 ? 'does' : 'do'} not fit and ${late.length === 1 ? 'comes' : 'come'} after it: ${names(late.map((job) => job.title))}.`,
    )
  if (forNow.length > 0)
    said.push(
      `${count(forNow.length, 'thing is', 'things are')} only for the time being and to be made right before it: ${names(forNow)}.`,
    )
  if (derived.jobsToPlace > 0)
    said.push(
      `${count(derived.jobsToPlace, 'job is', 'jobs are')} not placed yet and ${derived.jobsToPlace === 1 ? 'counts' : 'count'} before no gate.`,
    )
  return said
}

/** A gate within a sentence: "the launch", and any other by the name it was given. */
export const gateInWords = ({ kind, name }: Pick<Gate, 'kind' | 'name'>): string =>
  kind === 'launch' ? `the ${name.toLowerCase()}` : name

/** Everything that may be said of a gate as things stand. */
export function sayGate(figures: GateFigures, derived: Derived): GateSaid {
  const { gate, plannedOn, aimedOn, daysLate, gap, hasWork } = figures
  const year = derived.today.slice(0, 4)
  const standing = standingOf(figures)
  const forNow =
    figures.provisional.length === 0
      ? ''
      : `, ${count(figures.provisional.length, 'thing')} only for now`
  const said = {
    standing,
    because: becauseOf(figures, derived),
    leavesOut: leftOutOf(figures, derived),
  }
  const name = gate.name
  const low = name.toLowerCase()
  const launch = gate.kind === 'launch'
  if (standing === 'unplanned')
    return { ...said, short: `${low} not planned yet`, title: `${name} is not planned yet` }
  if (standing === 'undated') {
    const things = Math.max(1, said.because.length)
    const what = launch ? 'cannot be launched as it stands' : `${low} cannot be dated as it stands`
    return {
      ...said,
      short: `${what}: ${count(things, 'thing stands', 'things stand')} in the way`,
      title: launch
        ? 'She cannot be launched as it stands'
        : `${name} cannot be dated as it stands`,
    }
  }
  const on = sayDate(plannedOn ?? '', year)
  if (standing === 'notBefore') {
    const bare = gap?.withoutSteps.length ?? 0
    const why =
      bare > 0
        ? `${count(bare, 'job has', 'jobs have')} no steps`
        : `${count(gap?.comesAfter.length ?? 0, 'job does', 'jobs do')} not fit`
    return {
      ...said,
      short: `${low} not before ${on}: ${why}${forNow}`,
      title: `${name}: not before ${on}`,
    }
  }
  const short = `${low} planned ${on}${forNow}`
  if (!hasWork)
    return {
      ...said,
      short: `${short}, with no work before it`,
      title: `${name}, ${on}: no work stands before it`,
    }
  if (aimedOn === null) return { ...said, short, title: `${name} is planned for ${on}` }
  return {
    ...said,
    short,
    title:
      (daysLate ?? 0) > 0
        ? `${name} is planned for ${on}, not ${sayDate(aimedOn, year)}`
        : `${name} keeps ${sayDate(aimedOn, year)}`,
  }
}
