/** Walking the boat: what was seen, measured and counted, and where nobody has looked. */
import {
  choice,
  choices,
  date,
  flag,
  instant,
  integer,
  maybe,
  note,
  real,
  record,
  ref,
  states,
  text,
} from '../field'
import { kind } from '../kind'
import * as said from '../said'
import * as words from '../words'

export const finding = kind('finding', {
  title: text('What was found', 500),
  zoneId: maybe(ref('Where', 'zone')),
  /** The point on the map, shares of the length as in a zone's outline; null: somewhere in the place. */
  pointX: maybe(real('Point along', { min: -0.2, max: 1.2 })),
  pointY: maybe(real('Point across or up', { min: -1, max: 2 })),
  systemId: maybe(ref('System', 'system')),
  severity: integer('How bad', { min: 1, max: 4 }, 2),
  spreading: flag('Gets worse on its own', false),
  /** How many alike are meant: three rotten screws are one finding. */
  howMany: integer('How many alike', { min: 1, max: 10_000 }, 1),
  when: choice('When', ['now', 'gate', 'later', 'unplaced'], 'unplaced'),
  /** A guess while there is no job: person-hours, and minor units of material. */
  hoursGuess: maybe(real('Hours it will take', { min: 0.05, max: 2000, unit: 'h' })),
  costGuessMinor: maybe(integer('Material for it', { min: 0, max: 1e11, unit: 'minor' })),
  state: states(
    words.findingStates,
    'new',
    {
      new: ['watch', 'accepted', 'jobMade', 'gone'],
      watch: ['new', 'accepted', 'jobMade', 'gone'],
      accepted: ['new', 'watch', 'jobMade', 'gone'],
      jobMade: ['new', 'gone'],
      gone: ['new', 'jobMade'],
    },
    said.findingState,
  ),
  reason: note('Reason', 1000),
  lookAgainOn: maybe(date('Look again on')),
  /** The job that puts it right. */
  jobId: maybe(ref('Job', 'job')),
  causeId: maybe(ref('Cause', 'cause')),
  duringJobId: maybe(ref('Found during', 'job')),
  /** The repair after which it came again. */
  againAfterJobId: maybe(ref('Came again after', 'job')),
  foundAt: instant('Found at'),
  foundBy: maybe(ref('Found by', 'person')),
})

/** What was measured of a finding. */
export const evidence = kind('reading', {
  findingId: ref('Finding', 'finding', { onDelete: 'goes' }),
  kind: choice('Kind of reading', words.evidenceKinds, 'tap', said.evidenceKind),
  /** In the unit of its kind; null for what is seen and not measured. */
  value: maybe(real('Reading', { min: -100, max: 100_000 })),
  /** Moisture: the meter's own scale. */
  scaleLow: maybe(real('Scale from', { min: -100, max: 10_000 })),
  scaleHigh: maybe(real('Scale to', { min: -100, max: 10_000 })),
  meter: note('Meter', 100),
  /** Tap and sample. */
  sounds: maybe(choice('As', words.sounds)),
  words: note('In words', 500),
  at: instant('Measured at'),
  by: maybe(ref('Measured by', 'person')),
})

/** One cause of several findings: they make one job and close by its test. */
export const cause = kind('cause', {
  title: text('Cause', 300),
  /** The test that closes all of it. */
  test: note('Closes by', 300),
  jobId: maybe(ref('Job', 'job')),
  order: text('Order', 80),
})

/** A point of a panel, metres from its corner by the datum. */
export type PanelPoint = readonly [number, number]
export interface PanelFitting {
  readonly title: string
  readonly at: PanelPoint
}

/** A panel of a cored skin, with its real outline. */
export const panel = kind('panel', {
  title: text('Panel'),
  zoneId: maybe(ref('Where', 'zone')),
  outline: record<readonly PanelPoint[]>('Outline'),
  datum: note('Measured from', 200),
  /** No smaller than what a meter's pad covers. */
  cellM: real('Width of a cell', { min: 0.04, max: 1, unit: 'm' }, 0.12),
  fittings: record<readonly PanelFitting[]>('Fittings on it', []),
  /** The meter's own numbers. */
  wetFrom: real('Wet from', { min: 0, max: 1000 }, 18),
  dampFrom: real('Damp from', { min: 0, max: 1000 }, 14),
  /** Reading of sound, dry core of the same make. */
  dryReading: maybe(real('Dry reference', { min: 0, max: 1000 })),
  dryReadingAt: note('Where the reference was read', 200),
  carriesLoad: flag('Carries load', true),
  coreMm: maybe(real('Core', { min: 1, max: 200, unit: 'mm' })),
  order: text('Order', 80),
})

/** One cell of a map; what is missing was not looked at. */
export interface CoreCell {
  /** Meter reading. */
  readonly meter?: number
  readonly tap?: 'dull' | 'sharp'
  /** Depth to which a probe goes in, mm. */
  readonly probeMm?: number
  readonly sample?: 'wet' | 'powder' | 'parted' | 'sound'
}
/** By column and row: '3:0'. */
export type CoreCells = Readonly<Record<string, CoreCell>>

export const coreMap = kind('core map', {
  panelId: ref('Panel', 'panel', { onDelete: 'goes' }),
  takenOn: date('Taken on'),
  by: maybe(ref('Taken by', 'person')),
  scaleLow: real('Scale from', { min: -100, max: 10_000 }, 0),
  scaleHigh: real('Scale to', { min: -100, max: 10_000 }, 35),
  cells: record<CoreCells>('Readings', {}),
  note: note('Note', 500),
})

