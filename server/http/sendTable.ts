import ExcelJs from 'exceljs'
import Papa from 'papaparse'
import { setResponseHeader } from 'h3'
import type { H3Event } from 'h3'
import type { RefitRows } from '#core/model/refit'
import { wholeRefit } from '../services/refits'
import { handle } from './handle'
import { pathId } from './input'

/** A route that hands out a table of the refit as a CSV file. */
export const sendTable = (
  fileName: string,
  tableOf: (rows: RefitRows, event: H3Event) => (string | number)[][],
) =>
  handle(async (event) => {
    const { rows } = await wholeRefit(pathId(event, 'refit'))
    setResponseHeader(event, 'Content-Type', 'text/csv; charset=utf-8')
    setResponseHeader(event, 'Content-Disposition', `attachment; filename="${fileName}"`)
    // A cell that begins like a formula is kept from being run by a spreadsheet.
    return Papa.unparse(tableOf(rows, event), { escapeFormulae: true })
  })

const workbook = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet'

/** A route that hands out the same as a workbook; its first row is headings. Cells are values, never formulas. */
export const sendWorkbook = (
  fileName: string,
  sheetName: string,
  tableOf: (rows: RefitRows) => (string | number)[][],
) =>
  handle(async (event) => {
    const { rows } = await wholeRefit(pathId(event, 'refit'))
    const book = new ExcelJs.Workbook()
    const sheet = book.addWorksheet(sheetName, { views: [{ state: 'frozen', ySplit: 1 }] })
    const table = tableOf(rows)
    sheet.addRows(table)
    sheet.getRow(1).font = { bold: true }
    sheet.columns.forEach((column, at) => {
      const longest = Math.max(...table.map((row) => String(row[at] ?? '').length))
      column.width = Math.min(60, Math.max(8, longest + 2))
    })
    setResponseHeader(event, 'Content-Type', workbook)
    setResponseHeader(event, 'Content-Disposition', `attachment; filename="${fileName}"`)
    return Buffer.from(await book.xlsx.writeBuffer())
  })
