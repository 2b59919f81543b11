/** Usual jobs of a refit by system, for a new owner to tick. */
import type { Entities } from '../model/entities'
import type { PatchOf } from '../model/field'
import type { Operation, Purpose, SystemKind } from '../model/words'

/** What a step of the list says beyond its operation, title and hours. */
type StarterMore = Partial<PatchOf<Entities['step']>>

export interface StarterJob {
  readonly key: string
  readonly title: string
  readonly system: SystemKind
  readonly purpose: Purpose
  readonly severity: number
  /** Place it is given when the refit has one of that name. */
  readonly zone?: string
  /** Must be done before she goes in. */
  readonly beforeLaunch?: true
  /** Recipe with its first dimensions, to be put right on the boat. */
  readonly recipe?: string
  /** Steps where there is no recipe: operation, title, hours, and what else is known. */
  readonly steps?: readonly (readonly [Operation, string, number, StarterMore?])[]
}

const launch = { beforeLaunch: true } as const
const ashore: StarterMore = { hullNeed: 'ashore' }
const afloat: StarterMore = { hullNeed: 'afloat' }
const either: StarterMore = { hullNeed: 'either' }
const two: StarterMore = { crewMin: 2, crewMax: 2 }
const dry: StarterMore = { needsDry: true }
/** Looked at as she floats in the slings, before they let go. */
const inSlings: StarterMore = {
  hullNeed: 'slings',
  ...two,
  caution:
    'Nobody aboard while she hangs. Once she floats with the slings slack but on and the crane driver agrees: one aboard with a torch, one at the rail. Plug and hammer in hand.',
}
const underHer: StarterMore = {
  ...ashore,
  caution: 'Never under her unless she is chocked. The yard moves stands, never you.',
}

