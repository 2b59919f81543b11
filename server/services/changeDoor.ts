import type { Change, Heard } from '#core/model/changes'
import { alone } from './alone'
import { commit } from './commit'
import { firstAnswer } from './firstAnswer'
import { hold, openRefit } from './openRefit'
import type { OpenRefit } from './openRefit'
import { isStaged, stage } from './stage'
import type { Answered, Staged } from './stage'

/** A change at the door, and its sender. */
interface Waiting {
  readonly refitId: string
  readonly change: Change
  readonly answer: (heard: Heard) => void
  readonly fail: (error: unknown) => void
}

/** Changes written in one go at most. */
const mostTogether = 50

let waiting: Waiting[] = []

/**
 * The one door: a list of operations checked, written and journalled as a whole, then told to
 * everybody. The same change id twice is one change. Changes that wait at the same time are written in one
 * transaction, and answered when they are on the disk.
 * Throws Trouble 422 for what is wrong, 409 for what others changed meanwhile.
 */
export const passDoor = (refitId: string, change: Change): Promise<Heard> =>
  new Promise((answer, fail) => {
    waiting.push({ refitId, change, answer, fail })
    void alone(passWaiting)
  })

/** Lets in those that wait. An earlier call may have let them in already. */
async function passWaiting(): Promise<void> {
  const batch = waiting.slice(0, mostTogether)
  waiting = waiting.slice(batch.length)
  const through: { sender: Waiting; staged: Staged }[] = []
  const answered: { sender: Waiting; heard: Heard }[] = []
  // One memory a refit for the whole batch, whatever else is let go to make room.
  const ones = new Map<string, OpenRefit>()
  for (const sender of batch) {
    const { refitId, change } = sender
    try {
      const one = ones.get(refitId) ?? (await openRefit(refitId))
      ones.set(refitId, one)
      const twin = through.find(
        (other) =>
          other.sender.refitId === refitId && other.staged.change.changeId === change.changeId,
      )
      const heard = twin?.staged.heard ?? (await firstAnswer(one, change.changeId))
      const outcome: Staged | Answered = heard ? { heard } : await stage(one, change)
      if (isStaged(outcome)) through.push({ sender, staged: outcome })
      else answered.push({ sender, heard: outcome.heard })
    } catch (error) {
      sender.fail(error)
    }
  }
  try {
    await commit(through.map(({ staged }) => staged))
  } catch (error) {
    for (const { sender } of [...through, ...answered]) sender.fail(error)
    return
  }
  for (const { staged } of through) hold(staged.one)
  for (const { sender, staged } of through) sender.answer(staged.heard)
  for (const { sender, heard } of answered) sender.answer(heard)
}
