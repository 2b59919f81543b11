/** A supplier's price list: what each column holds, what each row says, and which parts it is about. */
import type { ChangeItem } from '../model/changes'
import type { Row } from '../model/entities'
import { patchOf } from '../model/removal'
import { parseMoney } from '../money/money'
import { isToBuy } from '../stores/thingAt'
import { readNumber } from '../units/parsed'
import { problemsOf } from '../result'
import { likeness } from './likeness'
import type { ListRow } from './readJobs'

type Part = Row<'part'>

export const priceColumns = ['name', 'size', 'price', 'pack', 'unit', 'days', 'skip'] as const
export type PriceColumn = (typeof priceColumns)[number]

export const priceColumnName: Readonly<Record<PriceColumn, string>> = {
  name: 'What',
  size: 'Size',
  price: 'Price of a pack',
  pack: 'In a pack',
  unit: 'Unit',
  days: 'Days until it is here',
  skip: 'Nothing we need',
}

const heads: Readonly<Record<Exclude<PriceColumn, 'skip'>, RegExp>> = {
  name: /^(what|name|article|item|product|description|text|part)\b/i,
  size: /^(size|dimensions?|measure)/i,
  price: /\b(price|cost|net|each|eur|gbp|usd)\b|[€£$]/i,
  pack: /\b(pack|content|per)\b|^(qty|quantity)/i,
  unit: /^(unit|uom)/i,
  days: /\b(days?|lead|delivery)\b/i,
}

/** Guesses what each column holds from its heading; what is guessed once is guessed no more. */
export function guessPriceColumns(header: readonly string[]): PriceColumn[] {
  const taken = new Set<PriceColumn>()
  const guess = header.map((cell): PriceColumn => {
    const found = priceColumns.find(
      (one) => one !== 'skip' && !taken.has(one) && heads[one].test(cell.trim()),
    )
    if (!found) return 'skip'
    taken.add(found)
    return found
  })
  if (!taken.has('name') && guess.length > 0) guess[Math.max(0, guess.indexOf('skip'))] = 'name'
  return guess
}

/** One row of a list. */
export interface PriceLine {
  readonly line: number
  readonly name: string
  readonly size: string
  /** Of a whole pack, minor units; null: the list does not say. */
  readonly priceMinor: number | null
  /** In the unit; null: sold as it is cut, or one by one. */
  readonly packSize: number | null
  readonly unit: string
  readonly leadDays: number | null
  readonly problems: readonly string[]
}

/** Reads rows of a list into lines, each with what is wrong with it. Sums are in `currency`. */
export function readPrices(
  table: readonly ListRow[],
  columns: readonly PriceColumn[],
  currency: string,
): PriceLine[] {
  const at = (row: ListRow, column: PriceColumn): string =>
    (row.cells[columns.indexOf(column)] ?? '').trim()
  return table.map((row): PriceLine => {
    const problems: string[] = []
    const name = at(row, 'name')
    if (name === '') problems.push('It has no name.')
    const price = readPrice(at(row, 'price'), currency, problems)
    const pack = readIn(at(row, 'pack'), 'a pack', { least: 0.001, most: 1e6 }, problems)
    const days = readIn(at(row, 'days'), 'days', { least: 0, most: 1000 }, problems)
    return {
      line: row.line,
      name,
      size: at(row, 'size'),
      priceMinor: price,
      packSize: pack,
      unit: at(row, 'unit'),
      leadDays: days === null ? null : Math.ceil(days),
      problems,
    }
  })
}

function readPrice(text: string, currency: string, problems: string[]): number | null {
  if (text === '') return null
  const read = parseMoney(text, currency)
  if (read.ok) return read.value
  problems.push(problemsOf(read)[0]?.message ?? `“${text}” is no price.`)
  return null
}

function readIn(
  text: string,
  of: string,
  { least, most }: { readonly least: number; readonly most: number },
  problems: string[],
): number | null {
  if (text === '') return null
  const number = readNumber(text)
  if (number !== null && number >= least && number <= most) return number
  problems.push(
    number === null
      ? `“${text}” is no number for ${of}.`
      : `${of === 'days' ? 'Days' : 'A pack'} of ${text} cannot be: from ${least} to ${most}.`,
  )
  return null
}

