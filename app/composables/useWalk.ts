import { computed } from 'vue'
import type { Finding, Zone } from '#core/model/entities'
import { causeLetter, causeOffers } from '#core/walk/causes'
import { findingMark, marksByZone } from '#core/walk/marks'
import type { MarkGroup } from '#core/walk/marks'
import { currentWalk, nextStop } from '#core/walk/route'
import { toPutRight, walkFigures } from '#core/walk/walkFigures'
import { waysIn } from '#core/walk/waysIn'

/** What was found, as every part of Walk shows it. */
export function useWalk() {
  const store = useRefitStore()
  const jobs = computed(() => store.derived.jobs)
  const stateOf = (jobId: string) => jobs.value.get(jobId)?.state
  const byZone = computed(() => marksByZone(store.rows.zone, store.rows.finding, stateOf))
  const figures = computed(() => walkFigures(store.rows, jobs.value))
  const walk = computed(() => currentWalk(store.rows.walk))
  const next = computed(() => nextStop(store.rows, walk.value))
  const letterOf = (causeId: string | null): string => {
    const cause = store.rows.cause.find((one) => one.id === causeId)
    return cause ? causeLetter(cause, store.rows.cause) : ''
  }
  const markOf = (finding: Finding) => findingMark(finding, stateOf)
  const hoursOf = (findings: readonly Finding[]) => toPutRight(findings, jobs.value)
  const ways = computed(() => waysIn(store.rows, stateOf))
  const offers = computed(() => causeOffers(store.rows, stateOf))
  const zoneOf = (id: string | null): Zone | null =>
    store.rows.zone.find((one) => one.id === id) ?? null
  /** Letters of causes that explain something there, in order. */
  const lettersAt = (groups: readonly MarkGroup[]): string[] =>
    [
      ...new Set(
        groups
          .filter((group) => group.open)
          .flatMap((group) => group.findings.map((one) => letterOf(one.causeId))),
      ),
    ]
      .filter(Boolean)
      .sort()
  return {
    jobs,
    byZone,
    figures,
    walk,
    next,
    letterOf,
    markOf,
    hoursOf,
    ways,
    offers,
    zoneOf,
    lettersAt,
  }
}
