/** Time to the right: how instants stand on a drawing. */
export interface TimeScale {
  readonly from: number
  readonly to: number
  /** Left and right edge of the plot, drawing units. */
  readonly left: number
  readonly right: number
}

/** Where an instant stands; outside the stretch it stands outside the plot. */
export const xAt = ({ from, to, left, right }: TimeScale, at: number): number =>
  left + ((at - from) / (to - from)) * (right - left)

/** The same, kept on the plot. */
export const xInside = (scale: TimeScale, at: number): number =>
  Math.min(scale.right, Math.max(scale.left, xAt(scale, at)))
