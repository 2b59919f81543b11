/** The maker's sheet of the posts, what the rigger and the tank maker are asked, ways to a part, who wants the drill. Made up. */
import { keysAfter } from '#core/model/order'
import type { Writer } from '../write'

/** Mark, mm from the stem, height, lean outwards, foot. */
const posts: readonly (readonly [string, number, number, number, string, boolean?])[] = [
  ['1', 640, 612, 0, 'end, brace'],
  ['2', 1910, 612, 2, 'four holes'],
  ['3', 3170, 612, 3, 'four holes'],
  ['4', 4440, 610, 4, 'hinge aft', true],
  ['5', 5705, 610, 4, 'hinge aft'],
  ['6', 6980, 610, 3, 'four holes'],
  ['7', 8240, 612, 2, 'four holes'],
  ['8', 9420, 615, 0, 'end, brace'],
]

/** Booking, what, proposal, cents, days, answer. */
const lines: readonly (readonly [
  string,
  string,
  string?,
  number?,
  number?,
  ('open' | 'taken' | 'left')?,
])[] = [
  [
    'asked-rig-1',
    'Lower shrouds: a broken strand at the swage',
    'Renew all four lowers',
    24_000,
    undefined,
    'taken',
  ],
  [
    'asked-rig-1',
    'Mast foot: white powder round the step',
    'Lift and look while the mast is out',
    9000,
    0.5,
    'open',
  ],
  ['asked-rig-1', 'Forestay pin is bent'],
  ['asked-fuel-tank-2', 'Old tank: pitting along the aft seam'],
  [
    'asked-fuel-tank-2',
    'Inspection plate large enough for an arm',
    'Two plates instead of one',
    6500,
    0,
    'left',
  ],
]

const ways: readonly (readonly [
  string,
  'used' | 'mend' | 'new',
  string,
  number,
  number,
  number,
  number,
])[] = [
  ['heads-bowl', 'mend', 'new seals, bowl kept', 4500, 5, 3, 80],
  ['heads-bowl', 'used', 'from a breaker, unseen', 9000, 3, 7, 60],
  ['heads-bowl', 'new', '', 23_900, 0, 21, 100],
]

export function writeOnPaper(write: Writer): void {
  write.add('makerSheet', 'sheet-3', {
    number: '3',
    title: 'Posts and rail, starboard',
    supplierId: 'brannock',
    jobId: 'posts',
    hand: 'starboard',
    seenFrom: 'outboard',
    datum: 'the stem',
    material: '316, polished',
    sentOn: write.date('2027-03-30'),
    note: 'Taped along the deck edge. The number is painted on the deck beside each foot.',
  })
  const orders = keysAfter(null, posts.length)
  posts.forEach(([mark, atMm, heightMm, leanDeg, foot, isGateNext], index) =>
    write.add('makerItem', `sheet-3-${mark}`, {
      sheetId: 'sheet-3',
      mark,
      atMm,
      heightMm,
      leanDeg,
      foot,
      isGateNext: isGateNext ?? false,
      order: orders[index] as string,
    }),
  )
  const lineOrders = keysAfter(null, lines.length)
  lines.forEach(([bookingId, what, proposal, proposalMinor, proposalDays, answer], index) =>
    write.add('tradeItem', `trade-item-${index + 1}`, {
      bookingId,
      what,
      proposal: proposal ?? '',
      proposalMinor: proposalMinor ?? null,
      proposalDays: proposalDays ?? null,
      answer: answer ?? 'none',
      answeredOn: answer === 'taken' || answer === 'left' ? write.date('2027-04-12') : null,
      answeredById: answer === 'taken' || answer === 'left' ? 'oona' : null,
      order: lineOrders[index] as string,
    }),
  )
  const wayOrders = keysAfter(null, ways.length)
  ways.forEach(([partId, way, what, priceMinor, ownHours, leadDays, chancePercent], index) =>
    write.add('partWay', `way-${index + 1}`, {
      partId,
      way,
      what,
      priceMinor,
      ownHours,
      leadDays,
      chancePercent,
      order: wayOrders[index] as string,
    }),
  )
}
