/** Once she floats: what is looked at when, and what was seen. Source: handbook 6; the alignment after a day afloat. */
import type { HullOpening, Row } from '../model/entities'
import type { RefitRows } from '../model/refit'
import { watchMoments } from '../model/words'
import type { WatchMoment } from '../model/words'
import { dayMs, hourMs } from '../time/civil'
import { bowToStern } from './readiness'

/** After she was let into the water. */
const afterMs: Readonly<Record<WatchMoment, number>> = {
  slack: 0,
  atOnce: 0,
  hour: hourMs,
  day: dayMs,
  week: 7 * dayMs,
}

export interface WatchThing {
  /** What a look names: 'opening …', 'bilge'. */
  readonly what: string
  readonly title: string
  readonly opening: HullOpening | null
  /** Asked for a reading in this unit; '': dry, weeps or runs. */
  readonly unit: string
  /** The last look of this moment; null: not looked at yet. */
  readonly look: Row<'watchLook'> | null
}

export interface WatchKnot {
  readonly moment: WatchMoment
  /** UTC ms; null: nobody has looked with the slings slack yet, and the launch has no hour. */
  readonly dueAt: number | null
  readonly things: readonly WatchThing[]
  readonly done: number
}

type Asked = readonly [what: string, title: string, unit: string]

/** Things that are read beside the openings, where she has what they are about. */
function readAt(moment: WatchMoment, hasShaft: boolean): readonly Asked[] {
  const bilge: Asked = ['bilge', 'Water in the bilge', 'mm']
  const gland: Asked = ['gland', 'Gland', 'drops/min']
  switch (moment) {
    case 'slack':
      return []
    case 'atOnce':
      return hasShaft ? [bilge, gland, ['vent', 'Shaft seal vented', '']] : [bilge]
    case 'hour':
      return [bilge, ['pump', 'Pump runs by its switch', '']]
    case 'day':
      return hasShaft
        ? [
            bilge,
            ['gaps', 'Shaft gaps, widest less least', 'mm'],
            ['count', 'Pump starts', 'a day'],
          ]
        : [bilge, ['count', 'Pump starts', 'a day']]
    case 'week':
      return [bilge, ['valves', 'Valves worked', ''], ['clips', 'Hose clips nipped up', '']]
  }
}

/** Moments at which every opening is looked at again. */
const allOpenings: readonly WatchMoment[] = ['slack', 'hour', 'day']

/**
 * The watch of a launch. It begins with the first look with the slings slack; before that with `plannedInAt` (UTC ms),
 * when she is to be let in; null: not known.
 */
export function watchOf(
  rows: Pick<RefitRows, 'watchLook' | 'hullOpening' | 'zone'>,
  haulOutId: string,
  plannedInAt: number | null,
): WatchKnot[] {
  const looks = rows.watchLook.filter((one) => one.haulOutId === haulOutId)
  const slack = looks.filter((one) => one.moment === 'slack').map((one) => one.at)
  const inAt = slack.length > 0 ? Math.min(...slack) : plannedInAt
  const openings = bowToStern(rows)
  const hasShaft = openings.some((one) => one.kind === 'shaft')
  return watchMoments.map((moment): WatchKnot => {
    const lookAt = (what: string) =>
      looks
        .filter((one) => one.moment === moment && one.what === what)
        .reduce<Row<'watchLook'> | null>(
          (last, one) => (last === null || one.at > last.at ? one : last),
          null,
        )
    const asked: WatchThing[] = [
      ...(allOpenings.includes(moment)
        ? openings.map((opening) => ({
            what: `opening ${opening.id}`,
            title: opening.title,
            opening,
            unit: '',
          }))
        : []),
      ...readAt(moment, hasShaft).map(([what, title, unit]) => ({
        what,
        title,
        opening: null,
        unit,
      })),
    ].map((one) => ({ ...one, look: lookAt(one.what) }))
    return {
      moment,
      dueAt: inAt === null ? null : inAt + afterMs[moment],
      things: asked,
      done: asked.filter((one) => one.look !== null).length,
    }
  })
}

/** Looks at which something ran or weeped and no later one of the same thing was dry. */
export function stillWet(
  rows: Pick<RefitRows, 'watchLook'>,
  haulOutId: string,
): Row<'watchLook'>[] {
  const last = new Map<string, Row<'watchLook'>>()
  for (const one of [...rows.watchLook].sort((a, b) => a.at - b.at))
    if (one.haulOutId === haulOutId && one.what.startsWith('opening ')) last.set(one.what, one)
  return [...last.values()].filter((one) => one.outcome === 'weeps' || one.outcome === 'runs')
}
