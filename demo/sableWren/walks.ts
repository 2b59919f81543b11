import { keysAfter } from '#core/model/order'
import type { Writer } from '../write'
import { writeFindings } from './walkFindings'
import { writePanel } from './walkPanel'

/** Walks of two seasons: 45 findings, three maps of one panel, a count sheet, supports, and what she is made of. */
export function writeWalks(write: Writer): void {
  makeUp(write)
  waysIn(write)
  causes(write)
  writeFindings(write)
  readings(write)
  writePanel(write)
  soleSheet(write)
  standing(write)
  outlooks(write)
  leaks(write)
  limits(write)
  walks(write)
}

/** The same made-up boat as in frame.ts, with what was measured of her skins. */
function makeUp(write: Writer): void {
  const patch = (id: string, more: Record<string, unknown>): void => {
    const at = write.rows.zone.findIndex((one) => one.id === id)
    const was = write.rows.zone[at]
    if (!was) throw new Error(`no ${id}`)
    write.rows.zone[at] = { ...was, ...more }
  }
  const balsa = {
    coreKind: 'balsa',
    outerMm: 4,
    coreMm: 16,
    innerMm: 3,
    solidIslands: 'Under the bow roller and the bitt',
    measuredBy: 'oona',
    measuredOn: write.date('2026-10-04'),
    measuredAt: 'hole of the cleat',
  }
  for (const id of [
    'foredeck-port',
    'foredeck-starboard',
    'side-deck-port',
    'side-deck-starboard',
    'coachroof',
  ])
    patch(`zone-${id}`, balsa)
  patch('zone-cockpit', {
    coreKind: 'wood',
    outerMm: 12,
    measuredBy: 'piet',
    measuredOn: write.date('2026-10-10'),
    measuredAt: 'drain',
  })
  const solid = {
    coreKind: 'solid',
    outerMm: 22,
    oldCoat: 'Hard antifouling',
    measuredBy: 'oona',
    measuredOn: write.date('2026-02-14'),
    measuredAt: 'sink valve',
  }
  for (const id of ['underwater-hull-port', 'underwater-hull-starboard', 'topsides'])
    patch(`zone-${id}`, solid)
  patch('zone-forecabin', { wayInId: 'way-sole' })
  patch('zone-bilge', { wayInId: 'way-sole' })
  patch('zone-foredeck-port', { wayInId: 'way-lining' })
  patch('zone-bow-and-anchor-gear', { wayInId: 'way-lining' })
  patch('zone-engine-space', { wayInId: 'way-hatches' })
  patch('zone-aft-cabin', { livedInFromGateId: 'move-aboard' })
}

function waysIn(write: Writer): void {
  const [a, b, c] = keysAfter(null, 3) as [string, string, string]
  write.add('wayIn', 'way-lining', {
    title: 'Lining out',
    comesOut: 'Four panels of the forecabin lining, 26 screws',
    hoursOut: 1.2,
    hoursBack: 2.3,
    liesAt: 'Home shed, on the rack',
    order: a,
  })
  write.add('wayIn', 'way-sole', {
    title: 'Sole up',
    comesOut: 'Boards of the forecabin, 14 screws',
    hoursOut: 0.3,
    hoursBack: 0.5,
    liesAt: 'On the saloon berth',
    order: b,
  })
  write.add('wayIn', 'way-hatches', {
    title: 'Two hatches',
    comesOut: 'Both floor hatches of the pilothouse and the step',
    hoursOut: 0.4,
    hoursBack: 0.7,
    liesAt: 'Cockpit, under the cover',
    order: c,
  })
}

function causes(write: Writer): void {
  const [a, b] = keysAfter(null, 2) as [string, string]
  write.add('cause', 'bases', {
    title: 'Rail bases leak',
    test: 'Hose test, base by base',
    order: a,
  })
  write.add('cause', 'dimples', {
    title: 'Pads 3 and 4 press',
    test: 'Sag back to 0 mm under 80 kg',
    order: b,
  })
}

