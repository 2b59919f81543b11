import { supposing } from '../model/applyChange'
import { emptyRows } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { starterChanges } from '../model/starter'

/** A refit as the first five answers make it on 17 April 2027: ashore since 1 April, aimed at 21 May. */
export function begunRefit(): RefitRows {
  let made = 0
  const answers = {
    boatName: 'Plover',
    loaM: 12,
    zone: 'UTC',
    currency: 'EUR',
    units: 'metric',
    people: [{ name: 'Ida', weekdays: [6, 7], from: '08:00', to: '17:00' }],
    travelMin: 30,
    liftOutOn: '2027-04-01',
    launchOn: '2027-05-21',
    alreadyAshore: true,
    today: '2027-04-17',
  } as const
  return supposing(
    emptyRows(),
    starterChanges('r', answers, () => `n${made++}`),
  )
}
