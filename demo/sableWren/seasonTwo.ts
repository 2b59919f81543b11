import {
  afloat,
  ashore,
  away,
  awkward,
  cramped,
  cure,
  dries,
  electrics,
  oneOrTwo,
  sets,
  shed,
  takes,
  two,
  within,
} from '../write'
import type { Writer } from '../write'

const deck = { systemId: 'system-deck', gateId: 'launch-two' } as const
const hull = { systemId: 'system-structure', gateId: 'launch-two' } as const

/** The haul-out under way: half done, with everything that can go wrong in it. */
export function writeSeasonTwo(write: Writer): void {
  foredeck(write)
  underwater(write)
  fittings(write)
  electrical(write)
  launchDay(write)
}

function foredeck(write: Writer): void {
  write.job(
    'foredeck',
    'Re-core the foredeck, starboard',
    { ...deck, zoneId: 'zone-foredeck-starboard', purpose: 'float', severity: 4, spreading: true },
    [
      ['survey', 'Map and mark', 0.5, { done: '2026-10-10 10:00' }],
      ['setUp', 'Tent over the foredeck', 2, { ...oneOrTwo, done: '2026-10-10 13:00' }],
      ['fit', 'Prop the deck from below', 1, { done: '2026-10-17 11:00' }],
      ['strip', 'Strip roller, cleats, hatch', 3, { ...awkward, done: '2026-10-31 15:00' }],
      ['cut', 'Cut and lift the skin, keep as pattern', 2.8, { done: '2026-11-21 14:00' }],
      ['strip', 'Rake out the core', 4.6, { ...dries(60), done: '2026-12-12 15:00' }],
      ['grind', 'Grind the taper', 2, { done: '2027-02-20 14:00' }],
      [
        'prime',
        'Abrade, wipe, prime the lower skin',
        1.2,
        { ...cure(12), done: '2027-03-06 15:00' },
      ],
      ['fit', 'Pattern and cut core, solid inserts', 3.7, { ...shed, done: '2027-03-20 16:00' }],
      [
        'laminate',
        'Bed the core in thick mix',
        2.8,
        { ...two, ...cure(24), done: '2027-04-03 14:00' },
      ],
      ['fill', 'Fair level', 1.8, { ...cure(16), done: '2027-04-10 14:30' }],
      [
        'laminate',
        'Plies 1 to 4',
        5,
        { ...two, ...cure(16), ...within(72), done: '2027-04-15 18:30' },
      ],
      [
        'laminate',
        'Plies 5 and 6',
        2.6,
        {
          ...two,
          ...cure(16),
          ...within(96),
          minTempC: 12,
          needsDry: true,
          bring: [
            'Biaxial 450, plies 5 and 6 cut | 4 pieces | shed',
            'Resin, with slow hardener | 1.9 kg + 0.6 kg | boat',
            'Cups 400 ml | 6 | shed',
            'Peel ply | 3.2 m | shed',
            'Angle gauge | 1 | home | tool',
          ],
        },
      ],
      [
        'fair',
        'Fair, first pass',
        3.6,
        {
          ...cure(16),
          roundsMost: 3,
          untilGood: 'a 1 m batten shows under 1 mm',
          bring: ['Longboard | 1 | shed | tool', '80 grit | 12 sheets | toBuy'],
        },
      ],
      ['fair', 'Fair, second pass', 3, { ...cure(16) }],
      [
        'prime',
        'Prime, two coats',
        1.6,
        { ...oneOrTwo, ...cure(12), ...within(48), minTempC: 10, needsDry: true },
      ],
      [
        'paint',
        'Paint and non-skid',
        2.2,
        { ...oneOrTwo, ...cure(24), minTempC: 10, needsDry: true },
      ],
    ],
  )
  write.job(
    'beam',
    'Sister the soft beam under the foredeck',
    {
      ...hull,
      zoneId: 'zone-forecabin',
      purpose: 'float',
      severity: 3,
      spreading: true,
      parentJobId: 'foredeck',
    },
    [
      ['survey', 'Cut back to sound wood', 1, { ...awkward, done: '2027-03-07 12:00' }],
      ['fit', 'Pattern and shape the sister', 2, { ...shed, done: '2027-03-21 15:00' }],
      [
        'laminate',
        'Glue and clamp the sister',
        1.5,
        { ...two, ...awkward, ...cure(24), minTempC: 10 },
      ],
      ['paint', 'Seal the end grain', 0.5, { ...awkward, ...cure(16) }],
    ],
  )
  write.job(
    'chain-drain',
    'Chain locker drain weeps into the beam',
    {
      ...deck,
      zoneId: 'zone-bow-and-anchor-gear',
      systemId: 'system-ground-tackle',
      purpose: 'float',
      severity: 3,
      parentJobId: 'beam',
    },
    [
      ['drill', 'Over-drill the drain and dig back', 0.6, { ...cramped, done: '2027-03-28 12:30' }],
      ['fill', 'Sleeve with thick mix', 0.5, { ...cramped, ...cure(16) }],
      ['bed', 'Bed the new drain', 0.5, { ...cramped, ...sets(72) }],
      ['test', 'Fill the locker and watch', 0.3],
    ],
  )
  write.job(
    'bitt',
    'Bitt and bow fittings',
    {
      ...deck,
      zoneId: 'zone-bow-and-anchor-gear',
      systemId: 'system-ground-tackle',
      purpose: 'go',
      severity: 3,
      after: ['foredeck>3'],
    },
    [
      ['laminate', 'Laminate the blank', 3, { ...shed, ...cure(24), done: '2027-03-27 15:00' }],
      ['fit', 'Backing plates for roller and cleats', 2.4, { ...shed }],
      [
        'drill',
        'Sleeved holes, over-drill and fill',
        3,
        {
          ...cure(16),
          minTempC: 10,
          unitName: 'holes',
          unitCount: 22,
          proveOnOne: true,
          readWhat: 'Core moisture in the hole',
          readUnit: '%',
          readHigh: 12,
          readFailAt: 15,
          readSource: 'the trial sleeve of 11 April',
          bring: ['Depth stop | 1 | shed | tool', 'Thick mix | 0.6 kg | boat'],
        },
      ],
      ['fit', 'Dry fit, check bolt lengths', 1, { ...two }],
      [
        'bed',
        'Bed bitt, roller, cleats',
        2.4,
        {
          ...two,
          ...sets(72),
          needsDry: true,
          bring: ['Butyl | 2 rolls | toBuy', 'M8 × 70 bolts | 18 | toBuy | part'],
        },
      ],
      ['test', 'Hose test the foredeck', 0.5, { ...two, forHelpers: true }],
    ],
  )
}

