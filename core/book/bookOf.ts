/** The boat's book: what was done, with what, how it was proved, how it comes apart, when to look again. Source: handbook 15. */
import type { Row } from '../model/entities'
import { groupBy, inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { bowToStern, riskOf } from '../launch/readiness'
import { checksDue } from '../log/checks'
import type { IsAfloat } from '../log/daysAfloat'
import { trialStates, verdictName } from '../log/trials'
import { sayFullDate } from '../time/say'
import { formatLength } from '../units/length'
import type { Block, BookAsked } from './blocks'
import { heading, table, text } from './make'
import { sheetBlock } from './sheetBlock'

type Sheet = Row<'asBuiltSheet'>

/** "P-03": the first letter of its system and its number in it. */
export function sheetNumbers(
  rows: Pick<RefitRows, 'system' | 'asBuiltSheet'>,
): Map<string, string> {
  const systems = inOrder(rows.system)
  const letters = new Map<string, string>()
  for (const system of systems) {
    const letter = system.name.slice(0, 1).toUpperCase()
    const taken = [...letters.values()]
    letters.set(system.id, taken.includes(letter) ? system.name.slice(0, 2).toUpperCase() : letter)
  }
  const numbers = new Map<string, string>()
  for (const [system, sheets] of groupBy(inTime(rows.asBuiltSheet), (one) => one.systemId ?? ''))
    sheets.forEach((one, index) =>
      numbers.set(one.id, `${letters.get(system) ?? 'X'}-${String(index + 1).padStart(2, '0')}`),
    )
  return numbers
}

const inTime = (sheets: readonly Sheet[]): Sheet[] =>
  [...sheets].sort((a, b) => {
    const [left, right] = [a.doneOn ?? '9', b.doneOn ?? '9']
    return left < right ? -1 : left > right ? 1 : a.id < b.id ? -1 : 1
  })

/** Text without the names of the refit's people, wherever somebody typed them. */
function nameless(rows: Pick<RefitRows, 'person'>): (said: string) => string {
  const names = rows.person
    .map((one) => one.name.trim())
    .filter((name) => name !== '')
    .map((name) => name.replace(/[.*+?^${}()|[\]\\]/g, '\\$&'))
  if (names.length === 0) return (said) => said
  const any = new RegExp(`(?<![\\p{L}\\p{N}])(${names.join('|')})(?![\\p{L}\\p{N}])`, 'giu')
  return (said) => said.replace(any, 'one of us')
}

/** Every text of blocks gone over; a drawing has none but its caption. */
function withTexts<One extends Block>(blocks: readonly One[], clean: (said: string) => string) {
  return blocks.map((block) => cleaned(block, clean) as One)
}

function cleaned(block: Block, clean: (said: string) => string): Block {
  switch (block.kind) {
    case 'heading':
    case 'text':
      return { ...block, text: clean(block.text) }
    case 'list':
      return { ...block, items: block.items.map(clean) }
    case 'sheets':
      return {
        ...block,
        sheets: block.sheets.map((one) => ({ ...one, title: clean(one.title) })),
      }
    case 'table':
      return { ...block, rows: block.rows.map((cells) => cells.map(clean)) }
    case 'picture':
    case 'drawing':
      return { ...block, caption: clean(block.caption) }
    case 'sheet':
      return {
        ...block,
        title: clean(block.title),
        chapter: clean(block.chapter),
        facts: clean(block.facts),
        sections: block.sections.map((one) => ({ ...one, blocks: withTexts(one.blocks, clean) })),
      }
  }
}

/**
 * The book in blocks. `today`: civil date it is made on. A copy for others has no lines of who and what it cost, and
 * the names of the refit's people stand nowhere in it.
 */
export function bookOf(
  rows: RefitRows,
  asked: BookAsked,
  today: string,
  isAfloat: IsAfloat,
): Block[] {
  const blocks = wholeBook(rows, asked, today, isAfloat)
  return asked.isForOthers ? withTexts(blocks, nameless(rows)) : blocks
}

function wholeBook(rows: RefitRows, asked: BookAsked, today: string, isAfloat: IsAfloat): Block[] {
  const refit = rows.refit[0]
  const isWhole = asked.systemId === null
  const systems = inOrder(rows.system).filter((one) => isWhole || one.id === asked.systemId)
  const numbers = sheetNumbers(rows)
  const bySystem = groupBy(inTime(rows.asBuiltSheet), (one) => one.systemId ?? '')
  const chapters = [
    ...systems.map((system) => ({ name: system.name, sheets: bySystem.get(system.id) ?? [] })),
    ...(isWhole ? [{ name: 'Of no system', sheets: bySystem.get('') ?? [] }] : []),
  ].filter((one) => one.sheets.length > 0)
  const told = chapters.flatMap((one) => one.sheets)
  const sheetList = (list: readonly Sheet[]): Block => ({
    kind: 'sheets',
    sheets: list.map((one) => ({ number: numbers.get(one.id) ?? '', title: one.title })),
  })
  return [
    heading(1, `${refit?.boatName ?? 'Her'}, the boat’s book`),
    ...text(
      `Made ${sayFullDate(today)}. ${told.length} ${told.length === 1 ? 'sheet' : 'sheets'}${asked.isForOthers ? '. Who did it and what it cost are left out; text typed by hand may still speak of money' : ''}.`,
    ),
    ...(isWhole ? sizes(rows) : []),
    heading(2, 'What is in it'),
    sheetList(told),
    ...chapters.flatMap(({ name, sheets }) => [
      { ...heading(2, name), isChapter: true } as Block,
      ...sheets.map((sheet) => sheetBlock({ rows, asked, numbers }, sheet, name)),
    ]),
    ...(isWhole ? openings(rows) : []),
    ...(isWhole ? trials(rows) : []),
    ...(isWhole ? looks(rows, today, isAfloat) : []),
    ...(isWhole ? bags(rows) : []),
    heading(2, 'Index'),
    sheetList([...told].sort((a, b) => a.title.localeCompare(b.title, 'en', { numeric: true }))),
  ]
}

function sizes({ refit: [refit] }: RefitRows): Block[] {
  if (!refit) return []
  const length = (metres: number | null) =>
    metres === null ? '' : formatLength(metres, refit.units)
  return table(
    ['Her', ''],
    [
      ['Length overall', length(refit.loaM)],
      ['Waterline', length(refit.lwlM)],
      ['Beam', length(refit.beamM)],
      ['Draught', length(refit.draughtM)],
      ['Height over the water', length(refit.airDraughtM)],
      ['Weight', refit.weightT === null ? '' : `${refit.weightT} t`],
      ['Built', refit.builtYear === null ? '' : String(refit.builtYear)],
    ].filter(([, said]) => said !== ''),
  )
}

function openings(rows: RefitRows): Block[] {
  const list = bowToStern(rows)
  if (list.length === 0) return []
  return [
    heading(2, 'Openings, bow to stern'),
    ...table(
      ['', 'Opening', 'Bore', 'Shut by', 'How to reach it', 'Lets in'],
      list.map((one, index) => [
        String(index + 1),
        one.title,
        one.boreMm === null ? '' : `${one.boreMm} mm`,
        one.shutBy,
        one.reach,
        riskOf(one, rows.refit[0]),
      ]),
    ),
  ]
}

function trials(rows: RefitRows): Block[] {
  const states = trialStates(rows)
  if (states.length === 0) return []
  return [
    heading(2, 'Trials'),
    ...states.flatMap(({ trial, ways, difference }) => [
      heading(3, trial.title),
      ...text(
        difference === null
          ? 'Not both were read yet.'
          : `${Math.round(difference.points)} points apart, give or take ${Math.round(difference.giveOrTake)} (4 chances in 5).${verdictName(trial) === '' ? '' : ` Next time: ${verdictName(trial)} first.`} ${trial.because}`,
      ),
      ...table(
        ['Way', 'On', trial.counted || 'Counted'],
        ways.flatMap((way) =>
          way.readings.map((one) => [
            way.name,
            sayFullDate(one.on),
            `${Math.round(one.share * trial.outOf)} of ${trial.outOf}`,
          ]),
        ),
      ),
    ]),
  ]
}

function looks(rows: RefitRows, today: string, isAfloat: IsAfloat): Block[] {
  const due = checksDue(rows, today, isAfloat)
  if (due.length === 0) return []
  return [
    heading(2, 'Look again'),
    ...table(
      ['What', 'When', ''],
      due.map((one) => [
        one.title,
        one.on === null ? '' : `${one.isLikely ? 'likely ' : ''}${sayFullDate(one.on)}`,
        one.by,
      ]),
    ),
  ]
}

function bags(rows: RefitRows): Block[] {
  const kept = inOrder(rows.bag).filter((one) => one.state !== 'fitted')
  if (kept.length === 0) return []
  return [
    heading(2, 'Stripped out and put away'),
    ...table(
      ['Bag', 'What is in it', 'Where'],
      kept.map((one) => [one.code, one.what, one.storedAt || 'nobody knows']),
    ),
    ...kept.flatMap((bag) => {
      const wires = inOrder(rows.bagWire.filter((one) => one.bagId === bag.id))
      return wires.length === 0
        ? []
        : [
            heading(4, `Wires of ${bag.code}`),
            ...table(
              ['From', 'To', 'Colour', 'Label'],
              wires.map((one) => [one.from, one.to, one.colour, one.label]),
            ),
          ]
    }),
  ]
}
