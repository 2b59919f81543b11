/** A month or a season on paper: the same figures as on its page, in the blocks that books are made of. */
import { exactMoney, formatMoney } from '../money/money'
import type { MoneyReport } from '../money/report'
import { reportFigures, reportNote } from '../money/reportWords'
import { sayDate, sayMonth } from '../time/say'
import { formatInches } from '../units/length'
import type { Block } from './blocks'

export interface ReportNames {
  /** 'April 2027', 'Season two'. */
  readonly label: string
  readonly currency: string
  /** Name of a person by id; '': nobody of this refit. */
  readonly personOf: (personId: string) => string
  /** What a payment was for: its job or its system; '': neither. */
  readonly forWhat: (line: MoneyReport['lines'][number]) => string
  readonly plannedMinor: number
  /** Civil date on which it is made. */
  readonly today: string
}

export function reportBlocks(report: MoneyReport, names: ReportNames): Block[] {
  const { currency, personOf } = names
  const year = names.today.slice(0, 4)
  const say = (minor: number) => formatMoney(minor, currency)
  /** In columns; nothing is a dash. */
  const col = (minor: number) => (minor === 0 ? '–' : exactMoney(minor, currency))
  const sum = (of: (one: MoneyReport['accounts'][number]) => number) =>
    report.accounts.reduce((all, one) => all + of(one), 0)
  const inMonths = report.months.filter(
    (one) => one.month >= report.span.from.slice(0, 7) && one.month <= report.span.to.slice(0, 7),
  )
  return [
    { kind: 'heading', level: 1, text: `${names.label}: ${say(report.spentMinor)} paid` },
    {
      kind: 'list',
      items: reportFigures(report, currency, personOf).map(([name, value]) => `${name}: ${value}`),
    },
    { kind: 'heading', level: 3, text: 'By system' },
    {
      kind: 'table',
      head: ['Account', 'before', 'in it', 'so far', 'plan'],
      sums: [1, 2, 3, 4],
      rows: [
        ...report.accounts.map((one) => [
          one.name,
          col(one.beforeMinor),
          col(one.spanMinor),
          col(one.beforeMinor + one.spanMinor),
          col(one.plannedMinor),
        ]),
        [
          'Together',
          col(sum((one) => one.beforeMinor)),
          col(report.spentMinor),
          col(sum((one) => one.beforeMinor + one.spanMinor)),
          col(names.plannedMinor),
        ],
      ],
    },
    ...(inMonths.length > 1
      ? ([
          { kind: 'heading', level: 3, text: 'Month by month' },
          {
            kind: 'table',
            head: ['Month', 'paid', 'so far', 'inches', 'so far'],
            sums: [1, 2, 3, 4],
            rows: inMonths.map((one) => [
              sayMonth(one.month),
              col(one.minor),
              col(one.totalMinor),
              formatInches(one.inches),
              formatInches(one.totalIn),
            ]),
          },
        ] as const)
      : []),
    { kind: 'heading', level: 3, text: 'What was paid' },
    report.lines.length === 0
      ? { kind: 'text', text: 'Nothing with a day in it.' }
      : {
          kind: 'table',
          head: ['Day', 'What', 'For', 'Sum'],
          sums: [3],
          rows: [
            ...report.lines.map((one) => [
              one.on === null ? '' : sayDate(one.on, year),
              one.what,
              names.forWhat(one),
              col(one.minor),
            ]),
            ['Together', '', '', col(report.spentMinor)],
          ],
        },
    { kind: 'text', text: reportNote(report, names.today) },
  ]
}
