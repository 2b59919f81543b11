/** What she is made of, how one gets at it, and by what her work is sorted. */
import { aside, choice, date, flag, maybe, note, real, record, ref, text } from '../field'
import { kind } from '../kind'
import * as said from '../said'
import * as words from '../words'

export const system = kind(
  'system',
  {
    name: text('System'),
    kind: choice('Kind of system', words.systemKinds),
    order: text('Order', 80),
  },
  { planInput: true },
)

/**
 * A place's own outline on the boat map. Shares of the length overall: x from the stern forward; y above the
 * waterline in the elevation, to starboard of the centreline in the deck plan.
 */
export interface ZoneShape {
  readonly view: 'side' | 'plan'
  readonly corners: readonly (readonly [number, number])[]
}

const thickness = (label: string) => maybe(real(label, { min: 0, max: 500, unit: 'mm' }))

export const zone = kind(
  'place on the boat',
  {
    name: text('Place on the boat'),
    side: choice('Side', words.sides, 'both'),
    belowWaterline: flag('Below the waterline', false),
    strake: choice('Strake', words.strakes, 'deck', said.strake),
    /** Share of the length, 0 the stern to 1 the bow. Null: not said, and drawn where there is room. */
    along: maybe(real('How far forward', { min: 0, max: 1 })),
    /** Null: drawn by side, strake and how far forward. */
    shape: maybe(record<ZoneShape>('Outline')),
    /** What its skin is made of, as somebody measured it; null: nobody has. */
    coreKind: maybe(choice('Core', words.coreKinds, undefined, said.coreKind)),
    outerMm: thickness('Outer skin'),
    coreMm: thickness('Core'),
    innerMm: thickness('Inner skin'),
    solidIslands: aside(note('Solid where', 500)),
    oldCoat: aside(note('Old coat on it', 200)),
    measuredBy: aside(maybe(ref('Measured by', 'person'))),
    measuredOn: aside(maybe(date('Measured on'))),
    measuredAt: aside(note('At which hole', 200)),
    /** What must come out before one gets at it. */
    wayInId: maybe(ref('Way in', 'wayIn')),
    /** How far sun lifts its surface over the air; null: not said. */
    colour: maybe(choice('Surface', words.surfaceColours, undefined, said.surfaceColour)),
    /** From this gate on somebody lives there: dust costs more afterwards. */
    livedInFromGateId: maybe(ref('Lived in from', 'gate')),
    order: text('Order', 80),
  },
  { planInput: true },
)

/** What must come out before one gets at what lies behind it. */
export const wayIn = kind('way in', {
  title: text('Way in'),
  comesOut: note('What comes out', 500),
  hoursOut: real('Hours to take out', { min: 0, max: 500, unit: 'h' }, 0.5),
  hoursBack: real('Hours to put back', { min: 0, max: 500, unit: 'h' }, 0.5),
  liesAt: note('Where it lies meanwhile', 200),
  /** The way in before this one: what it leads through. */
  throughId: maybe(ref('Leads through', 'wayIn')),
  /** A job that wants it kept open until it is done. */
  keepOpenForJobId: maybe(ref('Kept open for', 'job')),
  order: text('Order', 80),
})
