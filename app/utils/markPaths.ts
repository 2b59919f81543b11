import { severityName } from '#core/plan/priority'
import type { Fill } from '#core/walk/marks'

/** One piece of a mark, in a box of 26 by 22. */
export interface MarkPiece {
  readonly d: string
  readonly fill: string
  readonly stroke: string
  readonly width: number
}

interface Cut {
  readonly block: readonly string[]
  /** What is missing: filled by a wedge that is driven flush. */
  readonly gap: string
  /** A wedge that stands proud. */
  readonly wedge: string
  readonly fill: string
  readonly stroke: string
  readonly width: number
}

/** Deeper means worse: a scratch, half way, right through, and torn apart. */
const cuts: readonly Cut[] = [
  {
    block: ['M1.5 20.5V2L7 7H19L24.5 2V20.5Z'],
    gap: 'M1.5 2L7 7H19L24.5 2Z',
    wedge: 'M8.5 -3H17.5L13 8Z',
    fill: 'var(--sheet)',
    stroke: 'var(--ink)',
    width: 2,
  },
  {
    block: ['M1.5 20.5V2H5.5L13 13L20.5 2H24.5V20.5Z'],
    gap: 'M5.5 2H20.5L13 13Z',
    wedge: 'M8 -3H18L13 13Z',
    fill: 'var(--rule2)',
    stroke: 'var(--ink)',
    width: 2,
  },
  {
    block: ['M1.5 20.5V2H6L10 20.5Z', 'M24.5 20.5V2H20L16 20.5Z'],
    gap: 'M6 2H20L16 20.5H10Z',
    wedge: 'M8 -3H18L13 17Z',
    fill: 'var(--redlead-tint)',
    stroke: 'var(--redlead)',
    width: 2.4,
  },
  {
    block: ['M1.5 20.5V2H8L10.5 8L6.5 13L10.5 20.5Z', 'M24.5 20.5V2H18L15.5 8L19.5 13L15.5 20.5Z'],
    gap: 'M8 2H18L15.5 8L19.5 13L15.5 20.5H10.5L6.5 13L10.5 8Z',
    wedge: 'M8 -3H18L13 17Z',
    fill: 'var(--redlead)',
    stroke: 'var(--redlead)',
    width: 2,
  },
]

/** The pieces of a mark in the order in which they are drawn. Severity 1 to 4. */
export function markPieces(severity: number, fill: Fill): MarkPiece[] {
  const cut = cuts[Math.min(4, Math.max(1, severity)) - 1] as Cut
  const ink = 'var(--ink)'
  const mended = fill === 'mended'
  const body = cut.block.map((d): MarkPiece =>
    mended
      ? { d, fill: 'var(--sheet)', stroke: ink, width: 2 }
      : { d, fill: cut.fill, stroke: cut.stroke, width: cut.width },
  )
  if (mended) return [...body, { d: cut.gap, fill: 'var(--brass)', stroke: ink, width: 1.6 }]
  if (fill === 'job')
    return [...body, { d: cut.wedge, fill: 'var(--verdigris)', stroke: 'var(--sheet)', width: 1.2 }]
  if (fill === 'watched')
    return [...body, { d: 'M-1.5 -1H27.5V4H-1.5Z', fill: 'var(--sheet)', stroke: ink, width: 1.6 }]
  if (fill === 'accepted')
    return [...body, { d: 'M-1 22L27 0', fill: 'none', stroke: ink, width: 2.6 }]
  return body
}

export const fillWords: Readonly<Record<Fill, string>> = {
  none: 'no word yet',
  job: 'job in the plan',
  watched: 'watched',
  accepted: 'accepted',
  mended: 'mended',
}
/** "2 fails, no word yet": a mark for those who do not see it. */
export const sayMark = (severity: number, fill: Fill, many = 1): string =>
  `${many > 1 ? `${many} ` : ''}${severityName[severity - 1] ?? ''}, ${fillWords[fill]}`
