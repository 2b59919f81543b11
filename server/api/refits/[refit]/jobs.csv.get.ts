import Papa from 'papaparse'
import { setResponseHeader } from 'h3'
import { jobTable } from '#core/exchange/jobTable'
import { handle } from '../../../http/handle'
import { pathId } from '../../../http/input'
import { wholeRefit } from '../../../services/refits'

export default handle(async (event) => {
  const { rows } = await wholeRefit(pathId(event, 'refit'))
  setResponseHeader(event, 'Content-Type', 'text/csv; charset=utf-8')
  setResponseHeader(event, 'Content-Disposition', 'attachment; filename="jobs.csv"')
  // A cell that begins like a formula is kept from being run by a spreadsheet.
  return Papa.unparse(jobTable(rows), { escapeFormulae: true })
})
