import { isLocated } from '../bags/bags'
import type { RefitRows } from '../model/refit'
import { plainName } from '../stores/pool'
import { partAt } from '../stores/thingAt'
import type { ThingAt } from '../stores/thingAt'
import { formatQuantity } from '../units/quantity'
import type { DayFrame, DayLine } from './dayLine'

/** Something the day wants that is not at the place, or that nobody has seen there. */
export interface TakeLine {
  readonly id: string
  readonly entity: 'bringLine' | 'bag' | 'part'
  readonly what: string
  readonly amount: string
  readonly kind: string
  readonly at: string
  readonly stepId: string
  readonly stepTitle: string
  /** The day for which somebody saw it; null: nobody did. */
  readonly seenOn: string | null
  /** Its step cannot be done without it: a part, or a bag nobody can find. */
  readonly stops: boolean
}

const placeWord: Readonly<Record<string, string>> = {
  boat: 'at the boat',
  shed: 'in the shed',
  home: 'at home',
  toBuy: 'to buy',
}

const nameAt = (stepId: string | null, name: string): string => `${stepId ?? ''} ${plainName(name)}`

/**
 * Bring lines, strip-out bags and parts of the day's steps that are not where the work is. What is written down as a part
 * and as a bring line too is said once, by the part: it knows whether it was bought.
 */
export function takeWith(
  rows: RefitRows,
  work: readonly DayLine[],
  frame: Pick<DayFrame, 'placeNeed'>,
): TakeLine[] {
  const steps = new Map(work.map((line) => [line.step?.id, line.step]))
  const asPart = new Set(
    rows.part
      .filter((part) => part.state !== 'returned')
      .map((part) => nameAt(part.neededByStepId, part.name)),
  )
  const lines = rows.bringLine
    .filter((line) => steps.has(line.stepId) && line.at !== frame.placeNeed)
    .filter((line) => !asPart.has(nameAt(line.stepId, line.what)))
    .map((line) => ({
      id: line.id,
      entity: 'bringLine' as const,
      what: line.what,
      amount: line.amount,
      kind: line.kind,
      at: placeWord[line.at] ?? line.at,
      stepId: line.stepId,
      stepTitle: steps.get(line.stepId)?.title ?? '',
      seenOn: line.seenOn,
      stops: line.at === 'toBuy',
    }))
  const bags = rows.bag
    .filter((bag) => bag.state !== 'fitted' && steps.has(bag.wantedByStepId ?? ''))
    .map((bag) => ({
      id: bag.id,
      entity: 'bag' as const,
      what: `Bag ${bag.code}, ${bag.what}`,
      amount: '',
      kind: 'bag',
      at: isLocated(bag) ? bag.storedAt : 'nobody knows where',
      stepId: bag.wantedByStepId ?? '',
      stepTitle: steps.get(bag.wantedByStepId ?? '')?.title ?? '',
      seenOn: null,
      stops: !isLocated(bag),
    }))
  const units = rows.refit[0]?.units ?? 'metric'
  const parts = rows.part
    .filter((part) => part.state !== 'returned' && part.state !== 'fitted')
    .filter((part) => steps.has(part.neededByStepId ?? ''))
    .filter((part) => partAt(part) !== frame.placeNeed)
    .map((part) => ({
      id: part.id,
      entity: 'part' as const,
      what: part.name,
      amount: formatQuantity(part.quantity, part.unit, units),
      kind: 'part',
      at: partWord[partAt(part)],
      stepId: part.neededByStepId ?? '',
      stepTitle: steps.get(part.neededByStepId ?? '')?.title ?? '',
      seenOn: part.seenOn,
      stops: part.state !== 'arrived',
    }))
  return [...bags, ...lines, ...parts]
}

/** Where a part is to be had from. */
const partWord: Readonly<Record<ThingAt, string>> = {
  boat: 'at the boat',
  shed: 'in the shed',
  home: 'at home',
  unsaid: 'bought, nobody said where it is',
  order: 'ordered, not here yet',
  nowhere: 'to buy',
}
