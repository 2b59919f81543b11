/** Every key of the program, once: what the list of keys shows and what the listener obeys. */
interface Key {
  /** As the browser names them. */
  readonly keys: readonly string[]
  readonly shown: string
  readonly what: string
}

export const keyTable = {
  found: { keys: ['n'], shown: 'n', what: 'Found something' },
  hours: { keys: ['h'], shown: 'h', what: 'Log hours' },
  clock: { keys: ['k'], shown: 'k', what: 'Start a clock' },
  find: { keys: ['/'], shown: '/', what: 'Find anything' },
  undo: { keys: ['z'], shown: 'z', what: 'Undo your last change' },
  dayMove: {
    keys: ['ArrowUp', 'ArrowDown', 'ArrowLeft', 'ArrowRight'],
    shown: '← → ↑ ↓',
    what: 'In Today: from step to step, along and across the strands',
  },
  dayTick: { keys: [' '], shown: 'Space', what: 'In Today: the step in focus is done' },
  dayStart: { keys: ['s'], shown: 's', what: 'In Today: start it' },
  dayFailed: { keys: ['x'], shown: 'x', what: 'In Today: it did not work' },
  dayLeave: { keys: ['l'], shown: 'l', what: 'In Today: leave her' },
  jobsUpDown: {
    keys: ['ArrowUp', 'ArrowDown'],
    shown: '↑ ↓',
    what: 'In Jobs: from job to job',
  },
  jobsChoose: {
    keys: ['x'],
    shown: 'x',
    what: 'In Jobs: choose a job, to change several at once',
  },
  jobsBulk: { keys: ['b'], shown: 'b', what: 'In Jobs: to what can be done to the chosen' },
  dayShift: {
    keys: [],
    shown: 'Alt + ↑ ↓ ← →',
    what: 'In Today: the line in focus earlier, later, to somebody else',
  },
  jobPin: { keys: [], shown: 'p', what: 'In a job: pin the layer in focus to a day' },
  walkUpDown: {
    keys: ['ArrowUp', 'ArrowDown'],
    shown: '↑ ↓',
    what: 'In Walk: from place to place',
  },
  walkJob: { keys: ['j'], shown: 'j', what: 'In Walk: make a job of the open finding' },
  walkJoin: { keys: ['c'], shown: 'c', what: 'In Walk: one job for its cause' },
  walkWatch: { keys: ['w'], shown: 'w', what: 'In Walk: watch it' },
  walkAccept: { keys: ['a'], shown: 'a', what: 'In Walk: accept it as it is' },
  walkUnseen: {
    keys: ['u'],
    shown: 'u',
    what: 'In Walk: to the next place not looked at; on a count sheet the next member nobody saw',
  },
  walkSheet: { keys: [], shown: '← → ↑ ↓', what: 'On a count sheet: from member to member' },
  launchMove: {
    keys: ['ArrowUp', 'ArrowDown'],
    shown: '↑ ↓',
    what: 'In Launch: from lift day to lift day',
  },
  launchBook: { keys: ['b'], shown: 'b', what: 'In Launch: ask for the day' },
  launchSign: { keys: ['t'], shown: 't', what: 'In Launch: tick and sign the line in focus' },
  launchDay: { keys: ['d'], shown: 'd', what: 'In Launch: the day hour by hour' },
  storesMove: {
    keys: [],
    shown: '↑ ↓',
    what: 'In Stores: from row to row; Enter opens it',
  },
  storesOrder: { keys: ['b'], shown: 'b', what: 'In Stores: order the row in focus' },
  storesCame: { keys: ['a'], shown: 'a', what: 'In Stores: the row in focus came' },
  storesDue: { keys: ['d'], shown: 'd', what: 'In Stores: another day for what is on its way' },
  storesMend: { keys: ['m'], shown: 'm', what: 'In Stores: measure in time for the row in focus' },
  kitsTick: {
    keys: ['t'],
    shown: 't',
    what: 'In Kits: the thing in focus goes to the work, or back',
  },
  pageNext: { keys: ['e'], shown: 'e', what: 'In Sequence, Stores and Money: the next page' },
  pagePrint: {
    keys: ['p'],
    shown: 'p',
    what: 'In Stores and Money, Launch day, damage card: print it',
  },
  benchMove: {
    keys: ['ArrowUp', 'ArrowDown', 'ArrowLeft', 'ArrowRight'],
    shown: '← → ↑ ↓',
    what: 'In Bench: from sum to sum',
  },
  benchPut: { keys: ['p'], shown: 'p', what: 'In a sum: put it on the job' },
  benchBack: { keys: ['Escape'], shown: 'Esc', what: 'In a sum: back to the bench' },
  placeJudge: {
    keys: ['ArrowLeft', 'ArrowRight', 'ArrowUp', 'ArrowDown'],
    shown: '← → ↑ ↓',
    what: 'While placing: purpose, how bad',
  },
  placeWatch: { keys: ['w'], shown: 'w', what: 'While placing: watch it' },
  placeAccept: { keys: ['x'], shown: 'x', what: 'While placing: accept it as it is' },
  placeSkip: { keys: ['s'], shown: 's', what: 'While placing: leave it for later' },
  keys: { keys: ['?'], shown: '?', what: 'This list' },
  back: { keys: ['Escape'], shown: 'Esc', what: 'Give back what you typed, or close' },
} as const satisfies Record<string, Key>

export type KeyId = keyof typeof keyTable
