import {
  afloat,
  ashore,
  away,
  awkward,
  cramped,
  cure,
  electrics,
  oneOrTwo,
  sets,
  shed,
  takes,
  two,
} from '../write'
import type { Writer } from '../write'

/** What is left for the third haul-out and the time before sailing away. */
export function writeSeasonThree(write: Writer): void {
  write.job(
    'engine',
    'Engine re-commission',
    {
      zoneId: 'zone-engine-space',
      systemId: 'system-propulsion',
      gateId: 'sail-away',
      purpose: 'go',
      severity: 3,
    },
    [
      ['label', 'Photograph everything before', 0.5],
      ['fit', 'Cooling, belts, anode', 5, { ...cramped, skill: 'mechanics' }],
      [
        'fit',
        'Fuel: tank out, clean, new lines',
        7,
        { ...cramped, ...oneOrTwo, skill: 'mechanics' },
      ],
      ['test', 'Start on a bucket, out of gear', 1.5, { ...two, ...ashore }],
      ['test', 'Sea trial', 3, { ...afloat, ...two }],
    ],
  )
  write.job(
    'rig',
    'Rig off, checked and on again',
    {
      zoneId: 'zone-mast-and-rigging',
      systemId: 'system-rig',
      gateId: 'rigger',
      haulOutId: 'haul-three',
      purpose: 'safe',
      severity: 3,
    },
    [
      [
        'contract',
        'Hartsel Rigging unsteps both masts',
        0,
        { ...takes(1), ...ashore, notBefore: write.date('2027-10-12') },
      ],
      ['survey', 'Chainplates: draw one in three', 4, { ...two, ...ashore, skill: 'mechanics' }],
      ['wire', 'Mast wiring, lights, aerials', 6, { ...electrics }],
      ['test', 'Test lights and aerials before stepping', 0.5, { ...electrics }],
      ['contract', 'Standing rigging made up', 0, { ...away, ...takes(30) }],
    ],
  )
  write.job(
    'rig-tune',
    'Step and tune',
    {
      zoneId: 'zone-mast-and-rigging',
      systemId: 'system-rig',
      gateId: 'sail-away',
      purpose: 'safe',
      severity: 3,
      // The masts go up again when the cover has come off.
      after: ['rig', 'winter'],
    },
    [
      ['contract', 'Hartsel steps the masts', 0, { ...takes(1) }],
      ['test', 'Tune under load', 3, { ...afloat, ...two }],
    ],
  )
  write.job(
    'solar',
    'Solar on the arch',
    {
      addsKg: 62,
      zoneId: 'zone-cockpit',
      systemId: 'system-electrical',
      gateId: 'sail-away',
      purpose: 'live',
      severity: 2,
      after: ['panel-rest'],
    },
    [
      ['contract', 'Brannock makes the arch', 0, { ...away, ...takes(20) }],
      ['fit', 'Dry fit on the boat', 6, { ...two }],
      ['contract', 'Polished away', 0, { ...away, ...takes(12) }],
      ['bed', 'Bed and bolt', 3, { ...two, ...sets(72) }],
      ['wire', 'Battery on the controller first, then the panels', 3, { ...electrics }],
      ['test', 'Volts and amps at noon', 0.5, { ...electrics }],
    ],
  )
  write.job(
    'upholstery',
    'Saloon upholstery',
    {
      zoneId: 'zone-saloon',
      systemId: 'system-interior',
      gateId: 'move-aboard',
      purpose: 'live',
      severity: 1,
      after: ['forecabin-lining', 'trim'],
    },
    [
      ['label', 'Bag and label the cushions', 1, { forHelpers: true }],
      ['contract', 'Greave Sails cover them', 0, { ...away, ...takes(35) }],
      ['fit', 'Check on return and fit', 1],
    ],
  )
  write.job(
    'trim',
    'Varnish the saloon trim',
    {
      zoneId: 'zone-saloon',
      systemId: 'system-finish',
      gateId: 'move-aboard',
      purpose: 'shine',
      severity: 1,
    },
    [
      ['strip', 'Strip', 6, { ...shed, forHelpers: true }],
      ['varnish', 'Coat 1, thinned', 1, { ...shed, ...cure(24) }],
      ['varnish', 'Coat 2', 1, { ...shed, ...cure(24) }],
      ['varnish', 'Coat 3', 1, { ...shed, ...cure(24) }],
    ],
  )
  write.job(
    'heads',
    'Heads: new bowl, hoses, vent',
    {
      zoneId: 'zone-heads',
      systemId: 'system-plumbing',
      gateId: 'move-aboard',
      purpose: 'live',
      severity: 2,
    },
    [
      ['strip', 'Old bowl and hoses out', 2, { ...cramped }],
      ['fit', 'Bowl and pump in', 2.5, { ...cramped }],
      ['plumb', 'Hoses with high loops, double clips', 3, { ...cramped }],
      ['test', 'Flush and look for weeps', 0.5],
    ],
  )
  write.job(
    'move',
    'Deep clean and move aboard',
    {
      zoneId: 'zone-whole-boat',
      systemId: 'system-interior',
      gateId: 'move-aboard',
      purpose: 'live',
      severity: 1,
      after: ['upholstery', 'heads'],
    },
    [
      ['clean', 'Vacuum every slot, wash', 6, { ...oneOrTwo, forHelpers: true }],
      ['fit', 'Ventilating mat under the cushions', 1.5],
      ['finish', 'Stow', 5, { ...oneOrTwo }],
    ],
  )
  write.job(
    'windlass',
    'Windlass and chain',
    {
      zoneId: 'zone-bow-and-anchor-gear',
      systemId: 'system-ground-tackle',
      gateId: 'sail-away',
      purpose: 'go',
      severity: 2,
      after: ['bitt', 'panel-rest'],
    },
    [
      ['fit', 'Backing plate and base', 3, { ...awkward }],
      ['wire', 'Heavy cable and breaker', 4, { ...electrics, ...cramped }],
      ['test', 'Lower and lift all the chain', 1, { ...afloat, ...two }],
    ],
  )
  write.job(
    'steering',
    'Steering cables and quadrant',
    {
      zoneId: 'zone-rudder-and-skeg',
      systemId: 'system-steering',
      gateId: 'sail-away',
      purpose: 'go',
      severity: 3,
    },
    [
      ['survey', 'Look at every sheave and end', 1.5, { ...cramped }],
      ['fit', 'New cables', 3, { ...cramped, skill: 'mechanics' }],
      ['test', 'Stops and full travel', 0.5, { ...two }],
    ],
  )
  write.add('job', 'teak', {
    title: 'Bring the cockpit teak back',
    zoneId: 'zone-cockpit',
    systemId: 'system-finish',
    purpose: 'shine',
    severity: 1,
    decision: 'later',
    reason: 'Sound, only grey',
    order: 'zy',
  })
  write.add('job', 'ladder', {
    title: 'New boarding ladder',
    zoneId: 'zone-topsides',
    systemId: 'system-safety',
    purpose: 'safe',
    severity: 2,
    order: 'zz',
  })
}
