/** Hours, findings, parts, clocks and as-built sheets of the demo. */
import { createRandom } from '#core/random'
import { keysAfter } from '#core/model/order'
import { accessFactor, plannedHours } from '#core/plan/planned'
import { earnedInches, inchesForClosing, loaInches } from '#core/progress/inches'
import type { Operation } from '#core/model/words'
import type { Writer } from '../write'

/** How much longer each kind of work really took than guessed. */
const truth: Partial<Record<Operation, number>> = {
  drill: 2.2,
  fit: 2.3,
  strip: 1.9,
  laminate: 1.3,
  paint: 1.2,
  wire: 1.6,
  cut: 1.8,
}
const usualTruth = 1.7

/** Hours of every finished step, as its people would have written them down. */
export function writeHours(write: Writer): void {
  const dice = createRandom(1983)
  for (const step of write.rows.step) {
    if (step.state !== 'done' || step.doneAt === null) continue
    const factor = (truth[step.operation] ?? usualTruth) * (0.8 + dice() * 0.4)
    const hours = step.hoursLikely * accessFactor[step.access] * factor
    const who =
      step.crewMin > 1
        ? ['oona', 'piet']
        : [step.skill === 'electrics' || dice() < 0.4 ? 'piet' : 'oona']
    who.forEach((personId) =>
      write.add('hoursEntry', `h-${step.id}-${personId}`, {
        stepId: step.id,
        jobId: step.jobId,
        personId,
        on: write.clock.dateOf(step.doneAt ?? 0),
        hours: Math.min(24, Math.max(0.25, Math.round((hours / who.length) * 4) / 4)),
      }),
    )
  }
}

/** Inches of the finished steps, earned one after the other by the formula. */
export function earnInches(write: Writer): void {
  const { rows } = write
  const loaIn = loaInches(rows.refit[0]?.loaM ?? 0)
  const planned = new Set(rows.job.filter((job) => job.decision === 'plan').map((job) => job.id))
  const counted = rows.step.filter((step) => planned.has(step.jobId))
  let open = counted.reduce((sum, step) => sum + plannedHours(step), 0)
  const done = counted
    .filter((step) => step.state === 'done')
    .sort((a, b) => (a.doneAt ?? 0) - (b.doneAt ?? 0))
  for (const step of done) {
    const hours = plannedHours(step)
    const earnedIn = inchesForClosing(loaIn, earnedInches(rows.step), hours, open)
    rows.step[rows.step.indexOf(step)] = { ...step, earnedIn }
    open -= hours
  }
}

/** Clocks that run on Saturday 17 April at 08:30. */
export function writeClocks(write: Writer): void {
  const sheet = { refC: 20, minC: 8, maxC: 35, assumedC: 11 }
  write.add('clock', 'clock-plies', {
    title: 'Foredeck plies 1 to 4',
    kind: 'overcoat',
    stepId: 'foredeck-12',
    startedAt: write.at('2027-04-15 18:30'),
    opensH: 16,
    closesH: 72,
    ...sheet,
  })
  write.add('clockReading', 'reading-1', {
    clockId: 'clock-plies',
    at: write.at('2027-04-15 18:30'),
    tempC: 14,
  })
  write.add('clockReading', 'reading-2', {
    clockId: 'clock-plies',
    at: write.at('2027-04-17 02:00'),
    tempC: 9,
  })
  write.add('clockReading', 'reading-3', {
    clockId: 'clock-plies',
    at: write.at('2027-04-17 08:00'),
    tempC: 10,
  })
  write.add('clock', 'clock-barrier', {
    title: 'Barrier patch, rudder heel',
    kind: 'overcoat',
    stepId: null,
    startedAt: write.at('2027-04-16 17:10'),
    opensH: 12,
    closesH: 120,
    ...sheet,
    assumedC: 9,
  })
  write.add('clock', 'clock-pot', {
    title: 'Pot 1, trial cup',
    kind: 'pot',
    startedAt: write.at('2027-04-17 08:10'),
    closesH: 0.55,
    massG: 240,
    refMassG: 100,
    ...sheet,
    assumedC: 15,
  })
}

