import type { Step } from '../model/entities'
import { byId } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { hourMs } from '../time/civil'
import { arcsOf } from './network'
import type { Waits } from './waits'

/** True for steps whose predecessors are finished, their waits and those of the links over by an instant. */
export function readyBy(rows: RefitRows, waits: Waits, at: number): (step: Step) => boolean {
  const steps = byId(rows.step)
  const blocked = new Set<string>()
  for (const arc of arcsOf(rows)) {
    const from = steps.get(arc.from)
    const over =
      from?.state === 'done' && waits.afterDone(from, 0, arc.once) + arc.minWaitHours * hourMs <= at
    if (!over) blocked.add(arc.to)
  }
  return (step) => !blocked.has(step.id)
}