function underwater(write: Writer): void {
  const zone = { zoneId: 'zone-underwater-hull-starboard', ...hull } as const
  write.job(
    'barrier',
    'Strip and barrier coat',
    { ...zone, systemId: 'system-finish', purpose: 'float', severity: 3 },
    [
      ['clean', 'Wash on the day of lifting', 1.5, { ...ashore, done: '2026-10-03 15:30' }],
      [
        'strip',
        'Scrape the old coats, wet',
        14,
        { ...ashore, ...oneOrTwo, done: '2026-11-28 15:00' },
      ],
      ['test', 'Moisture readings', 0.6, { ...ashore, ...dries(75), done: '2026-12-05 12:00' }],
      [
        'barrier',
        'Barrier coats 1 and 2',
        3.4,
        { ...ashore, ...oneOrTwo, ...cure(24), done: '2027-04-11 13:40' },
      ],
      ['fair', 'Fair the low spots', 4, { ...ashore }],
    ],
  )
  write.job(
    'antifoul',
    'Last barrier coats and antifoul',
    {
      ...zone,
      systemId: 'system-finish',
      purpose: 'float',
      severity: 3,
      after: ['barrier', 'transducer#6', 'galley-valve#4'],
    },
    [
      [
        'barrier',
        'Barrier coats 3 and 4',
        3.4,
        { ...ashore, ...oneOrTwo, ...cure(16), ...within(48), minTempC: 10, needsDry: true },
      ],
      [
        'antifoul',
        'Antifoul, two coats',
        3.4,
        {
          ...ashore,
          ...oneOrTwo,
          ...cure(16),
          minTempC: 8,
          needsDry: true,
          bring: ['Antifouling | 5 L | toBuy', 'Rollers | 4 | toBuy'],
        },
      ],
      ['move', 'Yard moves the stands', 0, { ...ashore }],
      [
        'antifoul',
        'Strip, barrier and antifoul under the stands',
        1.5,
        { ...ashore, ...cure(24), needsDry: true },
      ],
    ],
  )
  write.job(
    'transducer',
    'Transducer through the hull',
    { ...zone, systemId: 'system-electronics', purpose: 'go', severity: 3 },
    [
      [
        'survey',
        'Deadrise check, sight from ahead',
        0.7,
        { ...ashore, ...two, bring: ['Batten 1 m and level | 1 | home | tool'] },
      ],
      ['buy', 'Order it by the angle found', 0, { ...away, ...takes(21) }],
      ['test', 'Bucket test', 0.5, { ...electrics }],
      [
        'drill',
        'Measure skin, bore from outside',
        1,
        {
          ...ashore,
          caution:
            'Measure the skin and what is behind it first. Depth stop. Not at the end of a long day.',
        },
      ],
      [
        'barrier',
        'Barrier inside the bore and round it',
        0.4,
        { ...ashore, ...cure(12), ...within(48) },
      ],
      ['bed', 'Bed it', 0.8, { ...ashore, ...two, ...sets(72) }],
      ['wire', 'Run and join the cable', 1.5, { ...electrics, ...cramped }],
    ],
  )
  write.job(
    'galley-valve',
    'Sea valve, galley drain',
    {
      zoneId: 'zone-galley',
      systemId: 'system-plumbing',
      gateId: 'launch-two',
      purpose: 'float',
      severity: 4,
      parentJobId: 'galley-hose',
    },
    [
      ['strip', 'Seized valve out', 1, { ...ashore, ...cramped, done: '2027-04-04 12:00' }],
      ['survey', 'Measure the skin, fair the seat', 0.5, { ...ashore, done: '2027-04-04 13:00' }],
      ['fit', 'Backing pad, dry fit', 1.2, { ...ashore, ...two, ...cramped, ...cure(24) }],
      [
        'bed',
        'Bed the new valve',
        0.6,
        {
          ...ashore,
          ...two,
          ...sets(96),
          productId: 'sealant-below',
          bring: [
            'Sea valve 1 1/2" | 1 | toBuy | part',
            'Sealant, below waterline | 1 cartridge | shed',
          ],
        },
      ],
      ['plumb', 'Hose on, double clips', 0.6, { ...ashore, ...cramped, beginsOnce: 'load' }],
      ['test', 'Work the valve ten times', 0.1, { ...ashore }],
    ],
  )
  write.job(
    'anodes',
    'Anode trial, studs A and B',
    {
      zoneId: 'zone-keel',
      systemId: 'system-stern-gear',
      gateId: 'launch-two',
      purpose: 'float',
      severity: 2,
      after: ['antifoul'],
    },
    [
      ['clean', 'Bright metal on both studs', 0.6, { ...ashore, done: '2027-04-10 12:00' }],
      ['fit', 'Fit A bare, B with joint paste', 0.6, { ...ashore, skill: 'mechanics' }],
      ['test', 'Bond under 0.1 ohm on both', 0.4, { ...ashore, ...electrics }],
    ],
  )
  write.job(
    'shaft',
    'Shaft, gland and bearing',
    {
      zoneId: 'zone-stern-gear',
      systemId: 'system-stern-gear',
      gateId: 'launch-two',
      purpose: 'go',
      severity: 3,
    },
    [
      [
        'strip',
        'Draw the shaft',
        3,
        { ...ashore, ...two, ...cramped, skill: 'mechanics', done: '2027-03-13 15:00' },
      ],
      ['survey', 'Measure wear', 0.4, { ...ashore, done: '2027-03-13 15:40' }],
      [
        'fit',
        'New bearing in',
        2,
        {
          ...ashore,
          ...awkward,
          skill: 'mechanics',
          bring: ['Bearing 35 × 48 | 1 | toBuy | part'],
        },
      ],
      [
        'fit',
        'Shaft back, gland repacked',
        2,
        { ...ashore, ...two, ...cramped, skill: 'mechanics' },
      ],
      ['fit', 'Grease and lock the propeller', 0.4, { ...ashore }],
      ['test', 'Final alignment, a day afloat', 2, { ...afloat, ...cramped, skill: 'mechanics' }],
    ],
  )
  write.add('decision', 'shaft-seal', {
    title: 'What keeps the shaft dry?',
    jobId: 'shaft',
    beforeStepId: 'shaft-4',
    whoId: 'oona',
    order: 'n',
  })
  write.add('option', 'shaft-packing', {
    decisionId: 'shaft-seal',
    title: 'New packing in the old gland',
    parts: [{ name: 'Flax packing, 8 mm', quantity: 2, priceMinor: 1450 }],
    order: 'd',
  })
  write.add('option', 'shaft-face-seal', {
    decisionId: 'shaft-seal',
    title: 'Face seal, no drip',
    leadDays: 10,
    parts: [{ name: 'Face seal, 35 mm', quantity: 1, priceMinor: 31_000 }],
    steps: [
      { title: 'Vent line from the seal', operation: 'fit', hours: 1, placeNeed: 'boat' },
      { title: 'Set the seal by its sheet', operation: 'fit', hours: 1.5, placeNeed: 'boat' },
    ],
    order: 'h',
  })
}

