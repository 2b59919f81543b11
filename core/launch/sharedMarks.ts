/** Marks on her side view where there are many: those that would lie over one another share one. */
import type { ReadyState } from './readyItem'

/** The state that is seen of several: what stops her before all else, what is proven last. */
const worstFirst: readonly ReadyState[] = [
  ...(['stops', 'runs', 'look', 'skipped', 'ready', 'onDay', 'proven', 'notAboard'] as const),
]

interface Placed {
  readonly x: number
  readonly y: number
  readonly state: ReadyState
}

export interface SharedMark<Mark extends Placed> {
  readonly x: number
  readonly y: number
  /** The worst of them first. */
  readonly marks: readonly Mark[]
}

/** From the bow aft each mark joins the nearest group within so many px of its first, or begins one. */
export function sharedMarks<Mark extends Placed>(
  marks: readonly Mark[],
  leastPx: number,
): SharedMark<Mark>[] {
  const groups: { x: number; y: number; marks: Mark[] }[] = []
  for (const mark of [...marks].sort((a, b) => a.x - b.x)) {
    const away = ({ x, y }: Pick<Placed, 'x' | 'y'>) => Math.hypot(x - mark.x, y - mark.y)
    const near = groups.filter((one) => away(one) < leastPx).sort((a, b) => away(a) - away(b))[0]
    if (near) near.marks.push(mark)
    else groups.push({ x: mark.x, y: mark.y, marks: [mark] })
  }
  const rank = ({ state }: Placed) => worstFirst.indexOf(state)
  return groups.map((one) => ({ ...one, marks: [...one.marks].sort((a, b) => rank(a) - rank(b)) }))
}
