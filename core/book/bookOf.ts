/** The boat's book: what was done, with what, how it was proved, how it comes apart, when to look again. Source: handbook 15. */
import type { Row } from '../model/entities'
import { groupBy, inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { bowToStern, riskOf } from '../launch/readiness'
import { checksDue } from '../log/checks'
import type { IsAfloat } from '../log/checks'
import { trialStates, verdictName } from '../log/trials'
import { formatMoney } from '../money/money'
import { sayFullDate } from '../time/say'
import { formatHours } from '../units/hours'
import { formatLength } from '../units/length'
import { formatQuantity } from '../units/quantity'
import type { Block, BookAsked } from './blocks'

type Sheet = Row<'asBuiltSheet'>

const heading = (level: 1 | 2 | 3 | 4, text: string): Block => ({ kind: 'heading', level, text })
const text = (said: string): Block[] => (said.trim() === '' ? [] : [{ kind: 'text', text: said }])
const table = (head: readonly string[], rows: readonly (readonly string[])[]): Block[] =>
  rows.length === 0 ? [] : [{ kind: 'table', head, rows }]

const momentWord = {
  before: 'Before',
  open: 'Open',
  after: 'After',
  found: 'Found',
  drawing: 'Drawing',
} as const
const outcomeWord = { notYet: 'not yet', passed: 'passed', failed: 'FAILED' } as const

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

function without(blocks: readonly Block[], clean: (said: string) => string): Block[] {
  return blocks.map((block): Block => {
    switch (block.kind) {
      case 'heading':
      case 'text':
        return { ...block, text: clean(block.text) }
      case 'list':
        return { ...block, items: block.items.map(clean) }
      case 'table':
        return { ...block, rows: block.rows.map((cells) => cells.map(clean)) }
      case 'picture':
        return { ...block, caption: clean(block.caption) }
    }
  })
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
  return asked.isForOthers ? without(blocks, nameless(rows)) : blocks
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
  return [
    heading(1, `${refit?.boatName ?? 'Her'}, the boat’s book`),
    ...text(
      `Made ${sayFullDate(today)}. ${told.length} ${told.length === 1 ? 'sheet' : 'sheets'}${asked.isForOthers ? '. Who did it and what it cost are left out; text typed by hand may still speak of money' : ''}.`,
    ),
    ...(isWhole ? sizes(rows) : []),
    heading(2, 'What is in it'),
    {
      kind: 'list',
      items: told.map((one) => `${numbers.get(one.id) ?? ''} ${one.title}`),
    },
    ...chapters.flatMap(({ name, sheets }) => [
      heading(2, name),
      ...sheets.flatMap((sheet) => sheetBlocks(rows, sheet, numbers.get(sheet.id) ?? '', asked)),
    ]),
    ...(isWhole ? openings(rows) : []),
    ...(isWhole ? trials(rows) : []),
    ...(isWhole ? looks(rows, today, isAfloat) : []),
    ...(isWhole ? bags(rows) : []),
    heading(2, 'Index'),
    {
      kind: 'list',
      items: [...told]
        .sort((a, b) => a.title.localeCompare(b.title, 'en', { numeric: true }))
        .map((one) => `${one.title}: ${numbers.get(one.id) ?? ''}`),
    },
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

function sheetBlocks(rows: RefitRows, sheet: Sheet, number: string, asked: BookAsked): Block[] {
  const units = rows.refit[0]?.units ?? 'metric'
  const currency = rows.refit[0]?.currency ?? 'EUR'
  const lines = inOrder(rows.asBuiltLine.filter((one) => one.sheetId === sheet.id))
  const tests = inOrder(rows.asBuiltTest.filter((one) => one.sheetId === sheet.id))
  const pictures = rows.picture
    .filter((one) => one.sheetId === sheet.id)
    .sort((a, b) => a.takenAt - b.takenAt)
  const read = (one: (typeof lines)[number] | (typeof tests)[number]) =>
    one.reading === null ? '' : formatQuantity(one.reading, one.readUnit, units)
  const facts = [
    sheet.doneOn === null ? '' : `Finished ${sayFullDate(sheet.doneOn)}`,
    asked.isForOthers ? '' : sheet.who,
    sheet.hours === null ? '' : formatHours(sheet.hours),
    asked.isForOthers || sheet.costMinor === null ? '' : formatMoney(sheet.costMinor, currency),
  ]
  const said = (one: (typeof lines)[number]) => [one.value, read(one)].filter(Boolean).join(', ')
  return [
    heading(3, `${number} ${sheet.title}`),
    ...text([sheet.where, facts.filter(Boolean).join(' · ')].filter(Boolean).join('. ')),
    ...table(
      ['With what', 'Amount', 'Batch and expiry'],
      lines
        .filter((one) => one.kind === 'material')
        .map((one) => [one.what, said(one), one.batch || 'not kept']),
    ),
    ...table(
      ['Sizes and settings', ''],
      lines.filter((one) => one.kind !== 'material').map((one) => [one.what, said(one)]),
    ),
    ...table(
      ['Test', 'Wanted', 'Found', ''],
      tests.map((one) => [
        one.what,
        one.expected,
        [read(one), one.measured].filter(Boolean).join(', '),
        outcomeWord[one.outcome],
      ]),
    ),
    ...pictures.map((one): Block => ({
      kind: 'picture',
      hash: one.hash,
      mime: one.mime,
      caption: [momentWord[one.moment], one.caption].filter(Boolean).join(': '),
    })),
    ...(sheet.takeApart === '' ? [] : [heading(4, 'To take it apart'), ...text(sheet.takeApart)]),
    ...(sheet.nextCheckOn === null
      ? []
      : text(
          `Look again ${sayFullDate(sheet.nextCheckOn)}: ${sheet.nextCheckWhat || sheet.title}.`,
        )),
  ]
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