function readings(write: Writer): void {
  const add = (id: string, finding: number, at: string, more: Record<string, unknown>) =>
    write.add('evidence', id, {
      findingId: `found-${finding}`,
      at: write.at(at),
      by: 'oona',
      ...more,
    } as never)
  const meter = { meter: 'Pin meter', scaleLow: 0, scaleHigh: 35 }
  add('ev-1', 17, '2026-10-04 11:45', {
    kind: 'tap',
    sounds: 'dull',
    words: 'A hand round the cleat',
  })
  add('ev-2', 17, '2026-10-04 11:50', { kind: 'moisture', value: 23, ...meter })
  add('ev-3', 17, '2027-03-06 12:00', { kind: 'sample', sounds: 'wet', words: 'Runs down the bit' })
  add('ev-4', 12, '2027-04-11 10:31', { kind: 'play', value: 2, words: 'Lifts on the lean' })
  add('ev-5', 4, '2027-04-10 11:02', { kind: 'crack', value: 120 })
  add('ev-6', 37, '2026-10-03 15:05', { kind: 'play', value: 1.2 })
  add('ev-7', 2, '2027-03-06 15:25', { kind: 'probe', value: 22, words: 'By the bulkhead' })
  add('ev-8', 8, '2027-03-20 14:02', { kind: 'leak', value: 3, words: 'Litres a day, salt' })
  add('ev-9', 18, '2027-04-10 10:12', { kind: 'sag', value: 4, words: 'Under 80 kg' })
  add('ev-10', 19, '2027-04-10 10:17', { kind: 'sag', value: 3, words: 'Under 80 kg' })
  add('ev-11', 20, '2027-04-10 14:22', { kind: 'moisture', value: 21, ...meter })
}

/** Bearers and floors of the sole: 14 of 22 bearers seen, 6 of them bad. */
function soleSheet(write: Writer): void {
  write.add('countSheet', 'sheet-sole', {
    title: 'Sole, forecabin and heads',
    zoneId: 'zone-forecabin',
    bays: [
      { title: 'Forecabin', from: 1, to: 7, hours: 0.8, open: true },
      { title: 'Heads', from: 8, to: 11, hours: 2.6, open: false },
    ],
    mendHours: 1.7,
    mendMinor: 1900,
    renewHours: 20,
    renewMinor: 26_000,
    order: keysAfter(null, 1)[0] as string,
  })
  const bad: Readonly<Record<string, readonly [readonly string[], number, number]>> = {
    s1: [['soft'], 0, 0.45],
    s2: [['soft', 'cracked'], 0.4, 1],
    p2: [['soft'], 0, 1],
    s4: [['broken', 'cracked'], 0, 1],
    p4: [['broken'], 0.3, 0.7],
    s5: [['soft'], 0.55, 1],
    f3: [['soft'], 0, 1],
  }
  for (let station = 1; station <= 11; station++)
    for (const [letter, side, kind] of [
      ['s', 'starboard', 'bearer'],
      ['p', 'port', 'bearer'],
      ['f', 'centre', 'floor'],
    ] as const) {
      const [marks, from, to] = bad[`${letter}${station}`] ?? [[], 0, 1]
      write.add('member', `sole-${letter}${station}`, {
        sheetId: 'sheet-sole',
        kind,
        station,
        side,
        seen: kind === 'floor' ? station <= 5 : station <= 7,
        marks: marks as never,
        from,
        to,
      })
    }
}

function standing(write: Writer): void {
  const orders = keysAfter(null, 7)
  const pads: readonly (readonly [
    string,
    number,
    'port' | 'starboard' | 'centre',
    number,
    number,
  ])[] = [
    ['Pad 1', 0.81, 'starboard', 2.13, 20],
    ['Pad 2', 0.81, 'port', 2.29, 15],
    ['Pad 3', 0.68, 'starboard', 5.49, 140],
    ['Pad 4', 0.68, 'port', 4.92, 120],
    ['Pad 5', 0.28, 'starboard', 2.62, 10],
    ['Pad 6', 0.28, 'port', 2.38, 30],
  ]
  pads.forEach(([title, along, side, sharePct, offFrameMm], at) =>
    write.add('support', `pad-${at + 1}`, {
      haulOutId: 'haul-two',
      title,
      along,
      side,
      sharePct,
      offFrameMm,
      order: orders[at] as string,
    }),
  )
  write.add('support', 'pad-keel', {
    haulOutId: 'haul-two',
    title: 'Keel blocks',
    along: 0.47,
    side: 'centre',
    padLengthM: 0.9,
    padWidthM: 0.4,
    sharePct: 80,
    order: orders[6] as string,
  })
}

