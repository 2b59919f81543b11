/** Closed lists of words used by fields, rules and screens. */

export const sides = ['port', 'starboard', 'both', 'centre'] as const
export type Side = (typeof sides)[number]

export const keels = ['fin', 'long', 'twin'] as const
export const hullMaterials = [
  'solidLaminate',
  'coredLaminate',
  'woodPlanked',
  'woodMoulded',
  'steel',
  'aluminium',
  'mixed',
] as const
export type HullMaterial = (typeof hullMaterials)[number]
export const coreKinds = [
  'solid',
  'balsa',
  'foam',
  'plywood',
  'honeycomb',
  'wood',
  'metal',
] as const

export const evidenceKinds = [
  'tap',
  'moisture',
  'probe',
  'crack',
  'play',
  'leak',
  'sample',
  'sag',
] as const
export type EvidenceKind = (typeof evidenceKinds)[number]
/** What a tap or a sample is like. */
export const sounds = ['sharp', 'dull', 'sound', 'parted', 'wet', 'powder'] as const

export const memberKinds = [
  'frame',
  'floor',
  'bearer',
  'stringer',
  'plank',
  'bulkhead',
  'batten',
  'beam',
  'chine',
] as const
export type MemberKind = (typeof memberKinds)[number]
export const memberMarks = ['cracked', 'soft', 'broken', 'missing'] as const

export const limitKinds = ['berth', 'lock', 'bridge', 'slings', 'trailer', 'shedDoor'] as const
export const outlookKinds = ['repair', 'partRepair', 'sell', 'stop'] as const

export const purposes = ['float', 'safe', 'go', 'live', 'shine'] as const
export type Purpose = (typeof purposes)[number]

export const operations = [
  'survey',
  'strip',
  'cut',
  'drill',
  'grind',
  'weld',
  'fill',
  'laminate',
  'fair',
  'prime',
  'barrier',
  'antifoul',
  'paint',
  'varnish',
  'bed',
  'fit',
  'plumb',
  'wire',
  'test',
  'clean',
  'buy',
  'contract',
  'launch',
  'lift',
  'move',
  'finish',
  'close',
  'label',
  'setUp',
  'packUp',
] as const
export type Operation = (typeof operations)[number]

export const systemKinds = [
  'structure',
  'deck',
  'rig',
  'steering',
  'ground tackle',
  'propulsion',
  'stern gear',
  'plumbing',
  'electrical',
  'electronics',
  'interior',
  'finish',
  'safety',
] as const
export type SystemKind = (typeof systemKinds)[number]

/** Work that many places leave to licensed people; the user says which do where they live. */
export const licensedKinds = [
  'mains',
  'gas',
  'lithium',
  'fuel',
  'welding',
  'rigging',
  'refrigerant',
] as const
export type LicensedKind = (typeof licensedKinds)[number]

export const accessKinds = ['open', 'awkward', 'cramped', 'blind'] as const
export type Access = (typeof accessKinds)[number]

export const skills = [
  'general',
  'electrics',
  'laminating',
  'mechanics',
  'rigging',
  'woodwork',
  'aloft',
] as const
export type Skill = (typeof skills)[number]

/** 'byPlace': as the place on the boat and the operation ask, worked out in core/plan/hullNeed. */
export const hullNeeds = ['byPlace', 'either', 'ashore', 'slings', 'afloat'] as const
export type HullNeed = (typeof hullNeeds)[number]

export const placeNeeds = ['boat', 'shed', 'away'] as const
export type PlaceNeed = (typeof placeNeeds)[number]

export const waitKinds = ['none', 'chem', 'moisture', 'dry', 'calendar'] as const
export type WaitKind = (typeof waitKinds)[number]

/** How far a bed of sealant or glue has to be before something goes on: all of its wait, or one of its sheet's times. */
export const cureStages = ['cured', 'skin', 'light', 'load', 'water'] as const
export type CureStage = (typeof cureStages)[number]