interface SheetLines {
  readonly jobId: string
  readonly lines: readonly (readonly [
    'material' | 'size' | 'setting' | 'clock',
    string,
    string,
    string?,
  ])[]
  readonly tests: readonly (readonly [string, string, string])[]
  readonly takeApart: string
  readonly nextTime?: string
  readonly check: readonly [string, string] | null
}
const sheets: readonly SheetLines[] = [
  {
    jobId: 'side-deck',
    lines: [
      ['material', 'Balsa core 12 mm', '1.6 m²', 'lot 411'],
      ['material', 'Epoxy, slow hardener', '5.2 kg', 'use by Nov 2027'],
      ['material', 'Biaxial cloth 450', '9.8 m²'],
      ['material', 'Butyl tape', '3 rolls'],
      ['size', 'Plies', '6 × biaxial 450'],
      ['size', 'Stanchion bolts', 'M8 × 70'],
      ['clock', 'Core bed, 21 Mar', '13 °C, mean of 5 readings: 26 h for 16 h at 20 °C'],
      ['clock', 'Plies 1 to 3, 28 Mar', '11 °C, mean of 4 readings: 29 h 50 for 16 h at 20 °C'],
      ['clock', 'Plies 4 to 6, 11 Apr', '14 °C, mean of 4 readings: 24 h 15 for 16 h at 20 °C'],
    ],
    tests: [
      ['Tap test', 'sharp all over', 'sharp'],
      ['Hose test', 'dry below after 10 min', 'dry'],
      ['Moisture meter, own scale', '8 to 10', '9, was 24'],
    ],
    takeApart:
      'Turn the nuts from below, never the bolts. Warm the bases; butyl lets go at hand heat.',
    nextTime:
      'Cut the solid insets before bedding starts. Peel ply if nobody is back in three days.',
    check: ['2027-10-09', 'Butyl round the bases, moisture meter'],
  },
  {
    jobId: 'valves-one',
    lines: [
      ['size', 'Clips', '2 a side, 40 mm'],
      ['material', 'Valve grease', 'thin film'],
      ['material', 'Hose clips, stainless', '38 mm, four'],
      ['material', 'Valve seal', '1 1/2"'],
    ],
    tests: [['Worked ten times', 'free, no weep', 'free']],
    takeApart: 'Drain the hose first. The cone lifts out upwards.',
    check: ['2027-10-09', 'Work and grease at the next haul-out'],
  },
  {
    jobId: 'drain-one',
    lines: [['material', 'Polysulphide, black', 'half a tube']],
    tests: [['Locker filled', 'dry below after 15 min', 'dry']],
    takeApart: 'From below, through the forecabin lining.',
    check: null,
  },
  {
    jobId: 'mast-step',
    lines: [
      ['material', 'Laminated oak', '90 × 140 × 600 mm'],
      ['size', 'Bolts', 'M12 × 180, 4 off'],
      ['setting', 'Torque', '60 Nm'],
    ],
    tests: [['Level athwart', 'within 1 mm', '0.5 mm']],
    takeApart: 'Mast out first. Bolts from above, keep the shims in order.',
    check: ['2028-05-01', 'Crushing under the heel'],
  },
  {
    jobId: 'galley-hose',
    lines: [['size', 'Hose', '38 mm, 1.1 m']],
    tests: [['Sink emptied', 'no drip at the clips', 'no drip']],
    takeApart: '',
    check: null,
  },
  {
    jobId: 'strip-out',
    lines: [['setting', 'Bags', '31, list in the blue book']],
    tests: [],
    takeApart: 'Bags by number; the wire list says what was cut.',
    check: null,
  },
  {
    jobId: 'shaft',
    lines: [
      ['size', 'Wear at the gland', '0.15 mm'],
      ['size', 'Bearing', '35 × 48 mm'],
    ],
    tests: [['Run-out', 'under 0.1 mm', '0.06 mm']],
    takeApart: '',
    check: null,
  },
  {
    jobId: 'bearers',
    lines: [
      ['material', 'Laminated larch strip', '3.2 m'],
      ['size', 'Screws', '5 × 60, every 150 mm'],
    ],
    tests: [['Jumped on', 'nothing moves', 'nothing moves']],
    takeApart: 'Screws from above, under the sole board edges.',
    check: null,
  },
  {
    jobId: 'tank',
    lines: [['setting', 'Chocks', 'oak, bedded, strap M8']],
    tests: [['Filled, a night', 'dry below', 'dry']],
    takeApart: 'Hoses off at the top first; it comes out over the port bearer.',
    check: ['2028-05-01', 'Seam and straps'],
  },
  {
    jobId: 'knee',
    lines: [
      ['size', 'Plies', '8 × biaxial 600'],
      ['material', 'Epoxy, slow hardener', '3.4 kg', 'use by Nov 2027'],
    ],
    tests: [['Tap over all of it', 'sharp', 'sharp']],
    takeApart: 'Locker out first, six screws behind the trim.',
    check: ['2027-10-09', 'Tap it again with the rig off'],
  },
  {
    jobId: 'stringer',
    lines: [['size', 'Plies', '6 × biaxial 600, 300 mm past the crack']],
    tests: [],
    takeApart: '',
    check: ['2027-10-09', 'Crack line in the paint'],
  },
  {
    jobId: 'sole-wires',
    lines: [
      ['size', 'Wire', '2.5 mm², tinned'],
      ['setting', 'Fuses', '10 A, list in the panel door'],
    ],
    tests: [['Polarity of each', 'right', 'right']],
    takeApart: 'On the shelf behind the port settee, clipped every 200 mm.',
    check: null,
  },
  {
    jobId: 'bulkhead-foot',
    lines: [['material', 'Marine ply 15 mm', '0.3 m²']],
    tests: [],
    takeApart: '',
    check: ['2027-10-09', 'Moisture meter at the foot'],
  },
]

