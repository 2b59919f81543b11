/** Two plans side by side: which steps are on another day. */
import type { StoredPlan } from '../model/stored'
import type { ZoneClock } from '../time/zone'

/** A step that one plan has on another day than the other. */
interface MovedStep {
  readonly stepId: string
  /** When it begins in either, UTC ms; null: it has no place there. */
  readonly from: number | null
  readonly to: number | null
}

export interface Moved {
  /** The farthest first; what gets or loses its place before all. */
  readonly steps: readonly MovedStep[]
  /** Steps that both plans have, so that a share can be said. */
  readonly of: number
}

type Laid = Pick<StoredPlan, 'placements'>

const beginsOf = ({ placements }: Laid): Map<string, number> =>
  new Map(placements.map((one) => [one.stepId, one.segments[0]?.[0] ?? one.readyAt]))

/** What is on another local day in `after` than in `before`, or has a place in one of them only. */
export function movedBetween(before: Laid, after: Laid, clock: ZoneClock): Moved {
  const [was, is] = [beginsOf(before), beginsOf(after)]
  const ids = new Set([...was.keys(), ...is.keys()])
  const steps = [...ids].flatMap((stepId): MovedStep[] => {
    const [from, to] = [was.get(stepId) ?? null, is.get(stepId) ?? null]
    const isSame = from !== null && to !== null && clock.dayOf(from) === clock.dayOf(to)
    return isSame ? [] : [{ stepId, from, to }]
  })
  const far = ({ from, to }: MovedStep) =>
    from === null || to === null ? Infinity : Math.abs(to - from)
  const byDistance = (a: MovedStep, b: MovedStep) => (far(a) === far(b) ? 0 : far(b) - far(a))
  return { steps: steps.sort(byDistance), of: ids.size }
}
