import { compileProblem } from './compiled'
import type { Answer, Member, Problem } from './problem'
import type { Interval } from '../../../time/intervals'

/** A reason in words, with the names it is about. */
interface Reason {
  readonly kind: Member['kind']
  readonly message: string
  readonly from?: string
  readonly to?: string
  readonly activity?: string
  readonly resource?: string
}

/** An answer as it is printed; see docs/kernel.md. */
export interface Report {
  readonly status: Answer['status']
  readonly makespan?: number
  readonly lateness?: number
  readonly starts?: Readonly<Record<string, number>>
  /** Only of activities that pause. */
  readonly segments?: Readonly<Record<string, readonly Interval[]>>
  /** Only of activities with a choice: position in its list. */
  readonly modes?: Readonly<Record<string, number>>
  readonly bound?: number
  readonly proved?: boolean
  readonly reasons?: readonly Reason[]
  readonly irreducible?: boolean
}

/** What was found, by the names of the problem. */
export function reportOf(problem: Problem, answer: Answer): Report {
  if (answer.status === 'unknown') return { status: 'unknown', bound: answer.bound }
  if (answer.status === 'infeasible')
    return {
      status: 'infeasible',
      reasons: answer.members.map((member) => sayMember(problem, member)),
      irreducible: answer.irreducible,
    }
  const { plan, bound, proved } = answer
  const compiled = compileProblem(problem)
  const named = <Value>(list: readonly (readonly [number, Value])[]) =>
    Object.fromEntries(list.map(([index, value]) => [problem.activities[index]?.id ?? '', value]))
  const chosen = plan.modes.map((mode, index) => [index, mode] as const)
  const segments = plan.starts.flatMap((start, index) => {
    const all =
      compiled.activities[index]?.modes[plan.modes[index] as number]?.calendar.segments(start) ?? []
    return problem.activities[index]?.splittable ? [[index, all] as const] : []
  })
  const choices = chosen.filter(([index]) => (problem.activities[index]?.modes.length ?? 0) > 1)
  return {
    status: 'feasible',
    makespan: plan.cost[1],
    ...(problem.deadlines.length > 0 ? { lateness: plan.cost[0] } : {}),
    starts: named(plan.starts.map((start, index) => [index, start] as const)),
    ...(segments.length > 0 ? { segments: named(segments) } : {}),
    ...(choices.length > 0 ? { modes: named(choices) } : {}),
    bound,
    proved,
  }
}

/** A part of a problem in words. */
function sayMember(problem: Problem, member: Member): Reason {
  switch (member.kind) {
    case 'minLag':
    case 'maxLag': {
      const arc = problem.arcs[member.arc]
      const [from, to] = [arc?.from ?? '', arc?.to ?? '']
      const { kind } = member
      const message =
        kind === 'maxLag'
          ? `"${to}" starts at most ${arc?.maxLag ?? 0} after "${from}" ends.`
          : arc?.earliestAfter
            ? `"${to}" waits for "${from}" by its table.`
            : `"${to}" starts at least ${arc?.minLag ?? 0} after "${from}" ends.`
      return { kind, from, to, message }
    }
    case 'windows': {
      const activity = problem.activities[member.activity]?.id ?? ''
      return { kind: 'windows', activity, message: `"${activity}" is done within its windows.` }
    }
    case 'resource': {
      const resource = problem.resources[member.resource]?.id ?? ''
      return { kind: 'resource', resource, message: `"${resource}" gives no more than it has.` }
    }
    case 'horizon':
      return { kind: 'horizon', message: `All is finished by ${problem.horizon ?? 0}.` }
  }
}
