import Papa from 'papaparse'
import { setResponseHeader } from 'h3'
import type { RefitRows } from '#core/model/refit'
import { wholeRefit } from '../services/refits'
import { handle } from './handle'
import { pathId } from './input'

/** A route that hands out a table of the refit as a CSV file. */
export const sendTable = (fileName: string, tableOf: (rows: RefitRows) => (string | number)[][]) =>
  handle(async (event) => {
    const { rows } = await wholeRefit(pathId(event, 'refit'))
    setResponseHeader(event, 'Content-Type', 'text/csv; charset=utf-8')
    setResponseHeader(event, 'Content-Disposition', `attachment; filename="${fileName}"`)
    // A cell that begins like a formula is kept from being run by a spreadsheet.
    return Papa.unparse(tableOf(rows), { escapeFormulae: true })
  })
