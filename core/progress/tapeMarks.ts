/** Where the marks of a tape stand: the one sum for the Tape over every view and the one a new refit begins with. */

export interface TapeMarks {
  /** Place of an inch, px from the left end. */
  readonly x: (inch: number) => number
  readonly ticks: readonly { readonly x: number; readonly length: number }[]
  /** Inches that carry a number, as many as have room. */
  readonly numbers: readonly number[]
}

/** Room that a number takes, px, and the ends that are left clear. */
const [numberWide, clearLeft, clearRight] = [52, 24, 20]

/** Marks from one inch to another (`to` beyond `from`) over so many px, 1 px inside either end. */
export function tapeMarks(from: number, to: number, widthPx: number): TapeMarks {
  const x = (inch: number) => ((inch - from) / (to - from)) * (widthPx - 2) + 1
  const inchesAPx = (to - from) / widthPx
  const step = inchesAPx > 0.35 ? 3 : inchesAPx > 0.25 ? 2 : 1
  const ticks: { x: number; length: number }[] = []
  for (let inch = Math.ceil(from / step) * step; inch <= to; inch += step)
    ticks.push({ x: x(inch), length: inch % 12 === 0 ? 16 : inch % 6 === 0 ? 11 : 7 })
  const each = [12, 24, 48, 96].find((one) => one / inchesAPx >= numberWide) ?? 96
  const numbers: number[] = []
  for (let inch = Math.max(each, Math.ceil(from / each) * each); inch < to - each / 3; inch += each)
    if (x(inch) > clearLeft && x(inch) < widthPx - clearRight) numbers.push(inch)
  return { x, ticks, numbers }
}
