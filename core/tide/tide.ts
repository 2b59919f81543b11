/** Heights of the tide at a place: harmonic, or along a typed table of high and low waters. */
import { constituents as known, createTidePredictor } from '@neaps/tide-predictor'
import type { Row } from '../model/entities'
import type { TideConstituent, TideTurn } from '../model/entities/launch'
import { dayMs, hourMs, minuteMs } from '../time/civil'
import { dayMemo } from '../time/dayMemo'
import type { Interval } from '../time/intervals'

export interface Tide {
  /** Metres over chart datum at an instant (UTC ms); null: nothing is known of then. */
  heightAt(at: number): number | null
  /** High and low waters inside a stretch. */
  turns(from: number, to: number): readonly TideTurn[]
}

type Station = Pick<Row<'tideStation'>, 'basis' | 'meanM' | 'constituents' | 'turns'>

/** Heights are worked out so often, and lie on a straight line between: 2 mm off at the most in 5 m of range. */
const sampleMs = 10 * minuteMs
/** Two turns of a table further apart than this have one missing between them. */
const longestHalfTideMs = 14 * hourMs

/** Names of constituents whose place in the sky is known; others cannot be reckoned with. */
export const isKnownConstituent = (name: string): boolean => known[name] !== undefined

/**
 * h(t) = Z0 + Σ H·f·cos(ωt + V0 + u − g), t in UTC, f and u of the nodal cycle. Source: handbook 6; f and u as the
 * predictor has them. Weather is not in it.
 */
function harmonic(meanM: number, list: readonly TideConstituent[]): Tide {
  const predictor = createTidePredictor(
    list.map(({ name, amplitudeM, phaseDeg }) => ({
      name,
      amplitude: amplitudeM,
      phase: phaseDeg,
    })),
    { offset: meanM },
  )
  const samples = dayMemo((day) =>
    predictor
      .getTimelinePrediction({
        start: new Date(day * dayMs),
        end: new Date((day + 1) * dayMs),
        timeFidelity: sampleMs / 1000,
      })
      .map((one) => one.level),
  )
  return {
    heightAt(at) {
      const day = Math.floor(at / dayMs)
      const place = (at - day * dayMs) / sampleMs
      const index = Math.min(Math.floor(place), dayMs / sampleMs - 1)
      const [a, b] = [samples(day)[index] ?? 0, samples(day)[index + 1] ?? 0]
      return a + (b - a) * (place - index)
    },
    turns: (from, to) =>
      predictor
        .getExtremesPrediction({ start: new Date(from), end: new Date(to) })
        .map((one) => ({ at: one.time.getTime(), heightM: one.level })),
  }
}

/** Index of the first turn at or after an instant; the length where there is none. */
function firstFrom(sorted: readonly TideTurn[], at: number): number {
  let [low, high] = [0, sorted.length]
  while (low < high) {
    const middle = (low + high) >> 1
    if ((sorted[middle]?.at ?? Infinity) >= at) high = middle
    else low = middle + 1
  }
  return low
}

/** Half a cosine from each turn of a table to the next: the usual curve between high and low water. */
function tabled(turns: readonly TideTurn[]): Tide {
  const sorted = [...turns].sort((a, b) => a.at - b.at)
  return {
    heightAt(at) {
      const next = firstFrom(sorted, at)
      const [a, b] = [sorted[next - 1], sorted[next]]
      if (b?.at === at) return b.heightM
      if (!a || !b || b.at - a.at > longestHalfTideMs) return null
      const turned = Math.cos((Math.PI * (at - a.at)) / (b.at - a.at))
      return (a.heightM + b.heightM) / 2 + ((a.heightM - b.heightM) / 2) * turned
    },
    turns: (from, to) => sorted.filter((one) => one.at >= from && one.at <= to),
  }
}

/** The tide of a station as it was given. */
export const tideOf = (station: Station): Tide =>
  station.basis === 'table' ? tabled(station.turns) : harmonic(station.meanM, station.constituents)

/** The tide of a place that has it so many minutes after a station, and so much higher. */
export function offsetTide(tide: Tide, minutes: number, higherM: number): Tide {
  const later = minutes * minuteMs
  return {
    heightAt(at) {
      const height = tide.heightAt(at - later)
      return height === null ? null : height + higherM
    },
    turns: (from, to) =>
      tide
        .turns(from - later, to - later)
        .map((one) => ({ at: one.at + later, heightM: one.heightM + higherM })),
  }
}

/** Stretches of [from, to) in which the water stands at least so high. Where nothing is known there is none. */
export function waterOver(tide: Tide, needM: number, from: number, to: number): Interval[] {
  const found: [number, number][] = []
  let last: { at: number; over: number | null } | null = null
  for (let at = from; ; at = Math.min(at + sampleMs, to)) {
    const height = tide.heightAt(at)
    const over = height === null ? null : height - needM
    if (last !== null && last.over !== null && over !== null && (last.over >= 0 || over >= 0)) {
      const crossing =
        last.over >= 0 === over >= 0
          ? null
          : last.at + ((at - last.at) * last.over) / (last.over - over)
      const [a, b] = [
        last.over >= 0 ? last.at : (crossing ?? at),
        over >= 0 ? at : (crossing ?? last.at),
      ]
      const before = found.at(-1)
      if (before && before[1] >= a) before[1] = b
      else found.push([a, b])
    }
    last = { at, over }
    if (at >= to) return found.filter(([a, b]) => b > a)
  }
}

/** Metres by which air pressure lifts the water over what was predicted; about 1 cm a hPa. Source: handbook 6. */
export const pressureLiftM = (hPa: number): number => -0.01 * (hPa - 1013)
