import { dayMs } from '#core/time/civil'
import { handle } from '../../../http/handle'
import { pathId } from '../../../http/input'
import { now } from '../../../services/clock'
import { wholeRefit } from '../../../services/refits'
import { weatherFrom } from '../../../standins/weather'

/** Yesterday and a week on from the made-up station, for the demo alone; nothing for a refit of one's own. */
export default handle(async (event) => {
  const { rows } = await wholeRefit(pathId(event, 'refit'))
  const refit = rows.refit[0]
  if (!refit?.madeUpWeather) return { station: '', hours: [] }
  const today = Math.floor(now() / dayMs)
  return {
    station: 'Fennside (made up)',
    hours: weatherFrom(today - 1, 9, refit.monthMeanC),
  }
})