export function writeSheets(write: Writer): void {
  for (const { jobId, lines, tests, takeApart, nextTime, check } of sheets) {
    const job = write.rows.job.find((one) => one.id === jobId)
    const steps = write.rows.step.filter((step) => step.jobId === jobId)
    const doneAt = Math.max(...steps.map((step) => step.doneAt ?? 0))
    const hours = write.rows.hoursEntry.filter((entry) => entry.jobId === jobId)
    const sheetId = `sheet-${jobId}`
    write.add('asBuiltSheet', sheetId, {
      jobId,
      systemId: job?.systemId ?? null,
      title: job?.title ?? jobId,
      where: write.rows.zone.find((zone) => zone.id === job?.zoneId)?.name ?? '',
      doneOn: write.clock.dateOf(doneAt),
      who: 'Oona, Piet',
      hours: hours.reduce((sum, entry) => sum + entry.hours, 0),
      takeApart,
      nextTime: nextTime ?? '',
      nextCheckOn: check ? write.date(check[0]) : null,
      nextCheckWhat: check?.[1] ?? '',
    })
    const lineOrders = keysAfter(null, lines.length)
    lines.forEach(([kind, what, value, batch], index) =>
      write.add('asBuiltLine', `${sheetId}-l${index}`, {
        sheetId,
        kind,
        what,
        value,
        batch: batch ?? '',
        order: lineOrders[index] as string,
      }),
    )
    const testOrders = keysAfter(null, tests.length)
    tests.forEach(([what, expected, measured], index) =>
      write.add('asBuiltTest', `${sheetId}-t${index}`, {
        sheetId,
        what,
        expected,
        measured,
        outcome: 'passed',
        order: testOrders[index] as string,
      }),
    )
  }
}
