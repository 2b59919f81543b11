/** How a finding is marked: how deep the block is cut says how bad, what fills the cut says how it stands. */
import type { Finding, Zone } from '../model/entities'
import { inOrder } from '../model/refit'
import { strakes } from '../model/words'
import type { Strake } from '../model/words'
import type { JobState } from '../progress/jobState'

/** Nothing: no word yet; a wedge: job in the plan; a board: watched; struck: accepted; a flush wedge: mended. */
export type Fill = 'none' | 'job' | 'watched' | 'accepted' | 'mended'

export interface FindingMark {
  readonly fill: Fill
  /** Not mended and not accepted as it is. */
  readonly open: boolean
  /** Somebody still has to say what is to be done. */
  readonly toSettle: boolean
}

type StateOf = (jobId: string) => JobState | undefined

/**
 * How a finding stands. One whose job is done is mended; one whose job was dropped waits for a word again, and one
 * whose job was accepted as it is, is accepted.
 */
export function findingMark(
  finding: Pick<Finding, 'state' | 'jobId'>,
  stateOf: StateOf,
): FindingMark {
  const fill = fillOf(finding, stateOf)
  return {
    fill,
    open: fill !== 'mended' && fill !== 'accepted',
    toSettle: fill === 'none',
  }
}

function fillOf({ state, jobId }: Pick<Finding, 'state' | 'jobId'>, stateOf: StateOf): Fill {
  if (state === 'gone') return 'mended'
  if (state === 'watch') return 'watched'
  if (state === 'accepted') return 'accepted'
  if (state === 'new') return 'none'
  // Before findings knew their job only the state was kept.
  if (jobId === null) return 'job'
  const job = stateOf(jobId)
  if (job === 'done') return 'mended'
  if (job === 'accepted') return 'accepted'
  return job === undefined || job === 'dropped' ? 'none' : 'job'
}

/** Findings of one place that look alike on the map. */
export interface MarkGroup {
  readonly severity: number
  readonly fill: Fill
  readonly open: boolean
  readonly findings: readonly Finding[]
  /** How many are meant: each finding counts for as many as it says. */
  readonly many: number
}

export interface ZoneMarks {
  /** Null: place not said. */
  readonly zone: Zone | null
  /** Open first, worst first, no word before the rest. */
  readonly groups: readonly MarkGroup[]
  readonly open: number
  readonly toSettle: number
  readonly dangers: number
}

const fillOrder: readonly Fill[] = ['none', 'job', 'watched', 'accepted', 'mended']

export function groupsOf(findings: readonly Finding[], stateOf: StateOf): MarkGroup[] {
  const groups = new Map<string, MarkGroup>()
  for (const finding of findings) {
    const { fill, open } = findingMark(finding, stateOf)
    const key = `${finding.severity} ${fill}`
    const was = groups.get(key)
    groups.set(key, {
      severity: finding.severity,
      fill,
      open,
      findings: [...(was?.findings ?? []), finding],
      many: (was?.many ?? 0) + finding.howMany,
    })
  }
  return [...groups.values()].sort(
    (a, b) =>
      Number(b.open) - Number(a.open) ||
      b.severity - a.severity ||
      fillOrder.indexOf(a.fill) - fillOrder.indexOf(b.fill),
  )
}

/** At most so many groups: the rest goes into the worst one, with the total. */
export function mergedGroups(groups: readonly MarkGroup[], most: number): readonly MarkGroup[] {
  if (groups.length <= most) return groups
  const kept = groups.slice(0, Math.max(1, most))
  const [first, ...others] = kept as [MarkGroup, ...MarkGroup[]]
  const rest = groups.slice(kept.length)
  const all = [first, ...rest]
  return [
    {
      ...first,
      findings: all.flatMap((one) => one.findings),
      many: all.reduce((sum, one) => sum + one.many, 0),
    },
    ...others,
  ]
}

/** Levels of the list: what lies on deck and aloft, what is below, what is under water, and the rest. */
export const listLevels = [
  { key: 'deck', title: 'Deck and rig', strakes: ['deck', 'rig'] },
  { key: 'below', title: 'Below', strakes: ['below'] },
  { key: 'underwater', title: 'Under water', strakes: ['underwater'] },
  { key: 'away', title: 'Shed and away', strakes: ['shed', 'away'] },
] as const satisfies readonly {
  readonly key: string
  readonly title: string
  readonly strakes: readonly Strake[]
}[]

/** Places from bow to stern, strake by strake; those of unknown distance last. */
export const bowToStern = (zones: readonly Zone[]): Zone[] =>
  inOrder(zones).sort(
    (a, b) =>
      strakes.indexOf(a.strake) - strakes.indexOf(b.strake) || (b.along ?? -1) - (a.along ?? -1),
  )

/** Marks of every place that has any, bow to stern; findings without a place last. */
export function marksByZone(
  zones: readonly Zone[],
  findings: readonly Finding[],
  stateOf: StateOf,
): ZoneMarks[] {
  const known = new Set(zones.map((zone) => zone.id))
  const byZone = new Map<string | null, Finding[]>()
  for (const finding of findings) {
    const key = finding.zoneId !== null && known.has(finding.zoneId) ? finding.zoneId : null
    byZone.set(key, [...(byZone.get(key) ?? []), finding])
  }
  return [...bowToStern(zones), null].flatMap((zone): ZoneMarks[] => {
    const own = byZone.get(zone?.id ?? null)
    if (!own) return []
    const groups = groupsOf(own, stateOf)
    const marks = own.map((one) => ({ one, mark: findingMark(one, stateOf) }))
    return [
      {
        zone,
        groups,
        open: marks.filter(({ mark }) => mark.open).length,
        toSettle: marks.filter(({ mark }) => mark.toSettle).length,
        dangers: marks.filter(({ one, mark }) => mark.open && one.severity === 4).length,
      },
    ]
  })
}
