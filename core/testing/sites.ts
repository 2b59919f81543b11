/** Places where nothing stands in anybody's way: no nights, no pauses, nobody away. */
import type { Sites } from '../plan/schedule/sites'

export const plainSites = (presence: Sites['presence'], people: Sites['people'] = []): Sites => ({
  people,
  presence,
  ends: () => 0,
  sleepsAt: () => null,
  pauseOn: () => null,
  move: () => null,
  never: () => false,
  away: () => false,
})
