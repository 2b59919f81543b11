import { dayMs } from '#core/time/civil'
import { handle } from '../../../http/handle'
import { pathId } from '../../../http/input'
import { now } from '../../../services/clock'
import { wholeRefit } from '../../../services/refits'
import { weatherFrom } from '../../../standins/weather'

/** Yesterday and a week on from the stand-in. */
export default handle(async (event) => {
  const { rows } = await wholeRefit(pathId(event, 'refit'))
  const today = Math.floor(now() / dayMs)
  return {
    station: 'Fennside (simulated)',
    hours: weatherFrom(today - 1, 9, rows.refit[0]?.monthMeanC ?? []),
  }
})
