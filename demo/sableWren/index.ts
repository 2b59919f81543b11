import { emptyRows } from '#core/model/refit'
import type { RefitRows } from '#core/model/refit'
import type { Building } from '#core/testing/build'
import { zoneClock } from '#core/time/zone'
import { makePlan } from '#core/plan/makePlan'
import { derive } from '#core/progress/derive'
import { snapshotFigures } from '#core/week/review'
import { Writer } from '../write'
import { writeBags } from './bags'
import { writeBench } from './bench'
import { writeByRecipe } from './byRecipe'
import { writeFoundWork } from './foundWork'
import { writeFrame } from './frame'
import { writeLaunch } from './launch'
import { writeFirstDrain, writeLog } from './log'
import { writeMoney } from './money'
import { writePlannedMore } from './plannedMore'
import { earnInches, writeClocks, writeHours, writeSheets } from './records'
import { writeSeasonOne } from './seasonOne'
import { writeSeasonThree } from './seasonThree'
import { writeSeasonTwo } from './seasonTwo'
import { writeStores } from './stores'
import { writeWalks } from './walks'
import { writeCovers } from './weather'

/** Demo time starts here: Saturday 17 April 2027, 08:30 in the yard's zone (summer time). */
export const demoNow = Date.UTC(2027, 3, 17, 7, 30)

const writer = (weeks: number) =>
  new Writer(emptyRows() as Building, zoneClock('Europe/Dublin'), weeks)

/** The instant of a local time of the scenario, moved by `weeks`. */
export const demoAt = (when: string, weeks: number): number => writer(weeks).at(when)

/** The demo refit with every date moved by `weeks`. All names in it are made up. */
export function sableWren(refitId: string, weeks = 0): RefitRows {
  const write = writer(weeks)
  writeFrame(write, refitId)
  writeSeasonOne(write)
  writeSeasonTwo(write)
  writeByRecipe(write)
  writeSeasonThree(write)
  writePlannedMore(write)
  writeFoundWork(write)
  writeHours(write)
  // Nobody wrote down what it took.
  writeFirstDrain(write)
  earnInches(write)
  writeStores(write)
  writeMoney(write)
  writeClocks(write)
  writeSheets(write)
  writeBags(write)
  writeWalks(write)
  writeCovers(write)
  writeLaunch(write)
  writeLog(write)
  writeBench(write)
  lastWeek(write)
  return write.rows
}

/** Figures as they stood a week ago, before that week's work, so that the Week has something to say. */
function lastWeek(write: Writer): void {
  const at = write.at('2027-04-10 08:30')
  const before: RefitRows = {
    ...write.rows,
    job: write.rows.job.filter((job) => job.id !== 'ladder'),
    personDay: write.rows.personDay.filter((day) => day.kind === 'extraDay'),
    step: write.rows.step.map((step) =>
      (step.doneAt ?? 0) > at
        ? { ...step, state: 'open' as const, doneAt: null, earnedIn: null }
        : step,
    ),
  }
  const { plan } = makePlan(before, at)
  write.add('weekSnapshot', 'week-before', {
    week: write.date('2027-04-05'),
    at,
    figures: snapshotFigures(before, plan, derive(before, plan, at)),
  })
}
