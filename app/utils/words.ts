import type { Operation } from '#core/model/words'
import {
  accessKinds,
  hullNeeds,
  operations,
  placeNeeds,
  skills,
  waitKinds,
} from '#core/model/words'

/** Operations as the screen says them. */
export const operationName: Readonly<Record<Operation, string>> = {
  survey: 'Survey',
  strip: 'Strip',
  cut: 'Cut',
  drill: 'Drill',
  grind: 'Grind',
  weld: 'Weld',
  fill: 'Fill',
  laminate: 'Laminate',
  fair: 'Fair',
  prime: 'Prime',
  barrier: 'Barrier coat',
  antifoul: 'Antifoul',
  paint: 'Paint',
  varnish: 'Varnish',
  bed: 'Bed',
  fit: 'Fit',
  plumb: 'Plumb',
  wire: 'Wire',
  test: 'Test',
  clean: 'Clean',
  buy: 'Buy',
  contract: 'Trade',
  launch: 'Launch',
  lift: 'Lift',
  move: 'Move',
  finish: 'Finish',
  close: 'Close up',
  label: 'Label',
  setUp: 'Set up',
  packUp: 'Pack up',
}

/** What hours were spent on, as the screen says it. */
export const hoursKinds = [
  { value: 'work', label: 'Work' },
  { value: 'travel', label: 'Travel' },
  { value: 'setUp', label: 'Set-up' },
  { value: 'packUp', label: 'Pack-up' },
  { value: 'cleanUp', label: 'Clean-up' },
] as const

type Option<Value extends string> = { readonly value: Value; readonly label: string }
const capital = (text: string): string => text.replace(/^./, (letter) => letter.toUpperCase())
const optionsOf = <const Words extends readonly string[]>(
  words: Words,
  names: Partial<Record<Words[number], string>> = {},
): Option<Words[number]>[] =>
  words.map((value: Words[number]) => ({ value, label: names[value] ?? capital(value) }))

export const operationOptions = optionsOf(operations, operationName)
export const accessOptions = optionsOf(accessKinds, {
  open: 'Open, × 1',
  awkward: 'Awkward, × 1.3',
  cramped: 'Cramped, × 1.7',
  blind: 'Blind, × 2.2',
})
export const skillOptions = optionsOf(skills, { general: 'Anybody' })
export const hullOptions = optionsOf(hullNeeds, {
  byPlace: 'By place and work',
  either: 'Ashore or afloat',
  slings: 'In the slings',
})
export const placeOptions = optionsOf(placeNeeds, {
  boat: 'At the boat',
  shed: 'In the shed',
  away: 'Away',
})
export const waitOptions = optionsOf(waitKinds, {
  none: 'No wait',
  chem: 'Cure (warmth counts)',
  moisture: 'Sealant cure',
  dry: 'Drying, by a reading',
  calendar: 'Days as they are',
})
