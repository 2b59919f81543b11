/** The book's blocks laid out for A4 paper, in one black. */
import type { Content, ContentTable, TDocumentDefinitions } from 'pdfmake/interfaces'
import type {
  Block,
  HeadingBlock,
  ListOfSheetsBlock,
  PictureBlock,
  Section,
  SheetBlock,
  TableBlock,
} from '#core/book/blocks'
import { column, margins, mm } from './paper'
import type { BookToPrint } from './paper'
import { foot, thumbTab } from './sheetMarks'
import { textRuns } from './textRuns'

const gap = 18
const half = (column - gap) / 2

const plain = (said: string) => textRuns(said)
const narrow = (said: string) => textRuns(said, true)

/** The definition of the document. */
export function bookPages(book: BookToPrint): TDocumentDefinitions {
  // A page of a sheet names its chapter on its tab.
  const blocks = book.blocks.filter((one) => one.kind !== 'heading' || one.isChapter !== true)
  const chapters = [
    ...new Set(book.blocks.flatMap((one) => (one.kind === 'sheet' ? [one.chapter] : []))),
  ]
  return {
    pageSize: 'A4',
    pageMargins: [margins.left, margins.top, margins.right, margins.bottom],
    info: { title: book.title, creator: 'Inch Ahead' },
    defaultStyle: { font: 'Text', fontSize: 9.5, lineHeight: 1.12 },
    header: (at) => ({
      margin: [margins.left, 22, margins.right, 0],
      table: {
        widths: ['*', 'auto'],
        body: [[{ text: narrow(book.title) }, { text: narrow(`page ${at}`) }]],
      },
      layout: ruled(1.2),
      fontSize: 10.5,
    }),
    // A heading goes over with what it stands above.
    pageBreakBefore: (node, { getFollowingNodesOnPage }) =>
      node.headlineLevel === 1 && getFollowingNodesOnPage().length === 0,
    content: blocks.flatMap((block, index) => contentOf(block, book, chapters, blocks[index - 1])),
  }
}

/** A line under each row of a table, of so many points, and no other. */
const ruled = (width: number) => ({
  hLineWidth: (line: number, node: ContentTable) =>
    line === 0 ? 0 : line === 1 && node.table.headerRows === 1 ? 0.8 : width,
  vLineWidth: () => 0,
  hLineColor: () => '#000000',
  paddingLeft: (cell: number) => (cell === 0 ? 0 : 4),
  paddingRight: () => 4,
  paddingTop: () => 1.5,
  paddingBottom: () => 1,
})

function contentOf(
  block: Block,
  book: BookToPrint,
  chapters: readonly string[],
  before: Block | undefined,
): Content[] {
  switch (block.kind) {
    case 'sheet':
      return sheetPage(block, book, chapters.indexOf(block.chapter))
    case 'heading':
      return headingOf(block, before?.kind === 'sheet')
    default:
      return partOf(block, book, column)
  }
}

/** Number, title and page of each sheet. */
function listOfSheets(block: ListOfSheetsBlock): Content {
  return {
    table: {
      widths: [38, '*', 'auto'],
      body: block.sheets.map((one) => [
        { text: narrow(one.number) },
        { text: plain(one.title) },
        { pageReference: one.number, alignment: 'right' },
      ]),
    },
    layout: ruled(0.3),
  }
}

/** What follows the sheets begins a page. */
function headingOf(block: HeadingBlock, isAfterSheet: boolean): Content[] {
  const sizes = { 1: 26, 2: 17, 3: 13, 4: 11 } as const
  return [
    {
      text: narrow(block.text),
      fontSize: sizes[block.level],
      headlineLevel: 1,
      margin: [0, block.level === 1 ? 0 : 10, 0, 3],
      ...(isAfterSheet ? { pageBreak: 'before' as const } : {}),
    },
  ]
}

/** Everything but sheets and headings, at a width in points. */
function partOf(block: Section['blocks'][number], book: BookToPrint, width: number): Content[] {
  switch (block.kind) {
    case 'heading':
      return [{ text: narrow(block.text), fontSize: 12, margin: [0, 6, 0, 2] }]
    case 'text':
      return [{ text: plain(block.text), margin: [0, 0, 0, 4] }]
    case 'list':
      return [{ ul: block.items.map((one) => ({ text: plain(one) })), margin: [0, 2, 0, 6] }]
    case 'sheets':
      return [listOfSheets(block)]
    case 'table':
      return [tableOf(block)]
    case 'drawing':
      return [
        {
          svg: block.svg,
          width: block.wideMm === undefined ? Math.min(width, 210) : block.wideMm * mm,
          margin: [0, 2, 0, 2],
        },
        { text: narrow(block.caption), fontSize: 10 },
      ]
    case 'picture':
      return picturesOf([block], book, width)
  }
}

/** A number stays with its unit. */
const unbroken = (said: string): string =>
  said.replace(/(\d) (mm²|mm|cm|m²|m|kg|g|t|L|h|min|°C|%)(?![\p{L}\d])/gu, '$1\u00a0$2')

