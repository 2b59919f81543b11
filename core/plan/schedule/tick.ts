import { minuteMs } from '../../time/civil'

/** Everything is placed on a grid of five minutes from the UTC epoch. */
export const tickMs = 5 * minuteMs

export const ceilTick = (instant: number): number => Math.ceil(instant / tickMs) * tickMs
