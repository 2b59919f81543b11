import type { CountSheet, Member } from '../model/entities'
import { memberKinds } from '../model/words'
import type { MemberKind } from '../model/words'
import { chanceOf, expectedBad, renewFrom } from './expected'
import type { Expected } from './expected'

const isBad = (member: Pick<Member, 'seen' | 'marks'>): boolean =>
  member.seen && member.marks.length > 0

interface KindFigures {
  readonly kind: MemberKind
  readonly all: number
  readonly seen: number
  readonly bad: number
  readonly unseen: number
  readonly expected: Expected
}

export interface SheetFigures {
  readonly kinds: readonly KindFigures[]
  /** The kind there are most of: what the choice below is about. */
  readonly main: KindFigures
  /** Bad ones in all, as expected, whole. */
  readonly likelyBad: number
  readonly renewFrom: number
  /** Chance that renewing all would have been the cheaper, 0 to 1. */
  readonly chanceRenew: number
  readonly better: 'mend' | 'renew'
  readonly mendHours: number
  readonly mendMinor: number
  readonly renewHours: number
  readonly renewMinor: number
  /** Hours to open and shut the bays that hold the bad ones or unseen ones; in both sums. */
  readonly openHours: number
  /** Where the bad ones lie when they lie apart from what is unseen; null: mixed, or nothing to say. */
  readonly lopsided: 'forward' | 'aft' | null
}

/** Everything a count sheet says. Null while it has no members. Stations are counted from the bow. */
export function sheetFigures(sheet: CountSheet, members: readonly Member[]): SheetFigures | null {
  const own = members.filter((one) => one.sheetId === sheet.id)
  if (own.length === 0) return null
  const kinds = memberKinds.flatMap((kind): KindFigures[] => {
    const list = own.filter((one) => one.kind === kind)
    if (list.length === 0) return []
    const [seen, bad] = [list.filter((one) => one.seen), list.filter(isBad)]
    const unseen = list.length - seen.length
    const expected = expectedBad(bad.length, seen.length - bad.length, unseen)
    return [{ kind, all: list.length, seen: seen.length, bad: bad.length, unseen, expected }]
  })
  kinds.sort((a, b) => b.all - a.all)
  const main = kinds[0] as KindFigures
  const likelyBad = Math.round(main.bad + main.expected.more)
  const limit = renewFrom(sheet.renewHours, sheet.mendHours)
  const better = likelyBad >= limit ? 'renew' : 'mend'
  const openHours = sheet.bays.reduce((sum, bay) => sum + bay.hours, 0)
  return {
    kinds,
    main,
    likelyBad,
    renewFrom: limit,
    chanceRenew: chanceOf(main.expected, main.bad, limit),
    better,
    mendHours: likelyBad * sheet.mendHours + openHours,
    mendMinor: likelyBad * sheet.mendMinor,
    renewHours: sheet.renewHours + openHours,
    renewMinor: sheet.renewMinor,
    openHours,
    lopsided: lopsided(own.filter((one) => one.kind === main.kind)),
  }
}

/** Bad ones all on one side of everything unseen: the share seen there may not hold for the rest. */
function lopsided(members: readonly Member[]): 'forward' | 'aft' | null {
  const stations = (list: readonly Member[]) => list.map((one) => one.station)
  const [bad, unseen] = [
    stations(members.filter(isBad)),
    stations(members.filter((one) => !one.seen)),
  ]
  if (bad.length < 2 || unseen.length === 0) return null
  if (Math.max(...bad) < Math.min(...unseen)) return 'forward'
  return Math.min(...bad) > Math.max(...unseen) ? 'aft' : null
}