function fittings(write: Writer): void {
  write.job(
    'posts',
    'Posts and solid rail: made by Brannock',
    {
      ...deck,
      zoneId: 'zone-side-deck-starboard',
      systemId: 'system-safety',
      purpose: 'safe',
      severity: 3,
    },
    [
      ['survey', 'Walk the line with a batten', 2, { ...two, done: '2027-03-20 11:30' }],
      ['survey', 'Measure spans, tape the marks', 0.7, { ...oneOrTwo }],
      ['contract', 'Brannock Stainless bends and welds', 0, { ...away, ...takes(15) }],
    ],
  )
  write.job(
    'posts-on',
    'Bed posts and rail',
    {
      ...deck,
      zoneId: 'zone-side-deck-starboard',
      systemId: 'system-safety',
      purpose: 'safe',
      severity: 3,
      after: ['posts', 'foredeck'],
    },
    [
      ['drill', 'Sleeve the base holes', 3, { ...cure(16), minTempC: 10, forHelpers: true }],
      ['bed', 'Bed the other six bases', 4, { ...two, ...sets(72), needsDry: true }],
      ['test', 'Hose test, lean on every post', 0.5, { ...two, forHelpers: true }],
    ],
  )
  write.job(
    'forehatch',
    'Re-bed the forehatch',
    { ...deck, zoneId: 'zone-coachroof', purpose: 'float', severity: 2, after: ['foredeck'] },
    [
      ['strip', 'Lift the frame, scrape, solvent', 2, { ...awkward, ...within(10) }],
      ['bed', 'Bed the frame', 1, { ...two, ...sets(24), needsDry: true }],
      ['test', 'Hose test', 0.3, { ...two, forHelpers: true }],
    ],
  )
  write.job(
    'lids',
    'Locker lid ribs',
    { zoneId: 'zone-cockpit', systemId: 'system-deck', purpose: 'live', severity: 2 },
    [
      ['grind', 'Strip to laminate', 1, { ...shed }],
      ['laminate', 'Ribs bonded and weighted', 1.2, { ...shed, ...cure(16), ...within(72) }],
      ['laminate', 'Plies over', 0.8, { ...shed, ...cure(16) }],
      ['paint', 'Gelcoat, four coats', 1.6, { ...shed, ...cure(24) }],
      ['finish', 'Wet sand and polish', 1.5, { ...shed, forHelpers: true }],
    ],
  )
  write.job(
    'forecabin-lining',
    'Forecabin lining',
    {
      zoneId: 'zone-forecabin',
      systemId: 'system-interior',
      gateId: 'move-aboard',
      purpose: 'live',
      severity: 2,
      after: ['bitt', 'beam'],
    },
    [
      ['fit', 'Pattern the panels', 0.8, { forHelpers: true }],
      ['cut', 'Cut panels and battens', 2.5, { ...shed }],
      ['finish', 'Seal and paint the backs', 1.5, { ...shed, ...cure(24) }],
      ['close', 'Lining up, after the leak test', 4, { ...oneOrTwo }],
    ],
  )
}

