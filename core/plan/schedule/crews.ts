import type { Activity } from './compile'

/** Enough for six people in pairs; beyond it the first ones stand for the rest. */
const mostCrews = 24

/** Every crew a step may have, small ones first, people in their order. */
export function crewsOf(activity: Activity): number[][] {
  const { capable, crewMin, crewMax } = activity
  const crews: number[][] = []
  const extend = (crew: number[], next: number, size: number) => {
    if (crews.length >= mostCrews) return
    if (crew.length === size) {
      crews.push(crew)
      return
    }
    for (let i = next; i < capable.length; i++) extend([...crew, capable[i] as number], i + 1, size)
  }
  for (let size = crewMin; size <= Math.min(crewMax, capable.length); size++) extend([], 0, size)
  return crews
}
