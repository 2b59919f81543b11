/** Pieces that several sums are made of. */
import { threads, threadOf } from '../fastening/threads'
import type { Thread } from '../fastening/threads'
import { pick } from './ask'
import type { Put } from './sum'
import type { At, Look, Shape } from './drawing'

/** The size of a bolt: its millimetres as a word, so that a choice keeps it. */
export const threadPick = <const Key extends string>(key: Key, label: string, initialMm: number) =>
  pick<Key, string>(
    key,
    label,
    String(initialMm),
    threads.map((one) => ({ value: String(one.sizeMm), label: one.name })),
  )

/** The thread of such a choice. Precondition: it is one of its options. */
export const threadAt = (value: string): Thread => threadOf(Number(value)) as Thread

export const yesNo = <const Key extends string>(
  key: Key,
  label: string,
  initial: 'yes' | 'no' = 'no',
) =>
  pick(key, label, initial, [
    { value: 'yes', label: 'Yes' },
    { value: 'no', label: 'No' },
  ])

export const box = (x: number, y: number, w: number, h: number, look: Look = {}): Shape => ({
  is: 'box',
  from: [x, y],
  size: [w, h],
  ...look,
})
export const path = (points: readonly At[], look: Look = {}): Shape => ({
  is: 'path',
  points,
  ...look,
})
export const shape = (corners: readonly At[], look: Look = {}): Shape => ({
  is: 'shape',
  corners,
  ...look,
})
export const text = (
  at: At,
  words: string,
  more: Partial<Omit<Extract<Shape, { is: 'text' }>, 'is' | 'at' | 'text'>> = {},
): Shape => ({ is: 'text', at, text: words, ...more })
export const length = (
  from: At,
  to: At,
  words: string,
  more: Partial<Omit<Extract<Shape, { is: 'length' }>, 'is' | 'from' | 'to' | 'text'>> = {},
): Shape => ({ is: 'length', from, to, text: words, ...more })
export const name = (
  at: At,
  words: string,
  side: 'left' | 'right',
  more: Partial<Pick<Extract<Shape, { is: 'name' }>, 'tone' | 'field'>> = {},
): Shape => ({ is: 'name', at, text: words, side, ...more })

/** A number without digits nobody can measure. */
export const round = (value: number, places = 1): number => Number(value.toFixed(places))
/** 90 → '01:30', past midnight '00:10 next day'. Minutes of the day, 0 and over. */
export function clockTime(minutes: number): string {
  const day = Math.floor(Math.round(minutes) / 1440)
  const of = Math.round(minutes) % 1440
  const said = `${String(Math.floor(of / 60)).padStart(2, '0')}:${String(of % 60).padStart(2, '0')}`
  return day === 0 ? said : day === 1 ? `${said} next day` : `${said}, ${day} days on`
}

/** '600 × 400 mm' of '600 mm' and '400 mm'; as they are where their units differ. */
export function by(one: string, other: string): string {
  const unit = / \S+$/.exec(other)?.[0]
  return unit !== undefined && one.endsWith(unit)
    ? `${one.slice(0, -unit.length)} × ${other}`
    : `${one} × ${other}`
}

/** Resin, hardener and powder as they are bought, kg; what there is none of is left out. Grams. */
export const mixParts = (mix: {
  readonly resinG: number
  readonly hardenerG: number
  readonly powderG: number
}): Put[] =>
  (
    [
      ['resin', 'Epoxy resin', mix.resinG],
      ['hardener', 'Epoxy hardener', mix.hardenerG],
      ['powder', 'Thickening powder', mix.powderG],
    ] as const
  )
    .filter(([, , grams]) => grams > 0)
    .map(([key, name, grams]) => ({
      is: 'part',
      key,
      name,
      quantity: round(grams / 1000, 3),
      unit: 'kg',
    }))