export const starterList: readonly StarterJob[] = [
  {
    key: 'survey',
    title: 'Walk the boat, write down what is found',
    system: 'structure',
    purpose: 'safe',
    severity: 3,
    zone: 'Whole boat',
    steps: [
      ['survey', 'Bow to stern above deck', 3],
      ['survey', 'Bow to stern below', 4],
      ['survey', 'The hull ashore', 2, underHer],
    ],
  },
  {
    key: 'keel-bolts',
    title: 'Keel bolts looked at',
    system: 'structure',
    purpose: 'float',
    severity: 3,
    zone: 'Keel',
    ...launch,
    steps: [
      ['survey', 'Dry the bilge, scrape, look', 1.5, either],
      [
        'test',
        'Torque as the builder says',
        1,
        {
          ...ashore,
          caution:
            'Only with her weight standing on the keel, and to the builder\u2019s figure: a bolt that turns on and on is a finding, stop there.',
        },
      ],
    ],
  },
  {
    key: 'joint',
    title: 'Hull-to-deck joint re-fastened',
    system: 'structure',
    purpose: 'float',
    severity: 2,
    recipe: 'hull-deck-joint',
    zone: 'Topsides',
  },
  {
    key: 'leaks',
    title: 'Find where the deck leaks',
    system: 'deck',
    purpose: 'float',
    severity: 3,
    recipe: 'find-leak',
    zone: 'Coachroof',
  },
  {
    key: 'core',
    title: 'Core round a deck fitting dried and filled',
    system: 'deck',
    purpose: 'float',
    severity: 3,
    recipe: 'dry-local-core',
  },
  {
    key: 'cleats',
    title: 'Cleats re-bedded',
    system: 'deck',
    purpose: 'float',
    severity: 2,
    recipe: 'sleeve-and-bed',
  },
  {
    key: 'hatch',
    title: 'Hatch re-bedded',
    system: 'deck',
    purpose: 'float',
    severity: 2,
    recipe: 'rebed-trim',
    zone: 'Coachroof',
  },
  {
    key: 'posts',
    title: 'Guardrail posts and lines',
    system: 'safety',
    purpose: 'safe',
    severity: 3,
    recipe: 'posts-and-rail',
    zone: 'Side deck, port',
  },
  {
    key: 'rig-check',
    title: 'Rig checked, tang by tang',
    system: 'rig',
    purpose: 'safe',
    severity: 3,
    zone: 'Mast and rigging',
    steps: [
      ['survey', 'From the deck with glasses', 1],
      [
        'survey',
        'Aloft: two lines, a tailer',
        2,
        {
          ...two,
          ...dry,
          skill: 'aloft',
          caution:
            'Two lines on two winches, a tailer who does nothing else, nobody below. Not ashore on stands unless the yard agrees; not in wind.',
        },
      ],
      [
        'survey',
        'Chainplates, one in three drawn',
        3,
        {
          caution:
            'One at a time, its shroud taken over by a halyard first. Look on both sides of the deck.',
        },
      ],
    ],
  },
  {
    key: 'sails',
    title: 'Sails to the sailmaker',
    system: 'rig',
    purpose: 'go',
    severity: 2,
    recipe: 'out-to-trade',
  },
  {
    key: 'rudder',
    title: 'Rudder bearings and stops',
    system: 'steering',
    purpose: 'go',
    severity: 3,
    zone: 'Rudder and skeg',
    ...launch,
    steps: [
      [
        'survey',
        'Lift it, feel the play',
        0.5,
        {
          ...ashore,
          ...two,
          caution: 'A rudder crushes: chocked from below, no hand between it and the hull.',
        },
      ],
      ['fit', 'Bearings greased or renewed', 2, ashore],
      ['test', 'Stops checked hard over', 0.3, { ...ashore, ...two }],
    ],
  },
  {
    key: 'cables',
    title: 'Steering cables and quadrant',
    system: 'steering',
    purpose: 'safe',
    severity: 2,
    steps: [
      ['survey', 'Look along every cable', 1, either],
      ['fit', 'Tension, split pins', 1, { ...either, skill: 'mechanics' }],
      [
        'test',
        'Hard over to hard over, one at the wheel, one at the quadrant',
        0.3,
        { ...either, ...two },
      ],
    ],
  },
  {
    key: 'anchor',
    title: 'Anchor, chain, windlass',
    system: 'ground tackle',
    purpose: 'go',
    severity: 3,
    zone: 'Bow and anchor gear',
    steps: [
      ['survey', 'Flake the chain out, measure links', 1.5, two],
      ['clean', 'Wash the locker, clear the drain', 1],
      ['fit', 'Windlass stripped and greased', 2],
      ['label', 'Mark the chain', 1],
    ],
  },
  {
    key: 'engine',
    title: 'Engine re-commissioned',
    system: 'propulsion',
    purpose: 'go',
    severity: 3,
    recipe: 'engine-recommission',
    zone: 'Engine space',
  },
  {
    key: 'mounts',
    title: 'Engine mounts and alignment',
    system: 'propulsion',
    purpose: 'go',
    severity: 2,
    zone: 'Engine space',
    steps: [
      ['survey', 'Look at the rubbers', 0.5, either],
      [
        'fit',
        'Renew what is soft',
        3,
        {
          ...either,
          skill: 'mechanics',
          ...two,
          caution:
            'The engine hangs on a beam or a jack before a mount comes out: one mount at a time, no hand under it.',
        },
      ],
      [
        'fit',
        'Final alignment, a day or more after the launch',
        2,
        { ...afloat, afterGate: true, skill: 'mechanics' },
      ],
    ],
  },
  {
    key: 'shaft',
    title: 'Shaft, gland, bearing, propeller',
    system: 'stern gear',
    purpose: 'go',
    severity: 3,
    recipe: 'shaft-and-gland',
    zone: 'Stern gear',
    ...launch,
  },
  {
    key: 'anodes',
    title: 'Anodes renewed',
    system: 'stern gear',
    purpose: 'float',
    severity: 3,
    recipe: 'anodes',
    zone: 'Stern gear',
    ...launch,
  },
  {
    key: 'valves',
    title: 'Sea valves overhauled',
    system: 'plumbing',
    purpose: 'float',
    severity: 4,
    recipe: 'sea-valve',
    zone: 'Through-hulls',
    ...launch,
  },
  {
    key: 'hoses',
    title: 'Hoses below the waterline, two clips each',
    system: 'plumbing',
    purpose: 'float',
    severity: 4,
    zone: 'Through-hulls',
    ...launch,
    steps: [
      ['survey', 'Squeeze every hose, list the soft ones', 1, either],
      [
        'plumb',
        'Renew the soft ones',
        4,
        {
          ...ashore,
          caution:
            'Ashore, or with the valve shut and proved shut: two clips on every end, none over the end of a spigot.',
        },
      ],
      ['test', 'In the slings: valves open one by one, dry paper under each joint', 0.3, inSlings],
    ],
  },
  {
    key: 'bilge',
    title: 'Bilge pumps and float switches proved',
    system: 'plumbing',
    purpose: 'float',
    severity: 4,
    zone: 'Bilge',
    ...launch,
    steps: [
      ['clean', 'Clean the bilge and the strainers', 1, either],
      [
        'wire',
        'Own fuse, straight from the bank',
        1.5,
        {
          ...either,
          skill: 'electrics',
          caution: 'Isolate and prove dead. The fuse within 200 mm of the bank.',
        },
      ],
      ['test', 'Pump a bucket, lift the float by hand', 0.5, { ...either, ...two }],
    ],
  },
  {
    key: 'heads',
    title: 'Heads rebuilt',
    system: 'plumbing',
    purpose: 'live',
    severity: 2,
    zone: 'Heads',
    steps: [
      ['plumb', 'Seals and joker valve', 2],
      ['plumb', 'Hoses that smell', 3],
    ],
  },
  {
    key: 'water',
    title: 'Water tanks cleaned and proved',
    system: 'plumbing',
    purpose: 'live',
    severity: 2,
    steps: [
      ['clean', 'Open, scrub, rinse', 3],
      ['test', 'Fill, leave a night, look', 0.5],
    ],
  },
  {
    key: 'electric',
    title: 'Electrical system in six stages',
    system: 'electrical',
    purpose: 'safe',
    severity: 2,
    recipe: 'electrical-system',
  },
  {
    key: 'batteries',
    title: 'Batteries tested, terminals clean',
    system: 'electrical',
    purpose: 'go',
    severity: 3,
    steps: [
      ['test', 'Rest and load volts, written down', 1, { skill: 'electrics' }],
      [
        'wire',
        'Terminals, straps, covers',
        1.5,
        {
          skill: 'electrics',
          caution:
            'Rings and watch off, tools taped, negative off first and on last. Acid: goggles, gloves. Lithium is for licensed people.',
        },
      ],
    ],
  },
  {
    key: 'shore',
    title: 'Shore power checked by a licensed person',
    system: 'electrical',
    purpose: 'safe',
    severity: 3,
    steps: [['contract', 'Inspection and certificate', 0, { licensedKind: 'mains' }]],
  },
  {
    key: 'solar',
    title: 'Solar panels on an arch',
    system: 'electrical',
    purpose: 'live',
    severity: 1,
    recipe: 'solar-on-arch',
    zone: 'Cockpit',
  },
  {
    key: 'transducer',
    title: 'Depth transducer',
    system: 'electronics',
    purpose: 'go',
    severity: 2,
    recipe: 'transducer',
    zone: 'Through-hulls',
    ...launch,
  },
  {
    key: 'lights',
    title: 'Navigation lights and radio',
    system: 'electronics',
    purpose: 'safe',
    severity: 3,
    steps: [
      ['test', 'Every light, every aerial', 1, { skill: 'electrics' }],
      [
        'wire',
        'Mend what failed',
        2,
        {
          skill: 'electrics',
          caution:
            'Isolate and prove dead. What is up the mast is mended before it goes up, or aloft on two lines.',
        },
      ],
    ],
  },
  {
    key: 'strip',
    title: 'Strip-out with bags',
    system: 'interior',
    purpose: 'live',
    severity: 2,
    recipe: 'strip-out',
    zone: 'Saloon',
  },
  {
    key: 'lining',
    title: 'Lining re-covered',
    system: 'interior',
    purpose: 'live',
    severity: 1,
    recipe: 'recover-lining',
    zone: 'Saloon',
  },
  {
    key: 'clean',
    title: 'Deep clean and move aboard',
    system: 'interior',
    purpose: 'live',
    severity: 1,
    recipe: 'deep-clean',
  },
  {
    key: 'bottom',
    title: 'Strip, barrier coat and antifoul',
    system: 'finish',
    purpose: 'float',
    severity: 3,
    recipe: 'strip-barrier-antifoul',
    zone: 'Underwater hull, port',
    ...launch,
  },
  {
    key: 'brightwork',
    title: 'Brightwork',
    system: 'finish',
    purpose: 'shine',
    severity: 1,
    recipe: 'varnish-wood',
  },
  {
    key: 'topsides',
    title: 'Topsides washed, compounded, waxed',
    system: 'finish',
    purpose: 'shine',
    severity: 1,
    zone: 'Topsides',
    steps: [
      ['clean', 'Wash', 2, ashore],
      [
        'finish',
        'Compound and wax',
        8,
        {
          ...ashore,
          ...dry,
          caution:
            'From a staging, not from a ladder leaned on her. Earth-leakage breaker on the polisher.',
        },
      ],
    ],
  },
  {
    key: 'gas',
    title: 'Gas checked by a licensed person',
    system: 'safety',
    purpose: 'safe',
    severity: 4,
    zone: 'Galley',
    steps: [
      ['contract', 'Pressure test and certificate', 0, { licensedKind: 'gas' }],
      [
        'test',
        'Alarm, locker drain, shut-off',
        0.5,
        {
          caution:
            'No flames, no switches while it smells of gas. What is behind the regulator is for a licensed person.',
        },
      ],
    ],
  },
  {
    key: 'safety',
    title: 'Life-saving gear in date',
    system: 'safety',
    purpose: 'safe',
    severity: 4,
    steps: [
      ['survey', 'List with dates: raft, jackets, flares, extinguishers', 1.5],
      ['contract', 'Raft to service', 0],
      ['fit', 'Plugs and hammer at every opening', 0.5, either],
    ],
  },
  {
    key: 'winter',
    title: 'Winter cover and lay-up',
    system: 'safety',
    purpose: 'float',
    severity: 2,
    recipe: 'winter-lay-up',
    zone: 'Whole boat',
  },
]
