import { openings } from '../openings'
import { openWhenWanted } from '../wanted'
import type { OpenWork } from './openWork'
import type { Pass, PassOptions } from './pass'

/** Openings are put off so often at most, each time by all that finds them open. */
const mostRounds = 12

/** Lays a pass, and again while something would stand open on days on which she is wanted: that is opened after them. */
export function openAfterWanted(
  { rows, clock }: Pick<OpenWork, 'rows' | 'clock'>,
  options: PassOptions,
  lay: (options: PassOptions) => Pass,
): Pass {
  let pass = lay(options)
  if (rows.wantedDays.length === 0) return pass
  const putOff = new Map(options.putOff)
  for (let round = 0; round < mostRounds; round++) {
    const late = openWhenWanted(rows, openings(rows, pass.placements), clock).filter(
      ({ opening }) => !opening.isBegun,
    )
    if (late.length === 0) return pass
    for (const { opening, until } of late)
      putOff.set(opening.step.id, Math.max(until, putOff.get(opening.step.id) ?? 0))
    pass = lay({ ...options, putOff })
  }
  return pass
}
