/** Usual jobs of a refit by system, for a new owner to tick. */
import type { ChangeItem } from '../model/changes'
import type { Operation, Purpose, SystemKind } from '../model/words'
import { keysAfter } from '../model/order'
import { inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { recipeBook } from './book'
import { expand } from './expand'
import { jobFromRecipe } from './make'
import { initialInputs } from './recipe'

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
  /** Steps where there is no recipe: operation, title, hours. */
  readonly steps?: readonly (readonly [Operation, string, number])[]
}

const launch = { beforeLaunch: true } as const

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
      ['survey', 'The hull ashore', 2],
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
      ['survey', 'Dry the bilge, scrape, look', 1.5],
      ['test', 'Torque as the builder says', 1],
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
      ['survey', 'Aloft: two lines, a tailer', 2],
      ['survey', 'Chainplates, one in three drawn', 3],
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
      ['survey', 'Lift it, feel the play', 0.5],
      ['fit', 'Bearings greased or renewed', 2],
      ['test', 'Stops checked hard over', 0.3],
    ],
  },
  {
    key: 'cables',
    title: 'Steering cables and quadrant',
    system: 'steering',
    purpose: 'safe',
    severity: 2,
    steps: [
      ['survey', 'Look along every cable', 1],
      ['fit', 'Tension, split pins', 1],
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
      ['survey', 'Flake the chain out, measure links', 1.5],
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
      ['survey', 'Look at the rubbers', 0.5],
      ['fit', 'Renew what is soft', 3],
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
      ['survey', 'Squeeze every hose, list the soft ones', 1],
      ['plumb', 'Renew the soft ones', 4],
      ['test', 'Valves open, dry paper under each joint', 0.3],
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
      ['clean', 'Clean the bilge and the strainers', 1],
      ['test', 'Pump a bucket, lift the float by hand', 0.5],
      ['wire', 'Own fuse, straight from the bank', 1.5],
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
      ['test', 'Rest and load volts, written down', 1],
      ['wire', 'Terminals, straps, covers', 1.5],
    ],
  },
  {
    key: 'shore',
    title: 'Shore power checked by a licensed person',
    system: 'electrical',
    purpose: 'safe',
    severity: 3,
    steps: [['contract', 'Inspection and certificate', 0]],
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
      ['test', 'Every light, every aerial', 1],
      ['wire', 'Mend what failed', 2],
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
      ['clean', 'Wash', 2],
      ['finish', 'Compound and wax', 8],
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
      ['contract', 'Pressure test and certificate', 0],
      ['test', 'Alarm, locker drain, shut-off', 0.5],
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
      ['fit', 'Plugs and hammer at every opening', 0.5],
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

/** Steps of a job of the list that takes a licence. */
const licensedOf: Readonly<Record<string, string>> = { shore: 'mains', gas: 'gas' }

/** The operations that make the ticked jobs. Recipes begin with their first dimensions. */
export function starterJobs(
  rows: RefitRows,
  keys: readonly string[],
  newId: () => string,
): ChangeItem[] {
  const ticked = starterList.filter((one) => keys.includes(one.key))
  const orders = keysAfter(inOrder(rows.job).at(-1)?.order ?? null, ticked.length)
  const launchGate = rows.gate.find((gate) => gate.kind === 'launch')?.id ?? null
  return ticked.flatMap((one, index) => {
    const frame = {
      title: one.title,
      order: orders[index] as string,
      purpose: one.purpose,
      severity: one.severity,
      systemId: rows.system.find((system) => system.kind === one.system)?.id ?? null,
      zoneId: rows.zone.find((zone) => zone.name === one.zone)?.id ?? null,
      gateId: one.beforeLaunch ? launchGate : null,
      placed: Boolean(one.beforeLaunch && launchGate),
    }
    const recipe = recipeBook.find((each) => each.key === one.recipe)
    if (recipe) {
      const inputs = initialInputs(recipe)
      const worked = expand(recipe, inputs)
      if (worked.ok) return jobFromRecipe(recipe.key, inputs, worked.draft, frame, newId).items
    }
    return plainJob(one, frame, newId)
  })
}

function plainJob(
  one: StarterJob,
  frame: Readonly<Record<string, unknown>>,
  newId: () => string,
): ChangeItem[] {
  const jobId = newId()
  const steps = one.steps ?? []
  const orders = keysAfter(null, steps.length)
  const job: ChangeItem = { op: 'create', entity: 'job', id: jobId, patch: frame }
  return [
    job,
    ...steps.map(([operation, title, hoursLikely], index): ChangeItem => ({
      op: 'create',
      entity: 'step',
      id: newId(),
      patch: {
        jobId,
        title,
        operation,
        hoursLikely,
        order: orders[index],
        licensedKind: licensedOf[one.key] ?? null,
      },
    })),
  ]
}