export const dryingReading = kind('drying reading', {
  panelId: ref('Panel', 'panel', { onDelete: 'goes' }),
  on: date('Read on'),
  value: real('Reading', { min: 0, max: 1000 }),
  note: note('Note', 300),
})

/** A stretch of stations behind one way in. */
export interface CountBay {
  readonly title: string
  readonly from: number
  readonly to: number
  /** Hours to open and shut it. */
  readonly hours: number
  readonly open: boolean
}

export const countSheet = kind('count sheet', {
  title: text('Count sheet'),
  zoneId: maybe(ref('Where', 'zone')),
  bays: record<readonly CountBay[]>('Bays', []),
  mendHours: real('Mend one, hours', { min: 0.05, max: 500, unit: 'h' }, 2),
  mendMinor: integer('Mend one, material', { min: 0, max: 1e9, unit: 'minor' }, 0),
  renewHours: real('Renew all, hours', { min: 0.05, max: 5000, unit: 'h' }, 40),
  renewMinor: integer('Renew all, material', { min: 0, max: 1e10, unit: 'minor' }, 0),
  order: text('Order', 80),
})

export const member = kind('member', {
  sheetId: ref('Count sheet', 'countSheet', { onDelete: 'goes' }),
  kind: choice('Member', words.memberKinds, 'frame'),
  station: integer('Station', { min: 1, max: 400 }),
  side: choice('Side', words.sides, 'centre'),
  seen: flag('Seen', false),
  marks: choices('What is wrong', words.memberMarks),
  /** Where along the member, shares of its length from the centreline. */
  from: real('From', { min: 0, max: 1 }, 0),
  to: real('To', { min: 0, max: 1 }, 1),
  note: note('Note', 300),
})

/** What a boat stands on ashore. */
export const support = kind('support', {
  haulOutId: maybe(ref('Haul-out', 'haulOut', { onDelete: 'goes' })),
  title: text('Support', 60),
  along: real('How far forward', { min: 0, max: 1 }),
  side: choice('Side', words.sides, 'port'),
  padLengthM: real('Pad, length', { min: 0.01, max: 5, unit: 'm' }, 0.3),
  padWidthM: real('Pad, width', { min: 0.01, max: 5, unit: 'm' }, 0.3),
  sharePct: real('Share of her weight in %', { min: 0, max: 100 }),
  /** Distance to the nearest frame or bulkhead. */
  offFrameMm: real('Off the nearest frame', { min: 0, max: 5000, unit: 'mm' }, 0),
  order: text('Order', 80),
})

/** What she has to fit: a berth, a lock, a bridge, slings. */
export const limit = kind('limit', {
  title: text('Limit'),
  kind: choice('Kind of limit', words.limitKinds, 'berth', said.limitKind),
  beamM: maybe(real('Widest', { min: 0.5, max: 50, unit: 'm' })),
  heightM: maybe(real('Highest over the water', { min: 0.2, max: 100, unit: 'm' })),
  draughtM: maybe(real('Deepest', { min: 0.1, max: 50, unit: 'm' })),
  weightT: maybe(real('Heaviest', { min: 0.1, max: 1000, unit: 't' })),
  order: text('Order', 80),
})

/** One thing that could be done with her, in numbers. */
export const outlook = kind('outlook', {
  title: text('What could be done'),
  kind: choice('Kind', words.outlookKinds, 'repair', said.outlookKind),
  /** Still to come. */
  ownHours: real('Own hours', { min: 0, max: 100_000, unit: 'h' }, 0),
  spendMinor: integer('Money still to spend', { min: 0, max: 1e12, unit: 'minor' }, 0),
  worthMinor: integer('Worth afterwards', { min: 0, max: 1e12, unit: 'minor' }, 0),
  order: text('Order', 80),
})

/** One fitting of a leak hunt, hosed from the lowest up. */
export const hoseTest = kind('hose test', {
  zoneId: maybe(ref('Where it comes in', 'zone')),
  findingId: maybe(ref('Finding', 'finding')),
  title: text('What is hosed'),
  minutes: integer('Minutes of hose', { min: 1, max: 240, unit: 'min' }, 10),
  startedAt: maybe(instant('Hose on at')),
  outcome: states(['waits', 'dry', 'leaks'], 'waits', {
    waits: ['dry', 'leaks'],
    dry: ['waits', 'leaks'],
    leaks: ['waits', 'dry'],
  }),
  order: text('Order', 80),
})

/** How much water was found, over how long. */
export const waterIn = kind('water reading', {
  on: date('Pumped on'),
  litres: real('Litres', { min: 0, max: 100_000, unit: 'L' }),
  days: real('Days since it was dry', { min: 0.05, max: 400 }),
  taste: choice('Taste', ['salt', 'fresh', 'notTried'], 'notTried', { notTried: 'Not tried' }),
  afterRain: flag('It rained in between', false),
  note: note('Note', 300),
})

/** A walk round her: one a season or so. */
export const walk = kind('walk', {
  title: text('Walk'),
  startedOn: date('Begun on'),
  endedOn: maybe(date('Ended on')),
})

/** One stop of a walk. */
export const look = kind('look', {
  walkId: ref('Walk', 'walk', { onDelete: 'goes' }),
  zoneId: ref('Place on the boat', 'zone', { onDelete: 'goes' }),
  outcome: choice('Outcome', ['fine', 'found', 'couldNot'], 'fine', said.lookOutcome),
  note: note('Note', 500),
  at: instant('Looked at'),
  by: maybe(ref('Looked at by', 'person')),
})