function outlooks(write: Writer): void {
  const orders = keysAfter(null, 4)
  const ways = [
    ['Finish her, three seasons', 'repair', 370, 1_460_000, 7_100_000],
    ['Launch, sail, leave the inside', 'partRepair', 150, 590_000, 5_700_000],
    ['Sell her as she lies', 'sell', 0, 0, 4_600_000],
    ['Stop, store her a year', 'stop', 0, 416_100, 4_300_000],
  ] as const
  ways.forEach(([title, kind, ownHours, spendMinor, worthMinor], at) =>
    write.add('outlook', `outlook-${at + 1}`, {
      title,
      kind,
      ownHours,
      spendMinor,
      worthMinor,
      order: orders[at] as string,
    }),
  )
}

function leaks(write: Writer): void {
  const orders = keysAfter(null, 4)
  const tests = [
    ['Toe rail, lowest bolts', 'dry'],
    ['Stanchion base 3', 'leaks'],
    ['Stanchion base 4', 'waits'],
    ['Window over it', 'waits'],
  ] as const
  tests.forEach(([title, outcome], at) =>
    write.add('hoseTest', `hose-${at + 1}`, {
      title,
      outcome,
      zoneId: 'zone-chart-table',
      findingId: 'found-20',
      startedAt: outcome === 'waits' ? null : write.at(`2027-04-10 15:${at * 2}0`),
      order: orders[at] as string,
    }),
  )
  write.add('waterIn', 'water-1', {
    on: write.date('2026-09-12'),
    litres: 21,
    days: 7,
    taste: 'salt',
    note: 'At the berth',
  })
  write.add('waterIn', 'water-2', {
    on: write.date('2026-09-26'),
    litres: 44,
    days: 14,
    taste: 'salt',
    afterRain: true,
  })
}

function limits(write: Writer): void {
  const orders = keysAfter(null, 4)
  const list = [
    ['Slings at Kelder Creek', 'slings', { weightT: 15, beamM: 4.6 }],
    ['Berth at Skarholm', 'berth', { beamM: 4, draughtM: 1.9 }],
    ['Bridge over the Fenn', 'bridge', { heightM: 17.2 }],
    ['Shed door', 'shedDoor', { beamM: 4.2, weightT: 12 }],
  ] as const
  list.forEach(([title, kind, more], at) =>
    write.add('limit', `limit-${at + 1}`, { title, kind, ...more, order: orders[at] as string }),
  )
}

function walks(write: Writer): void {
  write.add('walk', 'walk-one', {
    title: 'As bought',
    startedOn: write.date('2025-10-12'),
    endedOn: write.date('2025-10-25'),
  })
  write.add('walk', 'walk-two', { title: 'Season two', startedOn: write.date('2026-10-04') })
  const notSeen = new Set([
    'zone-keel',
    'zone-through-hulls',
    'zone-mast-and-rigging',
    'zone-whole-boat',
  ])
  const found = new Set(write.rows.finding.map((one) => one.zoneId))
  for (const [walkId, at] of [
    ['walk-one', '2025-10-12 10:00'],
    ['walk-two', '2027-04-10 10:00'],
  ] as const)
    for (const zone of write.rows.zone)
      if (zone.along !== null && !(walkId === 'walk-two' && notSeen.has(zone.id)))
        write.add('look', `${walkId}-${zone.id}`, {
          walkId,
          zoneId: zone.id,
          outcome: found.has(zone.id) ? 'found' : 'fine',
          at: write.at(at),
          by: 'oona',
        })
}
