/** What stands on every page of a sheet besides its text: the tab of its chapter, a rule, the code of its page. */
import type { Content } from 'pdfmake/interfaces'
import type { SheetBlock } from '#core/book/blocks'
import { sayFullDate } from '#core/time/say'
import { column, margins, mm, page } from './paper'
import type { BookToPrint } from './paper'
import { textRuns } from './textRuns'

/** A black tab at the edge, a step lower for each system, so that a chapter is found from the outside. */
export function thumbTab(name: string, chapter: number): Content {
  const [width, height] = [28, 104]
  const room = page.height - margins.top - margins.bottom - height
  const steps = Math.max(1, Math.floor(room / (height * 0.62)))
  const y = margins.top + (chapter % (steps + 1)) * (room / steps)
  const shown = name.length > 17 ? `${name.slice(0, 16)}…` : name
  const said = textRuns(shown.replace(/[<>&"]/g, ' '), true)
    .map(({ text, font }) => `<tspan font-family="${font}">${text}</tspan>`)
    .join('')
  return {
    absolutePosition: { x: page.width - width, y },
    svg: `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}"><path d="M10 0H${width}V${height}H10L0 ${height - 10}V10Z" fill="#000000"/><text x="0" y="0" transform="translate(10.5 ${height / 2}) rotate(90)" text-anchor="middle" font-family="Narrow" font-size="12.5" fill="#ffffff">${said}</text></svg>`,
  }
}

/** At the foot of a sheet: a rule to check the print by, and the code that opens the sheet as it is now. */
export function foot(sheet: SheetBlock, book: BookToPrint): Content[] {
  const top = page.height - margins.bottom + 12
  const ticks = Array.from({ length: 51 }, (_, at) => {
    const x = 1 + at * 2 * mm
    return `M${x.toFixed(2)} 0v${at % 10 === 0 ? 9 : at % 5 === 0 ? 6.5 : 4}`
  })
  const words = Array.from(
    { length: 6 },
    (_, at) =>
      `<text x="${(1 + at * 20 * mm).toFixed(2)}" y="20" text-anchor="${at === 0 ? 'start' : 'middle'}" font-family="Narrow" font-size="9">${at * 20}${at === 5 ? ' mm' : ''}</text>`,
  )
  // Words here are part of the drawing: text of the page's flow has no room in the margin.
  const said = [
    // Whoever else reads it has not this program: the code would lead nowhere.
    ...(book.isForOthers ? [] : ['Scan for the sheet as it is now.']),
    `Printed ${sayFullDate(book.madeOn)}.`,
  ].map(
    (line, at) =>
      `<text x="304" y="${8 + at * 12}" font-family="Text" font-size="9">${line}</text>`,
  )
  const width = column - 70
  const rule = `<svg xmlns="http://www.w3.org/2000/svg" width="${width.toFixed(2)}" height="24" viewBox="0 0 ${width.toFixed(2)} 24"><path d="M1 0h${(100 * mm).toFixed(2)}${ticks.join('')}" fill="none" stroke="#000000" stroke-width="0.8"/>${words.join('')}${said.join('')}</svg>`
  return [
    { absolutePosition: { x: margins.left, y: top + 26 }, svg: rule, width },
    ...(book.isForOthers
      ? []
      : [
          {
            absolutePosition: { x: page.width - margins.right - 66, y: top - 4 },
            qr: `${book.address}/${sheet.path}`,
            fit: 66,
          },
        ]),
  ]
}