function electrical(write: Writer): void {
  write.job(
    'panel',
    'Main panel and cables',
    {
      zoneId: 'zone-chart-table',
      systemId: 'system-electrical',
      gateId: 'launch-two',
      purpose: 'safe',
      severity: 3,
    },
    [
      ['survey', 'Load list and energy budget', 3, { ...electrics, done: '2027-01-16 14:00' }],
      ['wire', 'Schematic', 5, { ...electrics, done: '2027-02-13 15:30' }],
      ['fit', 'Mock-up of the panel', 3, { ...electrics, ...shed, done: '2027-04-10 16:00' }],
      ['label', 'Label the bow wiring', 1.2, { forHelpers: true }],
      ['cut', 'Cut the panel with the parts in hand', 2.5, { ...electrics, ...shed }],
      [
        'wire',
        'Bilge pump, float switch, alarm',
        4,
        {
          ...electrics,
          ...awkward,
          bring: ['Crimper | 1 | home | tool', 'Tinned cable 2.5 mm² | 12 m | shed'],
        },
      ],
      ['test', 'Prove pump and float switch', 0.5, { ...electrics }],
    ],
  )
  write.job(
    'panel-rest',
    'Panel: the other circuits',
    {
      zoneId: 'zone-chart-table',
      systemId: 'system-electrical',
      gateId: 'sail-away',
      purpose: 'safe',
      severity: 2,
      after: ['panel'],
    },
    [
      ['wire', 'Navigation and lights', 9, { ...electrics, ...awkward }],
      ['wire', 'Charging and solar feed', 6, { ...electrics }],
      ['contract', 'Ludd & Daughter check and sign', 0, { ...takes(10), ...away }],
    ],
  )
}

function launchDay(write: Writer): void {
  write.job(
    'leak-watch',
    'Launch: look at every opening',
    {
      zoneId: 'zone-through-hulls',
      systemId: 'system-safety',
      gateId: 'launch-two',
      purpose: 'float',
      severity: 4,
    },
    [
      [
        'test',
        'Torch at every opening, slings slack',
        0.5,
        {
          hullNeed: 'slings',
          ...two,
          ...takes(1),
          caution: 'Nobody aboard while she hangs. The crane driver says when the slings may go.',
        },
      ],
      ['test', 'Look again after a day', 0.5, { ...afloat, afterGate: true }],
    ],
  )
}
