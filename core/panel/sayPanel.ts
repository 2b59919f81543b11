/** What a map of a panel says, in sentences that hold as they stand. */
import type { Panel } from '../model/entities'
import type { PanelFigures } from './panelCase'
import { figured } from '../units/counted'

/** Two places behind the point: a hand is 0.01 m². */
export const sayArea = (m2: number): string => `${m2.toFixed(2)} m²`

type Dates = (date: string) => string

export interface PanelHeading {
  readonly plain: string
  /** What speaks against waiting; ''. */
  readonly bad: string
}

/** The heading: how much is wet and by what, and whether it dries in time. `launchOn` null: no launch to come. */
export function panelHeading(
  panel: Pick<Panel, 'title'>,
  { figures, source, drying, grid }: Pick<PanelFigures, 'figures' | 'source' | 'drying' | 'grid'>,
  launchOn: string | null,
): PanelHeading {
  if (figures.highest === null && figures.openM2 === 0)
    return {
      plain:
        figures.unreadM2 > 0 && figures.unreadM2 >= grid.areaM2 * 0.999
          ? `${panel.title}: nothing read yet`
          : `${panel.title}: nothing wet or dull`,
      bad: '',
    }
  if (figures.wetM2 === 0)
    return {
      plain: `${panel.title}: nothing wet, ${sayArea(figures.openM2)} damp or dull`,
      bad: '',
    }
  const where = source
    ? `Wet round the ${source.fitting.title.toLowerCase()}`
    : `${panel.title} wet`
  return {
    plain: `${where}: ${figures.wetM2.toFixed(2)} of ${sayArea(grid.areaM2)}`,
    bad:
      drying.is === 'notFalling'
        ? 'water still gets in'
        : drying.is === 'falling' && launchOn !== null && drying.on > launchOn
          ? 'dry too late for the launch'
          : '',
  }
}

/** How it went since the map before, and how much nobody read. */
export function panelSentence(
  { spread, figures }: Pick<PanelFigures, 'spread' | 'figures'>,
  sayDate: Dates,
): string {
  const parts: string[] = []
  if (spread) {
    const by = Math.abs(spread.grewM2)
    parts.push(
      by < 0.005
        ? `As wet as on ${sayDate(spread.since)}.`
        : `${spread.grewM2 > 0 ? 'It grew by' : 'It fell by'} ${sayArea(by)} since ${sayDate(spread.since)}.`,
    )
    if (spread.grewM2 <= 0 && spread.newM2 >= 0.005)
      parts.push(`${sayArea(spread.newM2)} of it is wet where it was not.`)
  }
  if (figures.unreadM2 >= 0.005) parts.push(`${sayArea(figures.unreadM2)} not read.`)
  return parts.join(' ')
}

/** When it is likely dry. */
export function dryingSentence(drying: PanelFigures['drying'], sayDate: Dates): string {
  switch (drying.is) {
    case 'dry':
      return `Read as dry on ${sayDate(drying.since)}.`
    case 'notFalling':
      return 'Not falling: water still gets in.'
    case 'tooFew':
      return `No date yet: ${drying.more === 1 ? 'one reading more' : `${drying.more} readings more`}, and the reading of a dry reference.`
    case 'overdue':
      return `By the line through all readings it was to be dry by ${sayDate(drying.on)}, and on ${sayDate(drying.readOn)} it was not: read again.`
    case 'falling': {
      const range =
        drying.to === null
          ? `from ${sayDate(drying.from)}, no latest day can be said`
          : `${sayDate(drying.from)} to ${sayDate(drying.to)}, four chances in five`
      return `Likely dry on ${sayDate(drying.on)}; ${range}. What is over the reference halves every ${figured(Math.round(drying.halfDays), 'day')}.`
    }
  }
}
