/** What it would take to put a finding right now, before the gate, or later. */
import type { ChangeItem } from '../model/changes'
import type { Finding } from '../model/entities'
import type { RefitRows } from '../model/refit'
import type { Derived } from '../progress/derive'
import { likelyPurpose, placingChanges, usualHours } from '../triage/triage'

type Seen = Pick<
  Finding,
  'title' | 'zoneId' | 'severity' | 'hoursGuess' | 'duringJobId' | 'spreading'
>

/**
 * The changes that would put it right now or before the launch: a job with one guessed step, which comes before
 * everything else when it is now. Nothing of it is kept: they are asked about.
 */
export function costOfWhen(
  rows: RefitRows,
  finding: Seen,
  when: 'now' | 'gate',
  derived: Pick<Derived, 'launch'>,
  newId: () => string,
): ChangeItem[] {
  const made = { ...finding, id: newId(), version: 1 } as unknown as Finding
  const gateId = derived.launch?.gate.id
  const { items } = placingChanges(
    rows,
    { kind: 'finding', id: made.id, finding: made },
    {
      purpose: likelyPurpose(rows, finding.zoneId),
      severity: finding.severity,
      hours: finding.hoursGuess ?? usualHours(rows),
    },
    gateId ? { to: 'gate', gateId } : { to: 'whenTime' },
    newId,
  )
  return items.flatMap((item): ChangeItem[] => {
    if (item.entity === 'finding') return []
    const first = when === 'now' && item.entity === 'job' && item.op === 'create'
    return [first ? { ...item, patch: { ...item.patch, pinnedRank: 1 } } : item]
  })
}

/** What speaks against later, in words. `ashoreOn` is the next lift-out after the launch to come; ''. */
export function laterRisk(
  rows: Pick<RefitRows, 'zone'>,
  finding: Pick<Finding, 'zoneId' | 'spreading' | 'severity'>,
  ashoreOn: string,
): string {
  const zone = rows.zone.find((one) => one.id === finding.zoneId)
  const wet = zone?.belowWaterline ?? false
  return [
    wet
      ? ashoreOn === ''
        ? 'It is under water until she comes out again, and no lift-out is down for that.'
        : `It is under water until ${ashoreOn}.`
      : 'It stays as it is, out of every gate.',
    finding.spreading ? 'It gets worse meanwhile.' : '',
    finding.severity === 4 ? 'You called it a danger.' : '',
  ]
    .filter(Boolean)
    .join(' ')
}
