import { openAfterWanted } from './afterWanted'
import type { Pass, PassInput, PassOptions } from './pass'
import { beginning, copyOf } from './passState'
import type { PassState } from './passState'
import { layOn } from './refitPass'

/** What may be supposed of steps when a pass is laid again. */
type Supposing = Pick<PassOptions, 'dropped' | 'delayed'>

/** A pass as far as it was laid before a turn. */
interface Checkpoint {
  readonly turn: number
  readonly state: PassState
}

/** So many checkpoints along a pass: each is a copy of what is laid. */
const mostCheckpoints = 16

/**
 * A pass in one order, laid again and again with something else supposed of some steps. Each time it goes on from the
 * last checkpoint before anything asked about one of them, and gives what a pass laid from the start gives. The
 * plan of a step is asked about when its turn comes, and earlier where a step before it looks ahead for its bond windows.
 */
export function relaying(
  input: PassInput,
  rankOf: ArrayLike<number>,
): (supposing: Supposing) => Pass {
  const every = Math.max(1, Math.floor(input.compiled.activities.size / mostCheckpoints))
  const checkpoints: Checkpoint[] = []
  /** Turn at which a step was first asked about. */
  const firstAsked = new Map<string, number>()
  let turn = -1
  const base = layOn(
    input,
    beginning(input, rankOf, null),
    {},
    {
      turn(state) {
        turn++
        if (turn % every === 0) checkpoints.push({ turn, state: copyOf(state) })
      },
      asked(id) {
        if (!firstAsked.has(id)) firstAsked.set(id, turn)
      },
    },
  )
  const before = (ids: readonly string[]): Checkpoint | undefined => {
    const first = Math.min(...ids.map((id) => firstAsked.get(id) ?? Infinity))
    return first === Infinity ? undefined : checkpoints.findLast((one) => one.turn <= first)
  }
  return (supposing) =>
    openAfterWanted(input.compiled, supposing, (options) => {
      const { dropped = [], delayed = new Map(), putOff = new Map() } = options
      const from = before([...dropped, ...delayed.keys(), ...putOff.keys()])
      return from ? layOn(input, copyOf(from.state), options) : base
    })
}
