/** What it does to the gates when something a step wants is not here today. */
import type { ChangeItem } from '../model/changes'
import type { Gate, Step } from '../model/entities'
import { patchOf } from '../model/removal'
import { effectSentence, gateEffects } from '../plan/effect'
import type { WhatIf } from '../plan/whatIf'
import { addDays } from '../time/civil'
import type { ZoneClock } from '../time/zone'

/** The refit without a step today: it begins the day after at the earliest. */
export const withoutToday = (step: Step, on: string): ChangeItem => {
  const next = addDays(on, 1)
  const notBefore = step.notBefore !== null && step.notBefore > next ? step.notBefore : next
  return patchOf('step', step, { notBefore })
}

/** "Launch 7 days later" for the right of a line; '': no gate is the worse for it. */
export function sayLack(
  { before, after }: Pick<WhatIf, 'before' | 'after'>,
  gates: readonly Gate[],
  clock: ZoneClock,
): string {
  const worse = gateEffects(gates, before, after, clock).filter(
    (one) => one.after === null || (one.days !== null && one.days > 0),
  )
  const said = effectSentence(worse)
  return said.startsWith('No gate moves') ? '' : said.replace(/\.$/, '')
}
