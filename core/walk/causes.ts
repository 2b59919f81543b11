/** One cause of several findings: where one is likely, the job that mends all of it, and the test that closes it. */
import type { ChangeItem } from '../model/changes'
import type { Finding, Row, Zone } from '../model/entities'
import { keyBetween, keysAfter } from '../model/order'
import { groupBy, inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { patchOf } from '../model/removal'
import type { JobState } from '../progress/jobState'
import { likelyPurpose } from '../triage/triage'
import { findingMark } from './marks'
import { wayThrough } from './waysIn'

type Cause = Row<'cause'>

export interface CauseOffer {
  readonly key: string
  /** What they have in common. */
  readonly because: string
  readonly title: string
  readonly findings: readonly Finding[]
}

/** From so many on a pattern is worth a word. */
const fewest = 3
/** A support within this share of the length below or above is "at" a finding. */
const nearSupport = 0.04

type Rows = Pick<RefitRows, 'finding' | 'zone' | 'wayIn' | 'support' | 'system'>

/** Where one cause is likely: open findings without one that agree on side and system, on the bay, or on a support. */
export function causeOffers(
  rows: Rows,
  stateOf: (jobId: string) => JobState | undefined,
): CauseOffer[] {
  const zones = new Map(rows.zone.map((zone) => [zone.id, zone]))
  const free = rows.finding.filter(
    (one) => one.causeId === null && findingMark(one, stateOf).open && zones.has(one.zoneId ?? ''),
  )
  const zoneOf = (one: Finding) => zones.get(one.zoneId ?? '') as Zone
  const taken = new Set<string>()
  const offers: CauseOffer[] = []
  const offer = (key: string, because: string, title: string, list: readonly Finding[]): void => {
    const left = list.filter((one) => !taken.has(one.id))
    if (left.length < (key.startsWith('support') ? 2 : fewest)) return
    for (const one of left) taken.add(one.id)
    offers.push({ key, because, title, findings: left })
  }
  for (const support of rows.support.filter((one) => one.side !== 'centre'))
    offer(
      `support ${support.id}`,
      `Both lie at ${support.title}, ${support.side}.`,
      `${support.title} presses there`,
      free.filter((one) => {
        const zone = zoneOf(one)
        const at = one.pointX ?? zone.along
        return (
          (zone.belowWaterline || zone.strake === 'underwater') &&
          (zone.side === support.side || zone.side === 'both') &&
          at !== null &&
          Math.abs(at - support.along) <= nearSupport
        )
      }),
    )
  const bySideAndSystem = groupBy(
    free.filter((one) => one.systemId !== null && zoneOf(one).side !== 'centre'),
    (one) => `${zoneOf(one).side} ${zoneOf(one).strake} ${one.systemId}`,
  )
  for (const [key, list] of bySideAndSystem) {
    const [first] = list
    if (!first) continue
    const system = rows.system.find((one) => one.id === first.systemId)
    const { side } = zoneOf(first)
    const name = system?.name.toLowerCase() ?? ''
    offer(
      `side ${key}`,
      `${list.length} of the same kind (${name}) on ${side === 'both' ? 'both sides' : side}.`,
      `${system?.name ?? ''}, ${side}`,
      list,
    )
  }
  const byBay = groupBy(free, (one) => {
    const own = rows.wayIn.find((way) => way.id === zoneOf(one).wayInId)
    return own ? (wayThrough(own, rows.wayIn).at(-1)?.id ?? '') : ''
  })
  for (const [wayId, list] of byBay) {
    const way = rows.wayIn.find((one) => one.id === wayId)
    if (way)
      offer(`bay ${wayId}`, `${list.length} lie behind ${way.title}.`, `Behind ${way.title}`, list)
  }
  return offers
}

export interface CauseJob {
  readonly title: string
  /** The test that closes it. */
  readonly test: string
  /** Person-hours for one of them. */
  readonly hoursEach: number
  readonly gateId: string | null
}

/** How many are meant: each finding counts for as many as it says. */
export const countOf = (findings: readonly Finding[]): number =>
  findings.reduce((sum, one) => sum + one.howMany, 0)

/** The changes that make findings one cause with one job: its steps are for all of them, and its test comes last. */
export function joinChanges(
  rows: RefitRows,
  findings: readonly Finding[],
  { title, test, hoursEach, gateId }: CauseJob,
  newId: () => string,
): { readonly items: ChangeItem[]; readonly jobId: string; readonly causeId: string } {
  const [causeId, jobId] = [newId(), newId()]
  const many = countOf(findings)
  const worst = [...findings].sort((a, b) => b.severity - a.severity)[0]
  const orders = keysAfter(null, 2)
  const create = (
    entity: ChangeItem['entity'],
    id: string,
    patch: Record<string, unknown>,
  ): ChangeItem => ({ op: 'create', entity, id, patch })
  return {
    causeId,
    jobId,
    items: [
      create('job', jobId, {
        title,
        detail: findings.map((one) => one.title).join('\n'),
        zoneId: worst?.zoneId ?? null,
        systemId: worst?.systemId ?? null,
        purpose: likelyPurpose(rows, worst?.zoneId ?? null),
        severity: worst?.severity ?? 2,
        spreading: findings.some((one) => one.spreading),
        gateId,
        placed: true,
        parentJobId: findings.find((one) => one.duringJobId !== null)?.duringJobId ?? null,
        order: keyBetween(inOrder(rows.job).at(-1)?.order ?? null, null),
      }),
      create('step', newId(), {
        jobId,
        title: many > 1 ? `Put right, ${many} of them` : 'Put it right',
        operation: 'fit',
        hoursLikely: Math.round(hoursEach * many * 100) / 100,
        order: orders[0],
      }),
      create('step', newId(), {
        jobId,
        title: test,
        operation: 'test',
        hoursLikely: 0.5,
        order: orders[1],
      }),
      create('cause', causeId, {
        title,
        test,
        jobId,
        order: keyBetween(inOrder(rows.cause).at(-1)?.order ?? null, null),
      }),
      ...findings.map((one) => patchOf('finding', one, { state: 'jobMade', jobId, causeId })),
    ],
  }
}

/**
 * The test of a cause failed: its test step opens again with a step before it to put it right once more, so that
 * job and findings stand open. Nothing when the cause has no job with a test.
 */
export function failedTestChanges(
  rows: RefitRows,
  cause: Cause,
  newId: () => string,
): ChangeItem[] {
  const steps = inOrder(rows.step.filter((one) => one.jobId === cause.jobId))
  const at = steps.findLastIndex((one) => one.operation === 'test')
  const test = steps[at]
  if (!test || cause.jobId === null) return []
  return [
    {
      op: 'create',
      entity: 'step',
      id: newId(),
      patch: {
        jobId: cause.jobId,
        title: `Once more: ${cause.title}`.slice(0, 300),
        operation: 'fit',
        hoursLikely: 1,
        order: keyBetween(steps[at - 1]?.order ?? null, test.order),
      },
    },
    ...(test.state === 'open' ? [] : [patchOf('step', test, { state: 'open', doneAt: null })]),
    ...rows.finding
      .filter((one) => one.causeId === cause.id && one.state === 'gone')
      .map((one) => patchOf('finding', one, { state: 'jobMade' })),
  ]
}

/** Letters of causes, in their order: A, B … Z, then AA. */
export function causeLetter(cause: Cause, causes: readonly Cause[]): string {
  const at = inOrder(causes).findIndex((one) => one.id === cause.id)
  const letter = (n: number): string =>
    n < 26 ? String.fromCharCode(65 + n) : letter(Math.floor(n / 26) - 1) + letter(n % 26)
  return letter(Math.max(0, at))
}
