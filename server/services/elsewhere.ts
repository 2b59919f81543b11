import { peopleElsewhere } from '#core/elsewhere/elsewhere'
import type { Elsewhere } from '#core/elsewhere/elsewhere'
import { emptyRows } from '#core/model/refit'
import type { RefitRows } from '#core/model/refit'
import { zoneClock } from '#core/time/zone'
import { now } from './clock'
import { listRefits, wholeRefit } from './refits'
import { Trouble } from './trouble'

/** Other refits looked into at most: a household has few boats. */
const mostOthers = 7

/** People of a refit as the other refits of the folder have them, by name. Throws Trouble 404. */
export async function elsewhereOf(refitId: string): Promise<Elsewhere[]> {
  const { rows } = await wholeRefit(refitId)
  const today = zoneClock(rows.refit[0]?.zone ?? 'UTC').dateOf(now())
  const names = rows.person.filter((one) => !one.gone).map((one) => one.name)
  const found: Elsewhere[] = []
  const others = (await listRefits()).filter((one) => one.id !== refitId).slice(0, mostOthers)
  for (const other of others) found.push(...peopleElsewhere(await rowsOf(other.id), names, today))
  return found
}

/** One that was removed since it was listed has nobody. */
async function rowsOf(refitId: string): Promise<RefitRows> {
  try {
    return (await wholeRefit(refitId)).rows
  } catch (error) {
    if (error instanceof Trouble && error.status === 404) return emptyRows()
    throw error
  }
}
