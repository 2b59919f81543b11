import { setResponseHeader } from 'h3'
import { handle } from '../../../http/handle'
import { pathId } from '../../../http/input'
import { calendarOf } from '../../../services/calendar'

export default handle(async (event) => {
  setResponseHeader(event, 'Content-Type', 'text/calendar; charset=utf-8')
  setResponseHeader(event, 'Content-Disposition', 'attachment; filename="plan.ics"')
  return calendarOf(pathId(event, 'refit'))
})
