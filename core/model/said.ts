/** Words of closed lists as people read them where that is not the word itself with a capital. */
export const operation = { barrier: 'Barrier coat', contract: 'Trade', close: 'Close up' }
export const access = {
  open: 'Open, × 1',
  awkward: 'Awkward, × 1.3',
  cramped: 'Cramped, × 1.7',
  blind: 'Blind, × 2.2',
}
export const skill = { general: 'Anybody' }
export const hullNeed = {
  byPlace: 'By place and work',
  either: 'Ashore or afloat',
  slings: 'In the slings',
}
export const placeNeed = { boat: 'At the boat', shed: 'In the shed', away: 'Away' }
export const waitKind = {
  none: 'No wait',
  chem: 'Cure (warmth counts)',
  moisture: 'Sealant cure',
  dry: 'Drying, by a reading',
  calendar: 'Days as they are',
}
export const cureStage = {
  cured: 'Has had its whole wait',
  skin: 'Has a skin',
  light: 'Takes light parts',
  load: 'Takes load',
  water: 'Takes water',
}
export const windowKind = { bond: 'To bond as it is', bareMetal: 'Before bare metal goes off' }
export const licensed = {
  mains: 'Mains electricity',
  lithium: 'Lithium batteries',
  fuel: 'Fuel systems',
  rigging: 'Standing rigging',
}
export const decision = {
  plan: 'In the plan',
  later: 'Later season',
  accepted: 'Accepted as it is',
}
export const boatType = {
  sail: 'Sailing, one mast',
  cutter: 'One mast, two headsails',
  ketch: 'Sailing, two masts',
  catamaran: 'Two hulls',
}
export const units = { us: 'Feet and inches', mixed: 'Metric, inch drills' }
export const launchWhen = {
  notBeforeAim: 'Keep the aimed date',
  asReady: 'As soon as ready',
  fixed: 'Fixed: the rest waits for the next',
}
export const bagState = { fitted: 'Back in place' }
export const strake = { deck: 'On deck' }
export const hoursKind = { setUp: 'Set-up', packUp: 'Pack-up', cleanUp: 'Clean-up' }
export const keel = { fin: 'Fin', long: 'Long keel', twin: 'Twin keels' }
export const hullMaterial = {
  solidLaminate: 'Solid laminate',
  coredLaminate: 'Cored laminate',
  woodPlanked: 'Wood, planked',
  woodMoulded: 'Wood, moulded',
}
export const coreKind = { solid: 'None, solid laminate', wood: 'Wood all through' }
export const evidenceKind = {
  probe: 'Probe depth',
  crack: 'Crack length',
  leak: 'Water coming in',
  sag: 'Sag under a weight',
}
export const findingState = {
  new: 'No word yet',
  watch: 'Watched',
  jobMade: 'Job in the plan',
  gone: 'Mended or gone',
}
export const lookOutcome = {
  fine: 'Looked at, nothing wrong',
  found: 'Found something',
  couldNot: 'Could not get at it',
}
export const outlookKind = { partRepair: 'Part-repair', sell: 'Sell', stop: 'Stop and store' }
export const limitKind = { shedDoor: 'Shed door' }
export const coverKind = { shed: 'Shed over her', heat: 'Heat' }
export const surfaceColour = { grey: 'Grey or teak' }

/** Whether people stay for the night. */
export const nights = {
  none: 'Everybody drives home',
  aboard: 'They sleep aboard',
  lodging: 'They take a room near by',
}

/** What she is wanted for. */
export const wantedFor = {
  sails: 'She sails',
  let: 'She is let',
  livedOn: 'She is lived on',
}

export const keptAt = { boat: 'on the boat', shed: 'in the shed', home: 'at home' } as const
export const hands = { none: 'either', port: 'port', starboard: 'starboard' } as const
export const gambles = { open: 'not known yet', paid: 'it paid', didNot: 'it did not' } as const
export const toolsOwned = { own: 'ours', lent: 'lent to us', hired: 'hired' } as const
/** Kinds of work as a thing one does. */
export const workKinds = {
  survey: 'Looking, measuring',
  strip: 'Stripping out',
  cut: 'Cutting, shaping',
  drill: 'Drilling',
  grind: 'Grinding',
  weld: 'Welding',
  fill: 'Filling',
  laminate: 'Laminating',
  fair: 'Fairing',
  prime: 'Priming',
  barrier: 'Barrier coats',
  antifoul: 'Antifouling',
  paint: 'Painting',
  varnish: 'Varnishing',
  bed: 'Bedding',
  fit: 'Fitting',
  plumb: 'Hoses and valves',
  wire: 'Wiring',
  test: 'Testing',
  clean: 'Cleaning',
  buy: 'Buying',
  contract: 'Trades',
  launch: 'Launching',
  lift: 'Lifting',
  move: 'Moving',
  finish: 'Finishing',
  close: 'Linings back',
  label: 'Labelling',
  setUp: 'Setting up',
  packUp: 'Packing up',
} as const
export const accounts = {
  system: 'a system',
  yard: 'yard, lift, berth',
  tools: 'tools',
  travel: 'travel and nights',
  other: 'other',
} as const
export const spendKinds = {
  part: 'part or material',
  trade: 'trade',
  yard: 'yard',
  tool: 'tool',
  travel: 'travel',
  lodging: 'nights away',
  other: 'other',
} as const
export const partState = {
  wanted: 'Wanted',
  specified: 'Specified',
  quoted: 'Quoted',
  ordered: 'Ordered',
  arrived: 'Here',
  fitted: 'Fitted',
  returned: 'Sent back',
}
export const partWays = {
  free: 'for nothing',
  used: 'second-hand',
  mend: 'mend the old one',
  make: 'make it',
  new: 'new',
} as const
export const makerSheets = { posts: 'posts along a line', plates: 'plates and pieces' } as const
export const checkedAs = { open: 'not looked at', right: 'right', wrong: 'wrong' } as const
export const proposalAnswers = {
  none: 'nothing proposed',
  open: 'not answered',
  taken: 'taken',
  left: 'left',
} as const
export const bookingStates = {
  asked: 'asked',
  booked: 'booked',
  came: 'were here',
  cancelled: 'called off',
} as const
export const bagWorths = {
  notLooked: 'nobody looked',
  again: 'goes on again',
  broken: 'broken, a new one',
} as const
export const tideBasis = { constituents: 'Constituents', table: 'A table of high and low waters' }
export const openingKind = {
  valve: 'Sea valve',
  shaft: 'Shaft and gland',
  rudder: 'Rudder stock',
}
export const anodeMetal = { zinc: 'Zinc', aluminium: 'Aluminium', magnesium: 'Magnesium' }
export const asBuiltLineKind = { clock: 'Cure as it ran' }
export const plugKind = { tied: 'Tied on beside it', aboard: 'Aboard', none: 'None yet' }
export const signedAs = {
  notAboard: 'Not on this boat',
  anyway: 'She goes in all the same',
}
export const watchMoment = {
  slack: 'Slings slack',
  atOnce: 'At once',
  hour: 'After 1 h',
  day: 'After 24 h',
  week: 'After 7 days',
}
export const watchOutcome = { runs: 'Runs in', read: 'Read' }
export const weighedAs = {}
export const trialVerdict = {
  none: 'Not settled',
  a: 'The one',
  b: 'The other',
  c: 'The third',
  alike: 'No difference',
}
