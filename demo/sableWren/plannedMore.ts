import type { Writer } from '../write'

/** Work of the third season that was planned from the start, most of it by recipe. */
export function writePlannedMore(write: Writer): void {
  const placed = { placed: true } as const
  write.recipeJob(
    'coaming',
    'Cockpit coaming varnish',
    'varnish-wood',
    { areaM2: 1.6, school: 'epoxy' },
    {
      ...placed,
      zoneId: 'zone-cockpit',
      systemId: 'system-finish',
      gateId: 'sail-away',
      purpose: 'shine',
      severity: 2,
    },
  )
  write.recipeJob(
    'winter',
    'Winter cover and lay-up',
    'winter-lay-up',
    { lengthM: 12.2, beamM: 3.7, visits: 4 },
    {
      ...placed,
      zoneId: 'zone-whole-boat',
      systemId: 'system-safety',
      gateId: 'sail-away',
      purpose: 'float',
      severity: 2,
      // She is pickled once the engine has run, and covered once the masts are off.
      after: ['engine#4>1', 'rig#1>4'],
      // Laid up in autumn, not on the first free day.
      facts: { months: ['oct', 'nov', 'dec', 'jan', 'feb', 'mar'] },
    },
  )
  write.recipeJob(
    'sails',
    'Sails to Greave for a winter',
    'out-to-trade',
    { pieces: 6, leadDays: 60 },
    {
      ...placed,
      zoneId: 'zone-mast-and-rigging',
      systemId: 'system-rig',
      gateId: 'sail-away',
      purpose: 'go',
      severity: 2,
    },
  )
  write.job(
    'gas',
    'Gas checked and certified',
    {
      ...placed,
      zoneId: 'zone-galley',
      systemId: 'system-safety',
      gateId: 'move-aboard',
      purpose: 'safe',
      severity: 4,
      doBy: 'trade',
      doByReason: 'Licensed work; the insurer wants the paper.',
      tradePriceMinor: 18_000,
    },
    [
      ['contract', 'Pressure test and certificate', 0, { licensedKind: 'gas' }],
      ['test', 'Alarm, locker drain, shut-off', 0.5],
    ],
  )
  write.job(
    'nav-lights',
    'Navigation lights and radio',
    {
      addsHeightM: 0.35,
      addsKg: 4,
      ...placed,
      zoneId: 'zone-mast-and-rigging',
      systemId: 'system-electronics',
      gateId: 'rigger',
      purpose: 'safe',
      severity: 3,
    },
    [
      ['test', 'Every light, every aerial', 1, { skill: 'electrics' }],
      ['wire', 'Mend what failed', 2, { skill: 'electrics' }],
    ],
  )
  write.job(
    'raft',
    'Life-saving gear in date',
    {
      ...placed,
      zoneId: 'zone-whole-boat',
      systemId: 'system-safety',
      gateId: 'sail-away',
      purpose: 'safe',
      severity: 3,
    },
    [
      ['survey', 'List with dates', 1],
      [
        'contract',
        'Raft to service',
        0,
        { placeNeed: 'away', waitKind: 'calendar', waitHours: 480 },
      ],
      ['fit', 'Plugs and hammer at every opening', 0.5, { forHelpers: true }],
    ],
  )
  write.job(
    'ladder-cushions',
    'Cockpit cushions',
    { zoneId: 'zone-cockpit', purpose: 'live', severity: 1 },
    [
      ['survey', 'Measure the seats', 0.5],
      [
        'contract',
        'Sewn by a trade',
        0,
        { placeNeed: 'away', waitKind: 'calendar', waitHours: 480 },
      ],
    ],
  )
}
