import { awkward, cramped, cure, dries, electrics, oneOrTwo, shed, takes, two } from '../write'
import type { Writer } from '../write'

const structure = {
  systemId: 'system-structure',
  purpose: 'float',
  severity: 3,
  placed: true,
} as const
const deck = { systemId: 'system-deck', purpose: 'float', placed: true } as const

/** What was found while something else was being done: a quarter of all the hours there are. */
export function writeFoundWork(write: Writer): void {
  foundInSeasonOne(write)
  foundLately(write)
  foundOnDeck(write)
  foundBelow(write)
}

function foundInSeasonOne(write: Writer): void {
  write.recipeJob(
    'bearers',
    'Sole bearers soft under the saloon',
    'sister-frame',
    { members: 3, lengthM: 0.9 },
    {
      ...structure,
      zoneId: 'zone-saloon',
      parentJobId: 'strip-out',
      done: [
        '2025-11-08 15:00',
        '2025-11-09 12:00',
        '2025-11-15 16:00',
        '2025-11-22 15:30',
        '2025-11-23 13:00',
        '2025-11-29 11:00',
        '2026-02-14 15:00',
      ],
    },
  )
  write.job(
    'tank',
    'Water tank weeps at its seam',
    {
      zoneId: 'zone-bilge',
      systemId: 'system-plumbing',
      purpose: 'live',
      severity: 3,
      placed: true,
      parentJobId: 'bearers',
    },
    [
      ['strip', 'Hoses off, tank out', 3, { ...cramped, ...two, done: '2025-12-06 15:30' }],
      ['contract', 'Seam welded by Brannock', 0, { ...takes(14), done: '2025-12-20 10:00' }],
      ['test', 'Fill it, leave it a night', 0.5, { done: '2026-01-10 11:00' }],
      ['fit', 'Tank in on new chocks', 3, { ...cramped, ...two, done: '2026-01-17 15:00' }],
    ],
  )
  write.job(
    'tank-vent',
    'Tank vent hose perished behind the lining',
    {
      zoneId: 'zone-bilge',
      systemId: 'system-plumbing',
      purpose: 'live',
      severity: 2,
      placed: true,
      parentJobId: 'tank',
    },
    [
      ['strip', 'Lining off, hose out', 1, { ...cramped, done: '2026-01-24 12:00' }],
      [
        'plumb',
        'New hose, loop above the waterline',
        1.5,
        { ...cramped, done: '2026-01-24 15:00' },
      ],
    ],
  )
  write.job(
    'knee',
    'Chainplate knee delaminated, port',
    {
      ...structure,
      zoneId: 'zone-saloon',
      purpose: 'safe',
      severity: 4,
      parentJobId: 'side-deck',
    },
    [
      ['strip', 'Locker out to reach it', 2, { ...awkward, done: '2026-01-10 15:00' }],
      ['grind', 'Back to sound glass', 2.5, { ...cramped, done: '2026-01-18 12:00' }],
      [
        'laminate',
        'Eight plies, two sessions',
        5,
        { ...two, ...cramped, ...cure(24), done: '2026-02-01 15:00' },
      ],
      ['test', 'Tap over all of it', 0.3, { done: '2026-02-07 10:00' }],
      ['close', 'Locker back', 1.5, { done: '2026-02-08 14:00' }],
    ],
  )
  write.job(
    'scupper',
    'Scupper stub cracked under the side deck',
    { ...deck, zoneId: 'zone-side-deck-port', severity: 3, parentJobId: 'side-deck' },
    [
      ['cut', 'Cut the stub out', 0.8, { ...cramped, done: '2026-02-14 12:00' }],
      [
        'laminate',
        'Glass the new stub in',
        1.5,
        { ...cramped, ...cure(24), done: '2026-02-14 15:00' },
      ],
      ['test', 'Pour a bucket', 0.2, { done: '2026-02-21 10:00' }],
    ],
  )
  write.job(
    'bulkhead-foot',
    'Heads bulkhead wet at its foot',
    { ...structure, zoneId: 'zone-heads', parentJobId: 'valves-one' },
    [
      ['cut', 'Cut the foot away', 1.5, { ...cramped, ...dries(21), done: '2025-12-13 14:00' }],
      [
        'laminate',
        'New foot, tabbed both sides',
        3,
        { ...cramped, ...cure(24), done: '2026-01-31 15:00' },
      ],
      ['paint', 'Seal it', 0.8, { ...cramped, done: '2026-02-08 16:00' }],
    ],
  )
  write.job(
    'stringer',
    'Bilge stringer cracked beside the mast step',
    { ...structure, zoneId: 'zone-bilge', severity: 4, parentJobId: 'mast-step' },
    [
      ['grind', 'Open the crack, taper', 1.5, { ...cramped, done: '2026-02-28 12:00' }],
      [
        'laminate',
        'Sister it, six plies',
        4,
        { ...two, ...cramped, ...cure(24), done: '2026-03-07 15:00' },
      ],
      ['paint', 'Bilge paint over', 0.8, { ...cramped, done: '2026-03-14 12:00' }],
    ],
  )
  write.job(
    'sole-wires',
    'Wires under the sole lie in water',
    {
      zoneId: 'zone-bilge',
      systemId: 'system-electrical',
      purpose: 'safe',
      severity: 3,
      placed: true,
      parentJobId: 'strip-out',
    },
    [
      ['survey', 'Trace and list them', 2, { ...electrics, done: '2025-11-16 15:00' }],
      [
        'wire',
        'Lift them to the shelf, new runs',
        6,
        { ...electrics, ...cramped, done: '2026-03-21 15:00' },
      ],
      ['test', 'Polarity and fuse of each', 1, { ...electrics, done: '2026-03-22 11:00' }],
    ],
  )
}

