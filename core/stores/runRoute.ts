/** In which order the shops of a run are seen, by their hours, and when one is back. */
import { minuteMs } from '../time/civil'
import type { Interval } from '../time/intervals'

/** Minutes in a shop. Assumed. */
export const inShopMin = 15

/** A shop of the run. Instants are UTC ms. */
export interface RunStop {
  readonly shopId: string
  readonly open: Interval
}

interface Visit {
  readonly shopId: string
  readonly from: number
  readonly to: number
}

export interface Route {
  readonly leaveAt: number
  readonly visits: readonly Visit[]
  readonly backAt: number
}

/** Minutes between two shops, or between a shop and where one comes from (null). */
export type WayMin = (from: string | null, to: string | null) => number

/** More shops than that are seen in the order in which they shut. */
const mostTried = 6

/** One order of shops, left at an instant; null: one of them shuts first. */
function along(order: readonly RunStop[], leaveAt: number, wayMin: WayMin): Route | null {
  let [at, here] = [leaveAt, null as string | null]
  const visits: Visit[] = []
  for (const { shopId, open } of order) {
    const from = Math.max(at + wayMin(here, shopId) * minuteMs, open[0])
    const to = from + inShopMin * minuteMs
    if (to > open[1]) return null
    visits.push({ shopId, from, to })
    ;[at, here] = [to, shopId]
  }
  return { leaveAt, visits, backAt: at + wayMin(here, null) * minuteMs }
}

function* orders(stops: readonly RunStop[]): Generator<RunStop[]> {
  if (stops.length <= 1) return yield [...stops]
  for (const [at, first] of stops.entries())
    for (const rest of orders(stops.filter((_, index) => index !== at))) yield [first, ...rest]
}

/** The order in which one is back first; null: they cannot all be seen before they shut. */
export function routeOf(stops: readonly RunStop[], leaveAt: number, wayMin: WayMin): Route | null {
  const shutFirst = [...stops].sort((a, b) => a.open[1] - b.open[1])
  const tried = stops.length > mostTried ? [shutFirst] : orders(shutFirst)
  let best: Route | null = null
  for (const order of tried) {
    const route = along(order, leaveAt, wayMin)
    if (route && (best === null || route.backAt < best.backAt)) best = route
  }
  return best
}

/** Leaving is looked at every so many minutes. */
const stepMin = 5

/**
 * The way through the shops that goes and comes back between two instants, left as early as it can be without waiting
 * before a door, and the last moment to leave; null: there is none.
 */
export function routeWithin(
  stops: readonly RunStop[],
  [from, to]: Interval,
  wayMin: WayMin,
): { readonly route: Route; readonly leaveBy: number } | null {
  const fits = (leaveAt: number): Route | null => {
    const route = routeOf(stops, leaveAt, wayMin)
    return route && route.backAt <= to ? route : null
  }
  const soonest = fits(from)
  if (!soonest || stops.length === 0) return null
  let [route, leaveBy] = [soonest, from]
  for (let at = from + stepMin * minuteMs; at <= to; at += stepMin * minuteMs) {
    const later = fits(at)
    if (!later) break
    // Standing before a shut door is no gain: whoever leaves later is back as early.
    if (later.backAt === route.backAt) route = later
    leaveBy = at
  }
  return { route, leaveBy }
}
