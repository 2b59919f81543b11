/** One as-built sheet as a page of the book. Source: handbook 15. */
import { completeness } from '../asbuilt/draft'
import type { Row } from '../model/entities'
import { byId, inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { formatMoney } from '../money/money'
import { sayFullDate } from '../time/say'
import { fittingMakeOf } from '../section/fittingMake'
import { fittingSection, halfShownMm, sayMake } from '../section/fittingSection'

import { capital } from '../units/counted'
import { formatHours } from '../units/hours'
import { formatQuantity } from '../units/quantity'
import type { BookAsked, PictureBlock, Section, SheetBlock } from './blocks'
import { table, text } from './make'
import { onPaper } from './onPaper'
import { whereDrawing } from './whereDrawing'

type Sheet = Row<'asBuiltSheet'>

/** Half of a page, mm. */
const mostWideMm = 80

const momentWord = {
  before: 'Before',
  open: 'Open',
  after: 'After',
  found: 'Found',
  drawing: 'Drawing',
} as const
const momentOrder = Object.keys(momentWord)
const outcomeWord = { notYet: 'not yet', passed: 'passed', failed: 'FAILED' } as const

/** What every page is made from, read once for the whole book. */
export interface BookFacts {
  readonly rows: RefitRows
  readonly asked: BookAsked
  readonly numbers: ReadonlyMap<string, string>
}

/** The place a sheet is about: that of its job. */
const placeOf = (sheet: Sheet, rows: Pick<RefitRows, 'job'>): string | null =>
  rows.job.find((one) => one.id === sheet.jobId)?.zoneId ?? null

/** Page of one sheet. `chapter`: the system it stands under. */
export function sheetBlock(facts: BookFacts, sheet: Sheet, chapter: string): SheetBlock {
  const { rows, asked, numbers } = facts
  const units = rows.refit[0]?.units ?? 'metric'
  const currency = rows.refit[0]?.currency ?? 'EUR'
  const lines = inOrder(rows.asBuiltLine.filter((one) => one.sheetId === sheet.id))
  const tests = inOrder(rows.asBuiltTest.filter((one) => one.sheetId === sheet.id))
  const read = (one: (typeof lines)[number] | (typeof tests)[number]) =>
    one.reading === null ? '' : formatQuantity(one.reading, one.readUnit, units)
  const said = (one: (typeof lines)[number]) => [one.value, read(one)].filter(Boolean).join(', ')
  const { have, want } = completeness(sheet, rows)
  return {
    kind: 'sheet',
    number: numbers.get(sheet.id) ?? '',
    title: sheet.title,
    chapter,
    path: `log/${sheet.id}`,
    facts: [
      sheet.doneOn === null ? '' : `Finished ${sayFullDate(sheet.doneOn)}`,
      asked.isForOthers ? '' : sheet.who,
      sheet.hours === null ? '' : formatHours(sheet.hours),
      asked.isForOthers || sheet.costMinor === null ? '' : formatMoney(sheet.costMinor, currency),
      have === want ? 'record whole' : `record ${have} of ${want}`,
    ]
      .filter(Boolean)
      .join(' · '),
    sections: [
      section('Where', 'left', where(sheet, rows)),
      ...throughABolt(sheet, rows),
      section(
        'Sizes and settings',
        'right',
        table(
          ['What', 'How much'],
          lines
            .filter((one) => one.kind !== 'material' && one.kind !== 'clock')
            .map((one) => [one.what, said(one)]),
        ),
      ),
      section(
        'With what',
        'wide',
        table(
          ['Material', 'Amount', 'Batch and expiry'],
          lines
            .filter((one) => one.kind === 'material')
            .map((one) => [one.what, said(one), one.batch || 'not kept']),
        ),
      ),
      section(
        'Cures as they ran',
        'left',
        table(
          ['Cure', 'As it ran'],
          lines.filter((one) => one.kind === 'clock').map((one) => [one.what, said(one)]),
        ),
      ),
      section(
        'Tests',
        'right',
        table(
          ['Test', 'Wanted', 'Found', 'Outcome'],
          tests.map((one) => [
            one.what,
            one.expected,
            [read(one), one.measured].filter(Boolean).join(', '),
            outcomeWord[one.outcome],
          ]),
        ),
      ),
      section('Pictures', 'wide', pictures(sheet, rows)),
      section('To take it apart', 'left', text(sheet.takeApart)),
      ...lookAgain(sheet),
      section('Next time', 'left', text(sheet.nextTime)),
      section('Belongs with', 'right', text(belongsWith(facts, sheet))),
    ].filter((one) => one.blocks.length > 0),
  }
}

const section = (title: string, at: Section['at'], blocks: Section['blocks']): Section => ({
  title,
  at,
  blocks,
})

const lookAgain = (sheet: Sheet): Section[] =>
  sheet.nextCheckOn === null
    ? []
    : [
        {
          ...section(
            `Look again ${sayFullDate(sheet.nextCheckOn)}`,
            'right',
            text(sheet.nextCheckWhat || sheet.title),
          ),
          isFramed: true,
        },
      ]

function where(sheet: Sheet, rows: RefitRows): Section['blocks'] {
  const refit = rows.refit[0]
  const zoneId = placeOf(sheet, rows)
  const svg = refit && zoneId !== null ? whereDrawing(refit, rows.zone, zoneId) : null
  if (svg === null) return text(sheet.where)
  return [{ kind: 'drawing', svg, caption: sheet.where || 'Where' }]
}

/** A section through one of its bolts, to a scale that is said, where the dimensions of its job have one. */
function throughABolt(sheet: Sheet, rows: RefitRows): Section[] {
  const job = rows.job.find((one) => one.id === sheet.jobId)
  const make = job ? fittingMakeOf(job) : null
  if (!make) return []
  const { svg, wideMm, scale } = onPaper(fittingSection(make, halfShownMm(make)), mostWideMm)
  return [
    section(`Through one bolt, ${scale}`, 'right', [
      { kind: 'drawing', svg, wideMm, caption: capital(`${sayMake(make)}.`) },
    ]),
  ]
}

/** Before, open, after: in the order of the work, then of time. */
function pictures(sheet: Sheet, rows: RefitRows): PictureBlock[] {
  return rows.picture
    .filter((one) => one.sheetId === sheet.id)
    .sort(
      (a, b) =>
        momentOrder.indexOf(a.moment) - momentOrder.indexOf(b.moment) || a.takenAt - b.takenAt,
    )
    .map((one) => ({
      kind: 'picture',
      hash: one.hash,
      mime: one.mime,
      widthPx: one.widthPx,
      heightPx: one.heightPx,
      caption: [momentWord[one.moment], one.caption].filter(Boolean).join(': '),
    }))
}

/** Other sheets of the same place and system, and what is still open there. */
function belongsWith({ rows, numbers }: BookFacts, sheet: Sheet): string {
  const zoneId = placeOf(sheet, rows)
  if (zoneId === null) return ''
  const jobs = byId(rows.job)
  const sheets = rows.asBuiltSheet
    .filter(
      (one) =>
        one.id !== sheet.id &&
        one.systemId === sheet.systemId &&
        jobs.get(one.jobId ?? '')?.zoneId === zoneId,
    )
    .map((one) => `${numbers.get(one.id) ?? ''} ${one.title}`.trim())
  const findings = rows.finding
    .filter((one) => one.zoneId === zoneId && one.state === 'watch')
    .map((one) => `${one.title}: watched`)
  const all = [...sheets, ...findings]
  return all.length === 0 ? '' : `${all.join('; ')}.`
}
