import Joi from 'joi'
import { moneyTable } from '#core/exchange/moneyTable'
import { isDate } from '#core/time/civil'
import { zoneClock } from '#core/time/zone'
import { readQuery } from '../../../http/input'
import { sendTable } from '../../../http/sendTable'
import { now } from '../../../services/clock'

const day = Joi.string().custom((value: string, helpers) =>
  isDate(value) ? value : helpers.message({ custom: 'A day is written like 2027-04-17.' }),
)
const query = Joi.object<{ from?: string; to?: string }>({ from: day, to: day })
  .and('from', 'to')
  .messages({
    'object.and': 'Give the first and the last day, or neither.',
  })

/** What was paid in a span; without one every line, with what is still owed. */
export default sendTable('money.csv', (rows, event) => {
  const { from, to } = readQuery(event, query)
  const clock = zoneClock(rows.refit[0]?.zone ?? 'UTC')
  return moneyTable(rows, clock.dateOf(now()), from && to ? { from, to } : null)
})
