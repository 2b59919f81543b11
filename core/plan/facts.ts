import type { Step } from '../model/entities'
import { operations } from '../model/words'
import type { Operation } from '../model/words'

/** What a step does to the boat; order rules and the schedule read these, never the words. */
export interface StepFacts {
  readonly coats: boolean
  readonly dusty: boolean
  /** Its dust hangs over all of the boat; of other dust only the place itself gets any. */
  readonly drifts: boolean
  /** Dust and dew spoil it until it is touch-dry. */
  readonly wet: boolean
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
  drifts: false,
  wet: false,
  opens: false,
  closes: false,
  tests: false,
  byOthers: false,
  byYard: false,
  inOneGo: false,
}

const aCoat: Partial<StepFacts> = { coats: true, wet: true, inOneGo: true }

const facts: Partial<Record<Operation, Partial<StepFacts>>> = {
  strip: { opens: true },
  cut: { dusty: true, opens: true },
  drill: { dusty: true, opens: true },
  grind: { dusty: true, drifts: true },
  fair: { dusty: true, drifts: true },
  fill: { wet: true, inOneGo: true, closes: true },
  laminate: { wet: true, inOneGo: true, closes: true },
  finish: { closes: true },
  prime: aCoat,
  barrier: aCoat,
  antifoul: aCoat,
  paint: aCoat,
  varnish: aCoat,
  bed: { closes: true, inOneGo: true },
  close: { closes: true },
  test: { tests: true },
  buy: { byOthers: true },
  contract: { byOthers: true },
  launch: { byOthers: true, byYard: true, inOneGo: true },
  lift: { byOthers: true, byYard: true, inOneGo: true },
  move: { byOthers: true, byYard: true, inOneGo: true },
}

const usual = new Map(
  operations.map((operation): [Operation, StepFacts] => [
    operation,
    { ...nothing, ...facts[operation] },
  ]),
)

/** What work of an operation does where nobody says otherwise. */
export const usualFacts = (operation: Operation): StepFacts => usual.get(operation) ?? nothing

/** Facts in which a step may differ from its operation. */
export type OwnFact = 'dusty' | 'wet' | 'opens' | 'closes'
export type SaysFacts = Pick<Step, 'operation' | OwnFact>

/** What a step does: its own say, else by operation. */
export function factsOf(step: SaysFacts): StepFacts {
  const { dusty, wet, opens, closes } = step
  const byOperation = usualFacts(step.operation)
  // Nearly all steps are as usual, and the schedule asks often.
  if (dusty === null && wet === null && opens === null && closes === null) return byOperation
  return {
    ...byOperation,
    dusty: dusty ?? byOperation.dusty,
    drifts: byOperation.drifts && dusty !== false,
    wet: wet ?? byOperation.wet,
    opens: opens ?? byOperation.opens,
    closes: closes ?? byOperation.closes,
  }
}

/** True when a step may be left and taken up again: its own say, else by operation. */
export const maySplit = (step: Step): boolean =>
  step.splittable ?? !usualFacts(step.operation).inOneGo

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

/** Of dust that a step throws and its kind does not. */
export const dustCaution = 'P3 respirator, goggles, extraction on.'

type AsksCare = Pick<Step, 'operation'> & Partial<Pick<Step, 'dusty'>>

/** What is looked out for at a step by what it does: that of its own dust before that of its operation. */
export const usualCautions = ({ operation, dusty }: AsksCare): string[] => {
  const ofOperation = cautions[operation]
  return [
    ...(dusty === true && !usualFacts(operation).dusty ? [dustCaution] : []),
    ...(ofOperation === undefined ? [] : [ofOperation]),
  ]
}

type OwnCare = AsksCare & Pick<Step, 'caution'>

/** The usual cautions of what the step does with its own added to them; '' when there is none. Source: handbook-2 D10. */
export const cautionsOf = (step: OwnCare): string => cautionList(step).join(' ')

/** The same, one by one. */
export const cautionList = (step: OwnCare): string[] =>
  [...new Set([...usualCautions(step), step.caution.trim()])].filter(Boolean)
