import type { Step } from '../model/entities'
import type { Operation } from '../model/words'

/** What an operation does to the boat; order rules and the schedule read these, never the words. */
export interface StepFacts {
  readonly coats: boolean
  readonly dusty: boolean
  /** Something stands open after it. */
  readonly opens: boolean
  readonly closes: boolean
  readonly tests: boolean
  /** Takes none of our people: a trade, a delivery, the crane. */
  readonly byOthers: boolean
  /** The yard does it, in its working hours. */
  readonly byYard: boolean
  /** Stopping half way spoils it. */
  readonly inOneGo: boolean
}

const nothing: StepFacts = {
  coats: false,
  dusty: false,
  opens: false,
  closes: false,
  tests: false,
  byOthers: false,
  byYard: false,
  inOneGo: false,
}

const facts: Partial<Record<Operation, Partial<StepFacts>>> = {
  strip: { opens: true },
  cut: { dusty: true, opens: true },
  drill: { dusty: true, opens: true },
  grind: { dusty: true },
  fair: { dusty: true },
  fill: { inOneGo: true, closes: true },
  laminate: { inOneGo: true, closes: true },
  finish: { closes: true },
  prime: { coats: true, inOneGo: true },
  barrier: { coats: true, inOneGo: true },
  antifoul: { coats: true, inOneGo: true },
  paint: { coats: true, inOneGo: true },
  varnish: { coats: true, inOneGo: true },
  bed: { closes: true, inOneGo: true },
  close: { closes: true },
  test: { tests: true },
  buy: { byOthers: true },
  contract: { byOthers: true },
  launch: { byOthers: true, byYard: true, inOneGo: true },
  lift: { byOthers: true, byYard: true, inOneGo: true },
  move: { byOthers: true, byYard: true, inOneGo: true },
}

export const factsOf = (operation: Operation): StepFacts => ({ ...nothing, ...facts[operation] })

/** True when a step may be left and taken up again: its own say, else by operation. */
export const maySplit = (step: Step): boolean => step.splittable ?? !factsOf(step.operation).inOneGo

/** Cautions shown at the step and in the day sheet, for the operations where people get hurt. */
const cautions: Partial<Record<Operation, string>> = {
  cut: 'Goggles, gloves. Know what is behind before the blade goes in.',
  drill: 'Measure the skin and look behind first. Depth stop on. Stop when tired.',
  grind:
    'P3 respirator, goggles, gloves, extraction. Never dry-sand antifouling or old lead paint.',
  fair: 'P3 respirator, extraction on.',
  weld: 'Extinguisher at hand, look at the other side, watch for 60 minutes after.',
  fill: 'Gloves: resin sensitises for life. Small cups, a hot one goes outdoors on concrete.',
  laminate:
    'Gloves and no bare skin: resin sensitises for life. No flames. A hot cup goes outdoors.',
  prime: 'Ventilate, gloves, no flames. The data sheet decides.',
  barrier: 'Ventilate, gloves, no flames. The data sheet decides.',
  antifoul: 'Gloves, goggles. Never dry-sand it. The data sheet decides.',
  paint: 'Ventilate. Two-part paint is not sprayed without an air-fed mask.',
  varnish: 'Ventilate. Lay rags flat to dry: they can catch fire by themselves.',
  bed: 'Gloves. Ventilate small spaces.',
  wire: 'Isolate and prove dead. Mains, gas and lithium are for licensed people; local code decides.',
  lift: 'Nobody under her or aboard. The crane firm is in charge; its lift plan decides.',
  launch: 'Nobody aboard while she hangs. The crane firm is in charge; its lift plan decides.',
  move: 'The yard moves stands, never you. Chocked before anyone goes under.',
}

/** The usual caution of an operation; '': it has none. */
export const usualCaution = (operation: Operation): string => cautions[operation] ?? ''

/** The usual caution of the step's operation with its own added to it; '' when there is neither. Source: handbook-2 D10. */
export const cautionsOf = (step: Pick<Step, 'caution' | 'operation'>): string =>
  cautionList(step).join(' ')

/** The same, one by one. */
export const cautionList = (step: Pick<Step, 'caution' | 'operation'>): string[] =>
  [...new Set([cautions[step.operation] ?? '', step.caution.trim()])].filter(Boolean)