function foundLately(write: Writer): void {
  write.job(
    'quadrant-key',
    'Quadrant keyway worn',
    {
      zoneId: 'zone-stern-gear',
      systemId: 'system-steering',
      gateId: 'sail-away',
      purpose: 'go',
      severity: 3,
      placed: true,
      parentJobId: 'shaft',
    },
    [
      ['strip', 'Quadrant off', 1.5, { ...cramped, skill: 'mechanics' }],
      ['contract', 'Keyway cut and key made', 0, takes(10)],
      ['fit', 'Quadrant on, stops set', 2, { ...cramped, skill: 'mechanics' }],
      ['test', 'Hard over both ways', 0.3, { ...two }],
    ],
  )
  write.job(
    'skeg-line',
    'Hairline in the skeg fairing opened',
    {
      ...structure,
      zoneId: 'zone-rudder-and-skeg',
      gateId: 'launch-three',
      parentJobId: 'barrier',
    },
    [
      ['grind', 'Open it, look how deep', 1, { hullNeed: 'ashore' }],
      ['laminate', 'Two plies over', 1.5, { hullNeed: 'ashore', ...cure(24) }],
      ['fair', 'Fair', 1, { hullNeed: 'ashore', ...cure(16) }],
      ['barrier', 'Barrier the patch', 0.6, { hullNeed: 'ashore', ...cure(12) }],
    ],
  )
  write.job(
    'shore-inlet',
    'Shore inlet burnt at one pin',
    {
      zoneId: 'zone-cockpit',
      systemId: 'system-electrical',
      gateId: 'move-aboard',
      purpose: 'safe',
      severity: 4,
      placed: true,
      parentJobId: 'panel',
      tradePriceMinor: 34_000,
    },
    [
      ['wire', 'New inlet, breaker and earth leakage', 3, { ...electrics, licensedKind: 'mains' }],
      ['test', 'Polarity, earth, trip time', 0.5, { ...electrics, licensedKind: 'mains' }],
    ],
  )
  write.recipeJob(
    'heads-valve',
    'Heads sea valve is pink inside',
    'sea-valve',
    { outcome: 'replace' },
    {
      zoneId: 'zone-heads',
      systemId: 'system-plumbing',
      gateId: 'launch-three',
      haulOutId: 'haul-three',
      purpose: 'float',
      severity: 4,
      placed: true,
      parentJobId: 'heads',
    },
  )
}

