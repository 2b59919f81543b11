import { keysAfter } from '#core/model/order'
import type { Writer } from '../write'

/** The tide at Fennmouth, her openings, how she is lifted, and the launch of season one with its watch. */
export function writeLaunch(write: Writer): void {
  tide(write)
  openings(write)
  lifts(write)
  firstWatch(write)
  anodes(write)
}

/** Fitted for season one, weighed when she came out. The shaft's go at the pace of a summer afloat; the skeg's hardly. */
function anodes(write: Writer): void {
  const list: readonly (readonly [string, number, number])[] = [
    ['Shaft, A', 1150, 790],
    ['Shaft, B', 1150, 760],
    ['Rudder', 900, 620],
    ['Skeg', 900, 850],
  ]
  const orders = keysAfter(null, list.length)
  list.forEach(([title, newG, weightG], index) => {
    const id = `anode-${index + 1}`
    write.add('anode', id, {
      title,
      zoneId: 'zone-stern-gear',
      newG,
      fittedOn: write.date('2026-05-08'),
      order: orders[index] as string,
    })
    write.add('anodeWeighing', `${id}-out`, { anodeId: id, on: write.date('2026-10-03'), weightG })
  })
}

function tide(write: Writer): void {
  write.add('tideStation', 'fennmouth', {
    name: 'Fennmouth',
    meanM: 2.65,
    constituents: (
      [
        ['M2', 1.66, 210],
        ['S2', 0.56, 249],
        ['N2', 0.32, 190],
        ['K2', 0.15, 247],
        ['L2', 0.05, 220],
        ['MU2', 0.05, 232],
        ['NU2', 0.06, 192],
        ['K1', 0.1, 91],
        ['O1', 0.07, 46],
        ['P1', 0.03, 89],
        ['M4', 0.09, 314],
        ['MS4', 0.05, 0],
      ] as const
    ).map(([name, amplitudeM, phaseDeg]) => ({ name, amplitudeM, phaseDeg })),
    source: 'Made up for this demo. No real place, not for navigation.',
  })
}

type Opening = readonly [
  id: string,
  title: string,
  kind: 'valve' | 'intake' | 'drain' | 'transducer' | 'shaft' | 'rudder' | 'exhaust',
  along: number,
  heightM: number,
  boreMm: number | null,
  plug: 'tied' | 'aboard' | 'none',
  shutBy: string,
  reach: string,
  jobIds: readonly string[],
]

const list: readonly Opening[] = [
  [
    'o-chain',
    'Chain locker drain',
    'drain',
    0.93,
    0.15,
    25,
    'tied',
    '',
    'From the foredeck, through the locker lid.',
    ['chain-drain'],
  ],
  [
    'o-transducer',
    'Transducer hole',
    'transducer',
    0.66,
    -0.55,
    51,
    'aboard',
    '',
    'Under the sole board forward of the mast, starboard.',
    ['transducer'],
  ],
  [
    'o-heads',
    'Heads valve',
    'valve',
    0.6,
    -0.6,
    38,
    'tied',
    'lever athwart',
    'Heads, behind the bowl: lift the grating.',
    ['valves-one'],
  ],
  [
    'o-sink',
    'Galley sink valve',
    'valve',
    0.53,
    -0.35,
    32,
    'tied',
    'lever athwart',
    'Port, under the sink: lift the locker floor.',
    ['valves-one'],
  ],
  [
    'o-drain',
    'Galley drain valve',
    'valve',
    0.5,
    -0.45,
    38,
    'none',
    'lever athwart',
    'Port, under the sink: lift the locker floor, reach aft.',
    ['galley-valve'],
  ],
  [
    'o-intake',
    'Engine intake',
    'intake',
    0.42,
    -0.5,
    25,
    'tied',
    'lever athwart',
    'Engine space, port, low behind the strainer.',
    [],
  ],
  [
    'o-cockpit',
    'Cockpit drains, two',
    'drain',
    0.34,
    0.1,
    38,
    'tied',
    'levers fore and aft',
    'Through the cockpit lockers, one each side.',
    [],
  ],
  [
    'o-shaft',
    'Shaft and gland',
    'shaft',
    0.21,
    -0.75,
    50,
    'none',
    '',
    'Aft of the engine: lift the last sole board.',
    ['shaft'],
  ],
  [
    'o-rudder',
    'Rudder stock',
    'rudder',
    0.12,
    -0.4,
    45,
    'none',
    '',
    'Lazarette: crawl aft past the quadrant.',
    ['quadrant-key'],
  ],
]

