import { patchOf } from '../../model/removal'
import { dateOf, dayNumber } from '../../time/civil'
import { sayDate } from '../../time/say'
import { arcsOf } from '../../plan/network'
import { named } from '../facts'
import { found } from '../rule'
import type { OrderRule } from '../rule'

/** A trade booked before what must be ready for it is. Source: handbook 7 rule 15. */
export const tradeTooEarly: OrderRule = {
  number: 15,
  title: 'Trade booked too early',
  find: (facts) => {
    const live = facts.rows.tradeBooking.filter(
      (one) => one.state === 'booked' || one.state === 'asked',
    )
    if (live.length === 0) return []
    const arcs = arcsOf(facts.rows)
    return live.flatMap((booking) => {
      const step = facts.stepOf(booking.stepId)
      if (!step || step.done) return []
      const before = arcs.flatMap((arc) =>
        arc.to === booking.stepId ? (facts.stepOf(arc.from) ?? []) : [],
      )
      const last = before.filter((one) => !one.done).sort((a, b) => b.readyAt - a.readyAt)[0]
      const booked = facts.clock.at(dayNumber(booking.from), 0)
      if (!last || last.readyAt <= facts.clock.at(dayNumber(booking.to) + 1, 0)) return []
      const ready = facts.clock.dayOf(last.readyAt - 1) + 1
      const length = dayNumber(booking.to) - dayNumber(booking.from)
      if (booked > last.readyAt) return []
      return [
        found(
          15,
          'warn',
          [step, last],
          `${booking.trade} is ${booking.state} for ${sayDate(booking.from)}, and ${named(last)} is ready only on ${facts.date(last.readyAt)}. The earliest safe day is ${sayDate(dateOf(ready))}.`,
          {
            label: `Book for ${sayDate(dateOf(ready))}`,
            items: () => [
              patchOf('tradeBooking', booking, {
                from: dateOf(ready),
                to: dateOf(ready + length),
                state: 'asked',
              }),
            ],
          },
          booking.from,
        ),
      ]
    })
  },
}
