/** What five answers come to before anything is made of them: how much time on her there is until the launch. */
import { supposing } from '../model/applyChange'
import { emptyRows } from '../model/refit'
import { starterChanges } from '../model/starter'
import type { StarterAnswers } from '../model/starter'
import { haulOutsAsPlanned } from '../plan/schedule/haulOuts'
import { makeSites, widest } from '../plan/schedule/sites'
import { dayNumber, hourMs } from '../time/civil'
import { lengthOf, without } from '../time/intervals'
import { zoneClock } from '../time/zone'

export interface FirstLook {
  /** Days from now to the day before the launch on which somebody is on her. */
  readonly days: number
  /** Person-hours of these days: the way, setting up, packing up and the usual pause taken off. */
  readonly hours: number
}

/**
 * Reads the answers as the plan will: through the rows they become and the calendar made of these. Nothing where the
 * launch is not to come. `now`: UTC ms; what is gone of today does not count. Precondition: times and the zone are valid.
 */
export function firstLook(answers: StarterAnswers, now: number): FirstLook {
  let made = 0
  const rows = supposing(
    emptyRows(),
    starterChanges('refit', answers, () => `new ${made++}`),
  )
  const clock = zoneClock(answers.zone)
  const sites = makeSites(rows, clock, haulOutsAsPlanned(rows, null, clock))
  let [days, hours] = [0, 0]
  for (let day = dayNumber(answers.today); day < dayNumber(answers.launchOn); day++) {
    const there = sites.people.map((_, person) =>
      lengthOf(
        without(widest(sites, person, 'boat', day), -Infinity, now),
        sites.pauseOn(person, day),
      ),
    )
    if (there.some((ms) => ms > 0)) days++
    hours += there.reduce((sum, ms) => sum + ms, 0) / hourMs
  }
  return { days, hours }
}