function foundOnDeck(write: Writer): void {
  write.recipeJob(
    'windlass-bolts',
    'Windlass bolts wasted where they pass the deck',
    'sleeve-and-bed',
    { holes: 4, bolt: 10, footLong: 240, footWide: 160, boltsLong: 200, boltsWide: 120 },
    {
      ...deck,
      zoneId: 'zone-bow-and-anchor-gear',
      inputSources: {
        footLong: { how: 'measured', value: 240, by: 'oona', on: write.date('2026-11-21') },
        footWide: { how: 'measured', value: 160, by: 'oona', on: write.date('2026-11-21') },
        bolt: { how: 'wanted', value: 10, by: 'piet', on: write.date('2027-03-06') },
      },
      severity: 3,
      gateId: 'sail-away',
      parentJobId: 'windlass',
    },
  )
  write.recipeJob(
    'rail-core',
    'Core wet under the coachroof handrail',
    'dry-local-core',
    { areaM2: 0.05, holes: 10 },
    {
      ...deck,
      zoneId: 'zone-coachroof',
      severity: 3,
      spreading: true,
      gateId: 'sail-away',
      parentJobId: 'foredeck',
    },
  )
  write.add('bringLine', 'rail-core-2-shop', {
    stepId: 'rail-core-2',
    what: 'Solvent to wipe it out',
    amount: '1 L',
    at: 'toBuy',
    kind: 'consumable',
    order: 'z',
  })
  write.recipeJob(
    'post-core',
    'Core dark under stanchion bases 3 and 4',
    'sleeve-and-bed',
    { holes: 8, bolt: 8 },
    {
      ...deck,
      zoneId: 'zone-side-deck-starboard',
      severity: 3,
      gateId: 'sail-away',
      parentJobId: 'posts-on',
    },
  )
  write.recipeJob(
    'joint-starboard',
    'Hull-to-deck bolts wasted, starboard',
    'hull-deck-joint',
    { lengthM: 8, forwardM: 2.5, middleM: 3 },
    {
      ...structure,
      zoneId: 'zone-side-deck-starboard',
      gateId: 'sail-away',
      parentJobId: 'post-core',
    },
  )
  write.recipeJob(
    'aft-window',
    'Aft cabin window frame leaks',
    'rebed-trim',
    { lengthM: 3.2, method: 'gasket' },
    {
      ...deck,
      zoneId: 'zone-aft-cabin',
      severity: 2,
      gateId: 'move-aboard',
      parentJobId: 'rail-core',
    },
  )
}

function foundBelow(write: Writer): void {
  write.recipeJob(
    'aft-lining',
    'Aft cabin deckhead has let go',
    'recover-lining',
    { count1: 3, long1M: 1.4, wide1M: 0.7, count2: 2, long2M: 0.9, wide2M: 0.6 },
    {
      zoneId: 'zone-aft-cabin',
      systemId: 'system-interior',
      gateId: 'move-aboard',
      purpose: 'live',
      severity: 2,
      placed: true,
      parentJobId: 'aft-window',
    },
  )
  write.job(
    'battery-shelf',
    'Battery shelf cracked',
    {
      zoneId: 'zone-engine-space',
      systemId: 'system-electrical',
      gateId: 'move-aboard',
      purpose: 'safe',
      severity: 3,
      placed: true,
      parentJobId: 'panel',
    },
    [
      ['strip', 'Batteries out, two of us', 1, { ...two, ...awkward }],
      ['laminate', 'New shelf glassed in', 2.5, { ...cramped, ...cure(24) }],
      ['paint', 'Paint it', 0.6, { ...cramped, ...cure(24) }],
      ['fit', 'Batteries in, strapped', 1, { ...two, ...awkward }],
    ],
  )
  write.job(
    'fuel-tank',
    'Fuel tank end pitted',
    {
      zoneId: 'zone-engine-space',
      systemId: 'system-propulsion',
      gateId: 'sail-away',
      purpose: 'go',
      severity: 3,
      placed: true,
      parentJobId: 'engine',
      tradePriceMinor: 92_000,
    },
    [
      [
        'strip',
        'Drain it, lines off, tank out',
        4,
        { ...cramped, ...oneOrTwo, skill: 'mechanics', licensedKind: 'fuel' },
      ],
      ['contract', 'New end welded, pressure test', 0, takes(20)],
      [
        'fit',
        'Tank in, lines, earth strap',
        5,
        { ...cramped, ...oneOrTwo, skill: 'mechanics', licensedKind: 'fuel' },
      ],
      ['test', 'Fill a little, sniff, look', 0.5],
    ],
  )
  write.job(
    'engine-beds',
    'Oil-soaked foam on the engine beds',
    {
      ...structure,
      zoneId: 'zone-engine-space',
      gateId: 'sail-away',
      severity: 2,
      parentJobId: 'engine',
    },
    [
      ['strip', 'Foam off', 3, { ...cramped }],
      ['clean', 'Degrease twice', 2.5, { ...cramped }],
      ['fit', 'Cut new foam and facing', 3, { ...shed }],
      ['fit', 'Glue and pin it', 3, { ...cramped }],
    ],
  )
}
