/** What nobody put on a list: things taken off that are lost or broken, and spares to carry. Source: handbook-2 G5. */
import { likeness } from '../exchange/likeness'
import type { ChangeItem } from '../model/changes'
import type { Row } from '../model/entities'
import { byId } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { isOpen } from '../plan/planned'
import { plainName } from './pool'

export interface BagToBuy {
  readonly bag: Row<'bag'>
  readonly step: Row<'step'>
  readonly why: 'lost' | 'broken'
}

/** Bags whose step is still to come, that cannot go back on, and for which no part of the job is written down. */
export function bagsToBuy(rows: Pick<RefitRows, 'bag' | 'step' | 'job' | 'part'>): BagToBuy[] {
  const [steps, jobs] = [byId(rows.step), byId(rows.job)]
  const written = new Set(rows.part.map((part) => `${part.neededByStepId} ${plainName(part.name)}`))
  return rows.bag.flatMap((bag): BagToBuy[] => {
    const why = bag.worth === 'broken' ? 'broken' : bag.state === 'lost' ? 'lost' : null
    const step = steps.get(bag.wantedByStepId ?? '')
    if (why === null || bag.state === 'fitted' || !step || !isOpen(step)) return []
    if (jobs.get(step.jobId)?.decision !== 'plan') return []
    return written.has(`${step.id} ${plainName(bag.what)}`) ? [] : [{ bag, step, why }]
  })
}

/** The thing of a bag as a part that its step needs. */
export const partOfBag = ({ bag, step }: BagToBuy, newId: () => string): ChangeItem => ({
  op: 'create',
  entity: 'part',
  id: newId(),
  patch: { name: bag.what, jobId: step.jobId, neededByStepId: step.id },
})

/** Things that wear, in the words people write on a sheet. A hint: the list is looked through by a person. */
const wears =
  /\b(impellers?|belts?|filters?|anodes?|seals?|gaskets?|diaphragms?|fuses?|bulbs?|o-?rings?|joints?|bearings?|wipers?|valve kit|service kit|hose clips?|packing)\b/i

export interface SpareToCarry {
  readonly what: string
  readonly value: string
  /** Titles of the sheets that name it. */
  readonly sheets: readonly string[]
  /** Something like it lies on the boat. */
  readonly isAboard: boolean
}

/** Less alike than this a lot on board is another thing. */
const sameThing = 0.6

/** Spares that sheets of finished work name, those that are not on board first. */
export function sparesToCarry(
  rows: Pick<RefitRows, 'asBuiltSheet' | 'asBuiltLine' | 'stock' | 'part'>,
): SpareToCarry[] {
  const sheets = byId(rows.asBuiltSheet)
  const aboard = [
    ...rows.stock.filter((one) => one.at === 'boat' && one.quantity > 0).map((one) => one.name),
    // Bought as a spare: no step waits for it.
    ...rows.part
      .filter((one) => one.state === 'arrived' && one.at === 'boat' && one.neededByStepId === null)
      .map((one) => one.name),
  ]
  const found = new Map<string, SpareToCarry>()
  for (const line of rows.asBuiltLine) {
    const title = sheets.get(line.sheetId)?.title
    if (title === undefined || !wears.test(line.what)) continue
    const key = plainName(`${line.what} ${line.value}`)
    const before = found.get(key)
    if (before) {
      if (!before.sheets.includes(title))
        found.set(key, { ...before, sheets: [...before.sheets, title] })
      continue
    }
    const said = `${line.what} ${line.value}`
    const isAboard = aboard.some(
      (name) => Math.max(likeness(name, said), likeness(name, line.what)) >= sameThing,
    )
    found.set(key, { what: line.what, value: line.value, sheets: [title], isAboard })
  }
  return [...found.values()].sort(
    (a, b) => Number(a.isAboard) - Number(b.isAboard) || (a.what < b.what ? -1 : 1),
  )
}

/** A spare as a part that no step needs, to be bought and kept on board. */
export const partOfSpare = ({ what, value }: SpareToCarry, newId: () => string): ChangeItem => ({
  op: 'create',
  entity: 'part',
  id: newId(),
  patch: { name: what, specification: value },
})