function tableOf(block: TableBlock): Content {
  const many = block.head.length
  const isSum = (at: number) => block.sums?.includes(at) === true
  const alignmentOf = (at: number) => (isSum(at) ? ('right' as const) : ('left' as const))
  return {
    margin: [0, 0, 0, 4],
    table: {
      headerRows: 1,
      keepWithHeaderRows: 1,
      dontBreakRows: true,
      widths: block.head.map((_, at) =>
        isSum(at) ? 'auto' : (at === 0 && many <= 3) || block.sums || many <= 4 ? '*' : 'auto',
      ),
      body: [
        block.head.map((said, at) => ({
          text: narrow(said),
          fontSize: 9,
          alignment: alignmentOf(at),
        })),
        ...block.rows.map((cells) =>
          cells.map((said, at) => ({
            text: at === 0 ? narrow(said) : plain(unbroken(said)),
            alignment: alignmentOf(at),
          })),
        ),
      ],
    },
    layout: ruled(0.4),
  }
}

const perRow = 3

/** Pictures beside each other with what they show; the place of one whose file is missing stays. */
function picturesOf(blocks: readonly PictureBlock[], book: BookToPrint, width: number): Content[] {
  const many = Math.min(perRow, Math.max(1, blocks.length))
  const each = Math.min(blocks.length === 1 ? 220 : width, (width - (perRow - 1) * 10) / many)
  const rows: PictureBlock[][] = []
  for (let at = 0; at < blocks.length; at += perRow) rows.push(blocks.slice(at, at + perRow))
  return rows.map((row) => ({
    columnGap: 10,
    unbreakable: true,
    columns: row.map((one) => ({
      width: each,
      stack: [
        imageOf(one, book, each),
        { text: narrow(one.caption), fontSize: 10, margin: [0, 2, 0, 4] as const },
      ] as Content[],
    })),
  })) as Content[]
}

const tallest = 150

function imageOf(one: PictureBlock, book: BookToPrint, width: number): Content {
  const image = book.pictures.get(one.hash)
  if (image !== undefined) return { image, fit: [width, tallest] }
  return {
    table: {
      widths: [width - 12],
      body: [[{ text: plain('The file of this picture is missing.'), margin: [0, 18, 0, 18] }]],
    },
  }
}

/** One sheet, one page; what does not fit goes on overleaf. */
function sheetPage(sheet: SheetBlock, book: BookToPrint, chapter: number): Content[] {
  return [
    {
      text: narrow(`${sheet.number}  ${sheet.title}`),
      fontSize: 24,
      lineHeight: 1.05,
      pageBreak: 'before',
      id: sheet.number,
    },
    { text: narrow(sheet.facts), fontSize: 12, margin: [0, 2, 0, 4] },
    thumbTab(sheet.chapter, chapter),
    ...foot(sheet, book),
    ...rowsOf(sheet.sections, book),
  ] as Content[]
}

/** Surely less than a page, so that it may go over as a whole. */
const isShort = (section: Section): boolean =>
  section.blocks.every(
    (one) =>
      one.kind === 'drawing' ||
      (one.kind === 'text' && one.text.length < 900) ||
      (one.kind === 'table' && one.rows.length < 10),
  )

/** Halves that follow each other stand side by side. */
function rowsOf(sections: readonly Section[], book: BookToPrint): Content[] {
  const said: Content[] = []
  for (let at = 0; at < sections.length; at += 1) {
    const [one, next] = [sections[at] as Section, sections[at + 1]]
    const isPair = one.at === 'left' && next?.at === 'right'
    if (isPair) at += 1
    said.push(
      isPair
        ? {
            unbreakable: isShort(one) && isShort(next),
            stack: [
              {
                columnGap: gap,
                columns: [
                  { width: half, stack: sectionOf(one, book, half) },
                  { width: half, stack: sectionOf(next, book, half) },
                ],
              },
            ],
          }
        : { unbreakable: isShort(one), stack: sectionOf(one, book, column) },
    )
  }
  return said
}

function sectionOf(section: Section, book: BookToPrint, width: number): Content[] {
  const pictures = section.blocks.flatMap((one) => (one.kind === 'picture' ? [one] : []))
  const others = section.blocks.filter((one) => one.kind !== 'picture')
  const inside: Content[] = [
    ...others.flatMap((one) => partOf(one, book, width)),
    ...(pictures.length > 0 ? picturesOf(pictures, book, width) : []),
  ]
  const title: Content = {
    text: narrow(section.title),
    fontSize: 14,
    margin: [0, 5, 0, 0],
    headlineLevel: 1,
  }
  if (section.isFramed === true)
    return [
      {
        margin: [0, 10, 0, 0],
        table: {
          widths: ['*'],
          body: [[{ stack: [{ ...title, margin: [0, 0, 0, 2] }, ...inside] }]],
        },
        layout: {
          hLineWidth: () => 1.4,
          vLineWidth: () => 1.4,
          paddingLeft: () => 7,
          paddingRight: () => 7,
          paddingTop: () => 5,
          paddingBottom: () => 5,
        },
      },
    ]
  const line: Content = {
    canvas: [{ type: 'line', x1: 0, y1: 0, x2: width, y2: 0, lineWidth: 0.8 }],
    margin: [0, 0, 0, 3],
  }
  return [title, line, ...inside]
}
