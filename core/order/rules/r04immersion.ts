import { hourMs } from '../../time/civil'
import { formatWait } from '../../units/hours'
import { does, named } from '../facts'
import { found } from '../rule'
import type { OrderRule } from '../rule'

/** Antifouling that goes in too early or too late by its sheet. Source: handbook 7 rule 4. */
export const immersion: OrderRule = {
  number: 4,
  title: 'Antifouling outside its time',
  find: (facts) =>
    facts.steps.flatMap((coat) => {
      if (!does(coat, 'antifoul')) return []
      const sheet = facts.rows.product.find((one) => one.id === coat.step.productId)
      const ashore = facts.ashoreAt(coat.to)
      if (!sheet || !ashore || ashore.launchAt === Infinity || ashore.haulOut.launchActual)
        return []
      const last = facts
        .atZone(coat.zone?.id ?? '')
        .filter((one) => does(one, 'antifoul') && one.to < ashore.launchAt)
        .at(-1)
      if (last !== coat) return []
      const hours = (ashore.launchAt - coat.to) / hourMs
      const { immersionMinH: least, immersionMaxH: most } = sheet
      const dates = `${named(coat)} is done on ${facts.date(coat.to)} and she is launched on ${facts.date(ashore.launchAt)}`
      if (least !== null && hours < least)
        return [
          found(
            4,
            'warn',
            [coat],
            `${dates}: ${formatWait(hours)}, and ${sheet.name} wants ${formatWait(least)} before it gets wet.`,
          ),
        ]
      if (most !== null && hours > most)
        return [
          found(
            4,
            'warn',
            [coat],
            `${dates}: ${formatWait(hours)}, and ${sheet.name} is to be wet within ${formatWait(most)}. Abrade it or give it another coat.`,
          ),
        ]
      return []
    }),
}
