/** What many recipes say alike. */
import type { RecipeChoice, RecipeInput, RecipeWait } from '../recipe'
import { recipeFormat, recipeVersion } from '../recipe'

export const ours = { format: recipeFormat, version: recipeVersion } as const
export const chem = (hours: number | string): RecipeWait => ({ kind: 'chem', hours: String(hours) })
export const sealantSets = (hours: string): RecipeWait => ({ kind: 'moisture', hours })
export const driesFor = (days: string): RecipeWait => ({ kind: 'dry', hours: `24 * ${days}` })
export const takesDays = (days: string): RecipeWait => ({ kind: 'calendar', hours: `24 * ${days}` })

export const ashore = { hull: 'ashore' } as const
export const afloat = { hull: 'afloat' } as const
/** As she floats in the slings, before she is let go. */
export const inSlings = { hull: 'slings' } as const
/** Never holds the gate. */
export const afterGate = { afterGate: true } as const
export const shed = { place: 'shed' } as const
export const away = { place: 'away' } as const
export const two = { crew: [2, 2] } as const
export const oneOrTwo = { crew: [1, 2] } as const

/** A dimension with its range; the help says how to measure it. */
export const input = (
  key: string,
  label: string,
  unit: RecipeInput['unit'],
  [min, initial, max]: readonly [number, number, number],
  help: string,
  more: Partial<RecipeInput> = {},
): RecipeInput => ({ key, label, unit, min, initial, max, help, ...more })

export const counted = { whole: true, drawing: 'count' } as const

/** What lies between fitting and deck: two schools. */
export const beddingChoice: RecipeChoice = {
  key: 'bedding',
  label: 'Bedded in',
  initial: 'butyl',
  options: [
    {
      value: 'butyl',
      label: 'Butyl tape',
      why: 'Stays soft, comes off again, no cure to wait for. Wants re-tightening for a week; not for the underwater hull or thin flexible flanges.',
    },
    {
      value: 'sealant',
      label: 'Curing sealant',
      why: 'Grips and takes movement; polysulphide or a serviceable polyurethane. Ties the job down for days, and is slow to clean off next time. Polysulphide attacks most plastics.',
    },
  ],
}

/** Which ply goes down first: two schools. */
export const stackChoice: RecipeChoice = {
  key: 'stack',
  label: 'Order of the plies',
  initial: 'largestFirst',
  options: [
    {
      value: 'largestFirst',
      label: 'Largest first',
      why: 'Every ply bonds to the ground taper and the first one seals the whole repair; sanding flush cuts only the small ones.',
    },
    {
      value: 'smallestFirst',
      label: 'Smallest first',
      why: 'Each ply lands on its own step of the taper and the last one covers all edges; sanding flush cuts the large outer plies, so stay off them.',
    },
  ],
}

/** Days a wet part dries before its reading passes. */
export const dryingDays = (initial: number, min: number, max: number): RecipeInput =>
  input(
    'dryDays',
    'Drying',
    'days',
    [min, initial, max],
    'A guess: it ends when the moisture reading passes, not when the days are over.',
    { drawing: 'calendar' },
  )

/** Old fitting or new place: what has to come off, or be looked at, first. */
export const oldOrNew: RecipeChoice = {
  key: 'place',
  label: 'What is there',
  initial: 'old',
  options: [
    {
      value: 'old',
      label: 'An old fitting',
      why: 'It comes off first; its holes are filled and drilled again.',
    },
    {
      value: 'new',
      label: 'A new place',
      why: 'Nothing comes off. What is below is looked at before the first hole.',
    },
  ],
}

/** A core dries until a meter says so; the same meter on sound, dry core gives what dry reads. */
export const moistureRead = {
  read: {
    what: 'Moisture',
    unit: '%',
    high: 14,
    failAt: 18,
    source: 'the meter, against sound dry core of the same make',
  },
} as const

/** Filled and sanded again until a batten says so. */
export const fairRounds = {
  rounds: { likely: 1, most: 3, until: 'a 1 m batten shows under 1 mm' },
} as const

/** The last step of many: what nobody remembers a year on. */
export const writeDown = (what: string) =>
  ({ key: 'log', title: `Write down ${what}`, operation: 'label', hours: '0.1' }) as const
