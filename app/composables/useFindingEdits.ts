import type { Finding } from '#core/model/entities'
import { findingRemoval } from '#core/walk/removeFinding'
import { patchOf } from '#core/model/removal'
import { likelyPurpose, placingChanges, usualHours } from '#core/triage/triage'
import type { Placing } from '#core/triage/triage'

/** Edits of findings through the one door, each with its words for undo. */
export function useFindingEdits() {
  const store = useRefitStore()
  const edit = (finding: Finding, patch: Record<string, unknown>) =>
    store.attempt(`Change: ${finding.title}`, [patchOf('finding', finding, patch)])

  /** The changes that make a job of it, as triage does, with the gate that the finder asked for. */
  function jobChanges(finding: Finding, when: Finding['when'] = finding.when) {
    const launch = store.derived.launch?.gate.id
    const soon = when === 'gate' || when === 'now'
    const placing: Placing =
      when === 'later'
        ? { to: 'later' }
        : soon && launch
          ? { to: 'gate', gateId: launch }
          : { to: 'whenTime' }
    const judged = {
      purpose: likelyPurpose(store.rows, finding.zoneId),
      severity: finding.severity,
      hours: finding.hoursGuess ?? usualHours(store.rows),
    }
    const item = { kind: 'finding', id: finding.id, finding } as const
    return placingChanges(store.rows, item, judged, placing, newId)
  }
  /** Id of the new job; null when it was refused. What was chosen a moment ago is waited for. */
  async function makeJob(id: string): Promise<string | null> {
    await store.settled()
    const finding = store.rows.finding.find((one) => one.id === id)
    if (!finding) return null
    const { items, jobId } = jobChanges(finding)
    return (await store.attempt(`Job from: ${finding.title}`, items)) ? jobId : null
  }
  const mended = (finding: Finding) =>
    store.attempt(`Mended: ${finding.title}`, [patchOf('finding', finding, { state: 'gone' })])
  const again = (finding: Finding) =>
    store.attempt(`Open again: ${finding.title}`, [
      patchOf('finding', finding, {
        state: finding.jobId === null ? 'new' : 'jobMade',
        reason: '',
        lookAgainOn: null,
      }),
    ])
  const remove = (finding: Finding) =>
    store.attempt(`Remove: ${finding.title}`, findingRemoval(store.rows, finding))
  return { edit, jobChanges, makeJob, mended, again, remove }
}
