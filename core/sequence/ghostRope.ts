/** The rope where another plan would have it: the same links on their seams, at the times of that plan. */
import { dayNumber } from '../time/civil'
import type { ZoneClock } from '../time/zone'
import { ropeAlong, ropePath } from './rope'
import { xOf } from './ruler'
import type { Scene } from './scene'

/** What a change would do to a gate and to the steps before it. */
export interface Ghost {
  /** When the gate would be, civil date. */
  readonly on: string
  /** Steps on another day, and when they would begin, UTC ms; null: they would have no place. */
  readonly moved: ReadonlyMap<string, number | null>
}

export interface GhostRope {
  /** Where the post would stand; null: outside the picture. */
  readonly postX: number | null
  readonly path: string
  /** Only where it lies on seams. */
  readonly along: string
}

/** Minutes of its day at which the post of a date stands. */
const postMinutes = 600

export function ghostRope(
  { ruler, links }: Pick<Scene, 'ruler' | 'links'>,
  { on, moved }: Ghost,
  clock: ZoneClock,
): GhostRope {
  const at = clock.at(dayNumber(on), postMinutes)
  const postX = at < ruler.from || at > ruler.to ? null : xOf(ruler, at)
  const points = links
    .flatMap(({ stepId, x, y }) => {
      const to = stepId === null ? undefined : moved.get(stepId)
      return to === null ? [] : [{ x: to === undefined ? x : xOf(ruler, to), y }]
    })
    .sort((a, b) => a.x - b.x)
  const last = points.at(-1)
  const whole = last && postX !== null ? [...points, { x: postX, y: last.y }] : points
  return { postX, path: ropePath(whole), along: ropeAlong(whole) }
}
