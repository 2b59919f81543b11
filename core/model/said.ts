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
  ketch: 'Sailing, two masts',
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
