/** Can we do this job ourselves? Skills, tools, dangers, licences, and our hours against a trade's price. */
import { fieldOf } from '../model/references'
import { sayChoice } from '../model/sayValue'
import type { Job, Step } from '../model/entities'
import type { LicensedKind, Skill } from '../model/words'
import { inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { jobCosts } from '../money/jobCost'
import { cautionList, factsOf } from '../plan/facts'
import { isOpen, plannedHours } from '../plan/planned'
import { hasSkill } from '../plan/skillGaps'

export const licensedName = (kind: LicensedKind): string =>
  sayChoice(fieldOf('step', 'licensedKind'), kind)

interface SkillNeed {
  readonly skill: Skill
  /** Open planned hours that ask for it. */
  readonly hours: number
  readonly who: readonly string[]
}
interface Danger {
  readonly caution: string
  readonly steps: readonly string[]
}
interface LicenceNeed {
  readonly kind: LicensedKind
  /** True where the user said that it takes a licensed person. */
  readonly here: boolean
  readonly steps: readonly string[]
}
export interface CanDo {
  readonly skills: readonly SkillNeed[]
  readonly mostHands: number
  readonly handsThere: number
  readonly tools: readonly { readonly what: string; readonly at: string }[]
  readonly dangers: readonly Danger[]
  readonly licences: readonly LicenceNeed[]
  readonly ownHours: number
  /** Hours at the own rate and parts, minor units; null: no rate was set. */
  readonly ownCostMinor: number | null
  readonly partsMinor: number
  readonly tradePriceMinor: number | null
  /** What an own hour would save against the trade, minor units; null: no price, or no hours. */
  readonly savedPerHourMinor: number | null
  /** What stands against it, in words; empty: nothing. */
  readonly against: readonly string[]
}

function gathered(steps: readonly Step[], of: (step: Step) => readonly string[]): Danger[] {
  const found = new Map<string, string[]>()
  for (const step of steps) {
    for (const key of of(step)) found.set(key, [...(found.get(key) ?? []), step.title])
  }
  return [...found].map(([caution, titles]) => ({ caution, steps: titles }))
}

/** Judges the open steps of a job against the people, tools and rules of the refit. */
export function canDo(rows: RefitRows, job: Job): CanDo {
  const steps = inOrder(rows.step.filter((step) => step.jobId === job.id && isOpen(step)))
  const own = steps.filter((step) => !factsOf(step).byOthers)
  const people = rows.person.filter((person) => !person.gone && person.role !== 'trade')
  const skills = [...new Set(own.map((step) => step.skill))].map((skill) => ({
    skill,
    hours: own
      .filter((step) => step.skill === skill)
      .reduce((sum, step) => sum + plannedHours(step), 0),
    who: people.filter((person) => hasSkill(person, skill)).map((person) => person.name),
  }))
  const [here, refit] = [new Set(rows.refit[0]?.licensedHere ?? []), rows.refit[0]]
  const kinds = [...new Set(steps.flatMap((step) => step.licensedKind ?? []))]
  const licences = kinds.map((kind) => ({
    kind,
    here: here.has(kind),
    steps: steps.filter((step) => step.licensedKind === kind).map((step) => step.title),
  }))
  const ids = new Set(steps.map((step) => step.id))
  const tools = rows.bringLine
    .filter((line) => line.kind === 'tool' && ids.has(line.stepId))
    .map(({ what, at }) => ({ what, at }))
  const ownHours = own.reduce((sum, step) => sum + plannedHours(step), 0)
  const partsMinor = jobCosts(rows)(job.id).partsMinor
  const rate = refit?.ownHourMinor ?? null
  const price = job.tradePriceMinor
  const mostHands = Math.max(0, ...own.map((step) => step.crewMin))
  return {
    skills,
    mostHands,
    handsThere: people.length,
    tools: tools.filter((tool, at) => tools.findIndex((one) => one.what === tool.what) === at),
    dangers: gathered(own, cautionList),
    licences,
    ownHours,
    ownCostMinor: rate === null ? null : Math.round(ownHours * rate) + partsMinor,
    partsMinor,
    tradePriceMinor: price,
    savedPerHourMinor:
      price === null || ownHours === 0 ? null : Math.round((price - partsMinor) / ownHours),
    against: [
      ...licences
        .filter((one) => one.here)
        .map((one) => `${licensedName(one.kind)}: takes a licensed person where she lies.`),
      ...skills
        .filter((one) => one.who.length === 0)
        .map((one) => `Nobody here has the skill: ${one.skill}.`),
      ...(mostHands > people.length
        ? [`It takes ${mostHands} at once; there are ${people.length}.`]
        : []),
    ],
  }
}
