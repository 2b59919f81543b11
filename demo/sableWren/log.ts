import { keysAfter } from '#core/model/order'
import type { Writer } from '../write'

/** What the boat's book keeps besides sheets: two trials, checks, a meter, work before us, and what came again. */
export function writeLog(write: Writer): void {
  trials(write)
  checks(write)
  before(write)
  forNow(write)
}

/** A hose that does until the valve is renewed with its own. */
function forNow(write: Writer): void {
  const at = write.rows.step.findIndex(
    (one) => one.jobId === 'galley-hose' && one.title === 'New hose, double clips',
  )
  const one = write.rows.step[at]
  if (!one) throw new Error('the hose is not among the steps')
  write.rows.step[at] = {
    ...one,
    provisionalFor: 'hose of 38 mm: this is 35 mm on a reducer',
    provisionalNot: 'hot water',
    rightBeforeGateId: 'sail-away',
    rightByJobId: 'galley-valve',
  }
}

/** A repair of season one that did not hold. Written after all other work: nothing else is moved by it. */
export function writeFirstDrain(write: Writer): void {
  write.job(
    'drain-one',
    'Chain locker drain bedded',
    {
      zoneId: 'zone-bow-and-anchor-gear',
      systemId: 'system-deck',
      purpose: 'float',
      severity: 2,
    },
    [
      ['bed', 'Flange bedded, bare core', 1.5, { access: 'cramped', done: '2026-01-10 15:00' }],
      ['test', 'Locker filled, a quarter of an hour', 0.3, { done: '2026-01-10 15:40' }],
    ],
  )
}

function trials(write: Writer): void {
  write.add('trial', 'trial-antifoul', {
    title: 'Antifoul: hard to port, soft to starboard',
    jobId: 'bottom-one',
    systemId: 'system-finish',
    wayA: 'Hard',
    whereA: 'port',
    wayB: 'Soft',
    whereB: 'starboard',
    counted: 'Squares fouled, of 40 a side',
    outOf: 40,
    better: 'fewer',
    judgeOn: write.date('2026-10-03'),
    verdict: 'a',
    because: 'One summer, one berth, sun on one side: look once more.',
    order: 'd',
  })
  const counts: readonly (readonly ['a' | 'b', string, number])[] = [
    ['a', '2026-07-04', 3],
    ['b', '2026-07-04', 6],
    ['a', '2026-08-08', 6],
    ['b', '2026-08-08', 13],
    ['a', '2026-10-03', 9],
    ['b', '2026-10-03', 21],
  ]
  for (const [way, on, count] of counts)
    write.add('trialReading', `trial-antifoul-${way}-${on.slice(5)}`, {
      trialId: 'trial-antifoul',
      way,
      on: write.date(on),
      count,
    })
  write.add('trial', 'trial-anodes', {
    title: 'Anodes: A bare, B with joint paste',
    jobId: 'anodes',
    systemId: 'system-stern-gear',
    wayA: 'Bare metal',
    whereA: 'stud A',
    wayB: 'Joint paste',
    whereB: 'stud B',
    counted: 'Per cent of its weight gone',
    outOf: 100,
    better: 'fewer',
    judgeOn: write.date('2027-10-09'),
    order: 'h',
  })
}

function checks(write: Writer): void {
  write.add('meter', 'engine-hours', { title: 'Engine', unit: 'h', order: 'd' })
  for (const [on, value] of [
    ['2026-05-09', 67.2],
    ['2026-07-18', 92.5],
    ['2026-10-03', 128.4],
  ] as const)
    write.add('meterReading', `engine-${on}`, {
      meterId: 'engine-hours',
      on: write.date(on),
      value,
    })
  type More = Partial<{
    dueOn: string
    everyMonths: number
    atHaulOut: boolean
    dueAtValue: number
    everyValue: number
    systemId: string
  }>
  const list: readonly (readonly [string, More])[] = [
    ['Fire bottles weighed', { dueOn: '2027-04-01', everyMonths: 12, systemId: 'system-safety' }],
    ['Butyl at the port bases, nip up', { dueOn: '2027-05-02', systemId: 'system-deck' }],
    ['Cooling pump impeller', { dueAtValue: 150, everyValue: 150, systemId: 'system-propulsion' }],
    ['Shaft gaps, a day afloat', { dueOn: '2027-06-06', systemId: 'system-stern-gear' }],
    ['Gas hose date stamp', { dueOn: '2027-09-01', everyMonths: 60, systemId: 'system-safety' }],
    ['Heads bulkhead, moisture', { atHaulOut: true, systemId: 'system-structure' }],
    ['Anodes A and B weighed', { atHaulOut: true, systemId: 'system-stern-gear' }],
    ['Rudder bearing play', { atHaulOut: true, systemId: 'system-steering' }],
    ['Keel joint, a bright line', { atHaulOut: true, systemId: 'system-structure' }],
    ['Skeg fairing hairline', { atHaulOut: true, systemId: 'system-structure' }],
    ['Liferaft service', { dueOn: '2028-03-01', everyMonths: 36, systemId: 'system-safety' }],
    ['Rig pins and tapes', { dueOn: '2027-07-01', everyMonths: 6, systemId: 'system-rig' }],
    [
      'Gland, drops a minute',
      { dueOn: '2027-09-15', everyMonths: 6, systemId: 'system-stern-gear' },
    ],
    ['Extinguisher gauges', { dueOn: '2027-10-01', everyMonths: 6, systemId: 'system-safety' }],
    [
      'Steering cable tension',
      { dueOn: '2027-10-15', everyMonths: 12, systemId: 'system-steering' },
    ],
    [
      'Heads hoses, squeezed',
      { dueOn: '2027-11-01', everyMonths: 12, systemId: 'system-plumbing' },
    ],
    [
      'Lifejacket cylinders weighed',
      { dueOn: '2028-04-01', everyMonths: 12, systemId: 'system-safety' },
    ],
    [
      'Chainplates behind the lining',
      { dueOn: '2028-05-01', everyMonths: 24, systemId: 'system-rig' },
    ],
    [
      'Fuel filter, first stage',
      { dueAtValue: 250, everyValue: 100, systemId: 'system-propulsion' },
    ],
    ['Sea valves worked and greased', { atHaulOut: true, systemId: 'system-plumbing' }],
  ]
  const orders = keysAfter(null, list.length)
  list.forEach(([title, { dueOn, dueAtValue, ...more }], index) =>
    write.add('check', `check-${index + 1}`, {
      title,
      order: orders[index] as string,
      dueOn: dueOn ? write.date(dueOn) : null,
      ...(dueAtValue ? { dueAtValue, meterId: 'engine-hours' } : {}),
      ...more,
    }),
  )
}

function before(write: Writer): void {
  write.add('earlierWork', 'before-drain', {
    zoneId: 'zone-bow-and-anchor-gear',
    what: 'Drain flange set in silicone',
    year: 2011,
    byWhom: 'owner before',
  })
  write.add('earlierWork', 'before-deck', {
    zoneId: 'zone-side-deck-port',
    what: 'Crack gone over with filler',
    year: 2008,
    byWhom: 'owner before',
  })
  const weeps = write.rows.finding.findIndex((one) => one.title === 'Chain locker drain weeps')
  const one = write.rows.finding[weeps]
  if (!one) throw new Error('the drain is not among the findings')
  write.rows.finding[weeps] = { ...one, againAfterJobId: 'drain-one' }
}