export interface PriceMatch {
  readonly line: PriceLine
  readonly part: Part
  /** 0 to 1; 1: the same words. */
  readonly like: number
  /** Of one, in the part's unit, minor units; null: no price. */
  readonly oneMinor: number | null
}

/** Names less alike than this have little to do with each other; over the other it is taken for the same thing. */
const [leastLike, same] = [0.45, 0.75]

/** What two names have to share besides letters: figures, which tell sizes apart. */
const figuresOf = (text: string): string => (text.match(/\d+([.,]\d+)?/g) ?? []).join(' ')

function likeOf(line: PriceLine, part: Part): number {
  const said = `${line.name} ${line.size}`.trim()
  const like = Math.max(
    likeness(said, `${part.name} ${part.size}`.trim()),
    likeness(line.name, part.name),
    part.boughtAs === '' ? 0 : likeness(line.name, part.boughtAs),
  )
  const [theirs, ours] = [figuresOf(said), figuresOf(`${part.name} ${part.size}`)]
  // Another bolt of the same make is not the bolt.
  return ours !== '' && theirs !== '' && ours !== theirs ? Math.min(like, same - 0.01) : like
}

/** For each part that is still to be bought the line that is likest to it. */
export function matchPrices(lines: readonly PriceLine[], parts: readonly Part[]): PriceMatch[] {
  const sound = lines.filter((line) => line.problems.length === 0)
  return parts.filter(isToBuy).flatMap((part): PriceMatch[] => {
    let best: PriceMatch | null = null
    for (const line of sound) {
      const like = likeOf(line, part)
      if (like < leastLike || (best !== null && like <= best.like)) continue
      const { priceMinor, packSize } = line
      const oneMinor = priceMinor === null ? null : Math.round(priceMinor / (packSize ?? 1))
      best = { line, part, like, oneMinor }
    }
    return best ? [best] : []
  })
}

/** Taken without asking; what is less alike is shown and left. */
export const isSame = ({ like }: PriceMatch): boolean => like >= same

/** Parts take price, pack, lead and supplier from their lines. */
export const priceChanges = (
  matches: readonly PriceMatch[],
  supplierId: string | null,
): ChangeItem[] =>
  matches.map(({ part, line, oneMinor }) =>
    patchOf('part', part, {
      ...(oneMinor === null ? {} : { priceMinor: oneMinor }),
      ...(line.packSize === null ? {} : { packSize: line.packSize }),
      ...(line.leadDays === null ? {} : { leadDays: line.leadDays, leadLateDays: null }),
      ...(supplierId === null ? {} : { supplierId }),
    }),
  )

/** Where price lists come from besides a file: the one door through which another source may be put in. */
export interface PriceFeed {
  readonly name: string
  /** Rows in the form of a list with headings; refused with a sentence when it cannot be had. */
  readonly rows: () => readonly (readonly string[])[]
}

/** A list made up for trying it out; it ships with the program and is nobody's. */
export const standInFeed: PriceFeed = {
  name: 'A made-up list',
  rows: () => [
    ['What', 'Size', 'Price', 'In a pack', 'Unit', 'Days'],
    ['Butyl tape', '', '11.40', '10', 'm', '0'],
    ['Sealant for below the waterline', '', '18.90', '1', 'cartridges', '0'],
    ['End-grain sealer', '', '26.00', '0.5', 'L', '0'],
    ['Two-part primer', '', '34.50', '0.75', 'L', '4'],
    ['Antifouling', '', '91.00', '2.5', 'L', '4'],
    ['Epoxy', '', '84.00', '5', 'kg', '6'],
    ['Epoxy barrier coat', '', '61.00', '1', 'L', '6'],
    ['Bolt M8 × 70 mm, A4', '', '9.80', '10', 'pieces', '2'],
    ['Bolt M10 × 50 mm, A4', '', '14.20', '10', 'pieces', '2'],
    ['Washer M8, A4', '', '3.10', '25', 'pieces', '2'],
    ['Hose clip, stainless', '', '8.60', '5', 'pieces', '0'],
    ['Tinned wire 2.5 mm²', '', '41.00', '25', 'm', '2'],
    ['Abrasive pads', '', '7.90', '10', 'pieces', '0'],
    ['Gloves, pairs', '', '16.80', '50', 'pairs', '0'],
  ],
}
