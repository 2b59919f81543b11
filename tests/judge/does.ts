/** What a step does to the boat, by the handbook's lists and by its own say. */
import type { Step } from '../../core/model/entities'

const coats = ['prime', 'barrier', 'antifoul', 'paint', 'varnish', 'laminate', 'fill']
const dusts = ['cut', 'drill', 'grind', 'fair']

export const isWet = (step: Step): boolean => step.wet ?? coats.includes(step.operation)
export const isDusty = (step: Step): boolean => step.dusty ?? dusts.includes(step.operation)
/** Sanding goes all over her; wet sanding nowhere. */
export const drifts = (step: Step): boolean =>
  step.dusty !== false && ['grind', 'fair'].includes(step.operation)
export const opens = (step: Step): boolean =>
  step.opens ?? ['strip', 'cut', 'drill'].includes(step.operation)
export const shuts = (step: Step): boolean =>
  step.closes ?? ['bed', 'close', 'laminate', 'fill', 'finish'].includes(step.operation)
