import {
  ashore,
  awkward,
  cramped,
  cure,
  dries,
  electrics,
  oneOrTwo,
  sets,
  shed,
  two,
} from '../write'
import type { Writer } from '../write'

/** What was done in the first haul-out and the summer after it: all finished. */
export function writeSeasonOne(write: Writer): void {
  madeReady(write)
  write.job(
    'strip-out',
    'Strip out the saloon and forecabin',
    { zoneId: 'zone-saloon', systemId: 'system-interior', purpose: 'live', severity: 2 },
    [
      ['label', 'Photograph, bag and label', 6, { ...oneOrTwo, done: '2025-10-18 15:40' }],
      ['strip', 'Lift soles and linings out', 9, { ...oneOrTwo, done: '2025-10-26 15:10' }],
      ['label', 'Wire list of what was cut', 3, { ...electrics, done: '2025-11-02 14:30' }],
    ],
  )
  write.job(
    'side-deck',
    'Re-core the side deck, port',
    {
      zoneId: 'zone-side-deck-port',
      systemId: 'system-deck',
      purpose: 'float',
      severity: 4,
      spreading: true,
      nextTime: 'Two thin passes of filler, batten both ways. One thick one sagged.',
    },
    [
      ['survey', 'Map and mark the wet core', 1, { done: '2025-11-08 11:00' }],
      ['strip', 'Strip stanchions and track', 4, { ...awkward, done: '2025-11-15 15:00' }],
      ['cut', 'Cut and lift the skin', 3, { done: '2025-11-29 14:00' }],
      ['strip', 'Rake out the core', 5, { done: '2025-12-06 15:20', ...dries(40) }],
      ['fit', 'Pattern and cut new core', 4, { ...shed, done: '2026-01-31 16:00' }],
      ['laminate', 'Bed the core, weighted', 3, { ...two, ...cure(24), done: '2026-02-28 13:40' }],
      ['laminate', 'Plies 1 to 6', 7, { ...two, ...cure(24), done: '2026-03-14 15:30' }],
      ['fair', 'Fair and longboard', 5, { done: '2026-03-28 15:00' }],
      ['paint', 'Prime and non-skid', 4, { ...cure(24), done: '2026-04-18 14:10' }],
      ['bed', 'Bed stanchions and track', 4, { ...two, ...sets(72), done: '2026-04-26 15:45' }],
      ['test', 'Hose test', 0.5, { ...two, done: '2026-05-02 10:30' }],
    ],
  )
  write.job(
    'valves-one',
    'Sea valves, heads and galley sink',
    { zoneId: 'zone-through-hulls', systemId: 'system-plumbing', purpose: 'float', severity: 3 },
    [
      ['strip', 'Strip both valves', 1.6, { ...ashore, ...cramped, done: '2026-01-17 13:00' }],
      ['survey', 'Check for pink, soft metal', 0.4, { ...ashore, done: '2026-01-17 14:00' }],
      ['fit', 'Lap and grease', 2.4, { ...ashore, done: '2026-02-07 15:00' }],
      ['test', 'Work each ten times', 0.2, { ...ashore, done: '2026-02-07 15:30' }],
      ['plumb', 'Hoses on, double clips', 0.8, { ...ashore, ...cramped, done: '2026-02-14 12:00' }],
    ],
  )
  write.job(
    'mast-step',
    'Rebuild the mast step',
    { zoneId: 'zone-bilge', systemId: 'system-structure', purpose: 'float', severity: 4 },
    [
      ['cut', 'Cut out the soft step', 3, { ...cramped, done: '2026-01-24 15:00' }],
      [
        'fit',
        'Laminate and shape a new block',
        4,
        { ...shed, ...cure(24), done: '2026-02-21 15:30' },
      ],
      ['bed', 'Bed and bolt the block', 2, { ...two, ...cure(24), done: '2026-03-21 14:30' }],
      ['test', 'Check against the rig drawing', 0.5, { done: '2026-03-29 11:00' }],
    ],
  )
  write.job(
    'galley-hose',
    'Change the galley drain hose',
    { zoneId: 'zone-galley', systemId: 'system-plumbing', purpose: 'float', severity: 2 },
    [
      ['strip', 'Old hose off', 0.5, { ...cramped, done: '2026-11-14 11:00' }],
      ['plumb', 'New hose, double clips', 0.8, { ...cramped, done: '2026-11-14 13:30' }],
    ],
  )
}

/** Work that went as planned in the first haul-out, but for the hours. */
function madeReady(write: Writer): void {
  write.job(
    'cover',
    'Winter frame and cover',
    { zoneId: 'zone-whole-boat', systemId: 'system-safety', purpose: 'float', severity: 2 },
    [
      ['fit', 'Frame of battens', 8, { ...two, done: '2025-10-12 16:00' }],
      ['fit', 'Cover on, laced', 5, { ...two, done: '2025-10-19 15:00' }],
    ],
  )
  write.job(
    'old-wires',
    'Old wiring out, labelled',
    { zoneId: 'zone-engine-space', systemId: 'system-electrical', purpose: 'safe', severity: 3 },
    [
      ['survey', 'Trace every run', 5, { ...electrics, done: '2025-11-01 15:00' }],
      ['strip', 'Pull what is dead', 9, { ...electrics, ...awkward, done: '2025-11-30 15:00' }],
    ],
  )
  write.job(
    'bottom-one',
    'Bottom washed and antifouled, season one',
    {
      zoneId: 'zone-underwater-hull-port',
      systemId: 'system-finish',
      purpose: 'float',
      severity: 2,
    },
    [
      ['clean', 'Wash and scrape', 4, { ...ashore, ...oneOrTwo, done: '2025-10-11 17:00' }],
      [
        'antifoul',
        'One coat to see the summer',
        6,
        { ...ashore, ...oneOrTwo, done: '2026-05-02 15:00' },
      ],
    ],
  )
  write.job(
    'sole-varnish',
    'Sole boards varnished',
    { zoneId: 'zone-saloon', systemId: 'system-finish', purpose: 'shine', severity: 1 },
    [
      ['strip', 'Scrape them', 8, { ...shed, ...oneOrTwo, done: '2026-01-03 16:00' }],
      ['varnish', 'Five coats', 9, { ...shed, ...cure(24), done: '2026-03-28 15:00' }],
    ],
  )
}