/** What a window after a step shuts on: a coat that no longer bonds, or bare metal that goes off. */
export const windowKinds = ['bond', 'bareMetal'] as const
export type WindowKind = (typeof windowKinds)[number]

export const stepStates = ['open', 'doing', 'done', 'dropped'] as const

/** What a person decides about a job; everything else follows from its steps. */
export const jobDecisions = ['plan', 'later', 'accepted', 'dropped'] as const

export const findingStates = ['new', 'watch', 'accepted', 'jobMade', 'gone'] as const

export const partStates = [
  'wanted',
  'specified',
  'quoted',
  'ordered',
  'arrived',
  'fitted',
  'returned',
] as const

/** Where things are kept. */
export const keptAt = ['boat', 'shed', 'home'] as const
export type KeptAt = (typeof keptAt)[number]
/** Which side of the boat a thing is made for. */
export const hands = ['none', 'port', 'starboard'] as const
/** What became of something that was bought before its size was sure. */
export const gambles = ['open', 'paid', 'didNot'] as const
export const toolsOwned = ['own', 'lent', 'hired'] as const
/** How a part may be come by. */
export const partWays = ['free', 'used', 'mend', 'make', 'new'] as const
export type PartWay = (typeof partWays)[number]
/** What a sheet for a maker lists. */
export const makerSheets = ['posts', 'plates'] as const
/** What somebody found who looked. */
export const checkedAs = ['open', 'right', 'wrong'] as const
/** What was answered to a proposal of a trade. */
export const proposalAnswers = ['none', 'open', 'taken', 'left'] as const

export const strakes = ['underwater', 'deck', 'rig', 'below', 'shed', 'away'] as const
/** A strake of the waterline chart: where the work happens. */
export type Strake = (typeof strakes)[number]

export const clockKinds = ['pot', 'cure', 'overcoat', 'immersion'] as const
export type ClockKind = (typeof clockKinds)[number]

/** Who does a job, once somebody has thought about it. */
export const doers = ['undecided', 'own', 'trade'] as const

export const nightKinds = ['none', 'aboard', 'lodging'] as const
export const wantedFor = ['sails', 'let', 'livedOn'] as const
export const coverKinds = ['tent', 'tarpaulin', 'shed', 'heat'] as const
/** How much sun a surface takes up. */
export const surfaceColours = ['white', 'grey', 'dark'] as const

/** What somebody who looked says of a thing that was taken off. */
export const bagWorths = ['notLooked', 'again', 'broken'] as const
export const bagStates = ['stored', 'fitted', 'lost'] as const

export const bookingStates = ['asked', 'booked', 'came', 'cancelled'] as const

export const accounts = ['system', 'yard', 'tools', 'travel', 'other'] as const
/** Where money belongs: to a system of hers, or to what belongs to none. */
export type Account = (typeof accounts)[number]
export const spendKinds = ['part', 'trade', 'yard', 'tool', 'travel', 'lodging', 'other'] as const
export type SpendKind = (typeof spendKinds)[number]

export const months = [
  'jan',
  'feb',
  'mar',
  'apr',
  'may',
  'jun',
  'jul',
  'aug',
  'sep',
  'oct',
  'nov',
  'dec',
] as const

/** Where heights of the tide come from. */
export const tideBases = ['constituents', 'table'] as const
export const openingKinds = [
  'valve',
  'intake',
  'drain',
  'transducer',
  'shaft',
  'rudder',
  'exhaust',
  'other',
] as const
export const anodeMetals = ['zinc', 'aluminium', 'magnesium'] as const
export const plugKinds = ['tied', 'aboard', 'none'] as const
export const signedAs = ['proven', 'skipped', 'notAboard', 'anyway'] as const
export const watchMoments = ['slack', 'atOnce', 'hour', 'day', 'week'] as const
export type WatchMoment = (typeof watchMoments)[number]
export const watchOutcomes = ['dry', 'weeps', 'runs', 'read'] as const
export const weighedAs = ['weighed', 'guessed'] as const
export const trialVerdicts = ['none', 'a', 'b', 'c', 'alike'] as const
