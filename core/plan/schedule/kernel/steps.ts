/** First position whose value is greater than `wanted` in a rising list. */
export function firstAbove(list: readonly number[], wanted: number): number {
  let [low, high] = [0, list.length]
  while (low < high) {
    const middle = (low + high) >> 1
    if ((list[middle] as number) > wanted) high = middle
    else low = middle + 1
  }
  return low
}

/** Position of the step that holds `t` in a rising list of beginnings; -1: before the first. */
export const stepAt = (at: readonly number[], t: number): number => firstAbove(at, t) - 1