function openings(write: Writer): void {
  const orders = keysAfter(null, list.length)
  list.forEach(([id, title, kind, along, heightM, boreMm, plug, shutBy, reach, jobIds], index) =>
    write.add('hullOpening', id, {
      title,
      kind,
      along,
      heightM,
      boreMm,
      plug,
      shutBy,
      reach,
      zoneId: kind === 'rudder' ? 'zone-rudder-and-skeg' : 'zone-through-hulls',
      jobIds: [...jobIds],
      order: orders[index] as string,
    }),
  )
  write.add('readySign', 'sign-cockpit', {
    haulOutId: 'haul-two',
    item: 'opening o-cockpit',
    as: 'proven',
    because: 'filled, held 20 min',
    personId: 'piet',
    at: write.at('2027-04-04 15:10'),
  })
  write.add('readySign', 'sign-heads', {
    haulOutId: 'haul-two',
    item: 'opening o-heads',
    as: 'skipped',
    because: 'Pink metal, shut, plug tied on; renewed in season three',
    personId: 'oona',
    at: write.at('2027-04-11 16:00'),
  })
}

function lifts(write: Writer): void {
  write.add('liftSheet', 'lift-two', {
    haulOutId: 'haul-two',
    weightT: 11.31,
    weighedOn: write.date('2026-10-03'),
    knownAs: 'weighed',
    centreM: 6.35,
    slingForeM: 3.9,
    slingAftM: 8.9,
    legDeg: 22.8,
    gearT: 0.45,
    craneName: 'Kelder Creek crane, 15 t',
    chart: [
      [4, 15],
      [5, 12.4],
      [6, 10.57],
      [7, 9.1],
      [8, 7.9],
    ],
    setBackM: 2.6,
    fenderM: 0.3,
    askedOn: write.date('2026-10-03'),
    askedT: 11.31,
    blockHeightM: 0.45,
  })
  const moved: readonly (readonly [
    string,
    string,
    number,
    number,
    number,
    'weighed' | 'guessed',
    string,
  ])[] = [
    ['w-core', 'Wet core out of the foredeck', -38, 1.9, 0.6, 'guessed', '2027-03-27'],
    ['w-glass', 'New core and plies, foredeck', 31, 1.9, 0.6, 'guessed', '2027-04-11'],
    ['w-lining', 'Forecabin lining off', -46, 2.6, 0, 'weighed', '2027-02-20'],
    ['w-batteries', 'Old batteries off', -57, 7.2, -0.4, 'weighed', '2027-02-27'],
  ]
  for (const [id, what, kg, alongM, acrossM, knownAs, on] of moved)
    write.add('weightLine', id, { what, kg, alongM, acrossM, knownAs, on: write.date(on) })
}

/** Season one went in on a Saturday: everything dry but one hose clip, nipped up within the hour. */
function firstWatch(write: Writer): void {
  const look = (
    id: string,
    moment: 'slack' | 'atOnce' | 'hour' | 'day' | 'week',
    what: string,
    when: string,
    more: { outcome?: 'dry' | 'weeps' | 'read'; value?: number; unit?: string; note?: string } = {},
  ) =>
    write.add('watchLook', id, {
      haulOutId: 'haul-one',
      moment,
      what,
      outcome: 'dry',
      at: write.at(when),
      personId: 'oona',
      ...more,
    })
  for (const [index, one] of list.entries()) {
    const minute = String(40 + index).padStart(2, '0')
    const weeps = one[0] === 'o-sink'
    look(`watch-slack-${one[0]}`, 'slack', `opening ${one[0]}`, `2026-05-09 10:${minute}`, {
      ...(weeps ? { outcome: 'weeps', value: 6, unit: 'drops/min', note: 'hose clip' } : {}),
    })
    look(`watch-hour-${one[0]}`, 'hour', `opening ${one[0]}`, `2026-05-09 11:${minute}`)
    look(`watch-day-${one[0]}`, 'day', `opening ${one[0]}`, `2026-05-10 10:${minute}`)
  }
  const reads: readonly (readonly [
    'atOnce' | 'hour' | 'day' | 'week',
    string,
    number,
    string,
    string,
  ])[] = [
    ['atOnce', 'bilge', 4, 'mm', '2026-05-09 10:55'],
    ['atOnce', 'gland', 9, 'drops/min', '2026-05-09 10:57'],
    ['hour', 'bilge', 5, 'mm', '2026-05-09 11:55'],
    ['day', 'bilge', 7, 'mm', '2026-05-10 11:00'],
    ['day', 'gaps', 0.08, 'mm', '2026-05-10 11:30'],
    ['day', 'count', 1, 'a day', '2026-05-10 11:40'],
    ['week', 'bilge', 7, 'mm', '2026-05-16 10:30'],
  ]
  for (const [moment, what, value, unit, when] of reads)
    look(`watch-${moment}-${what}`, moment, what, when, { outcome: 'read', value, unit })
}
