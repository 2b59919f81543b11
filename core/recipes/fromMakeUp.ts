/** Dimensions of a recipe that the place is known to have, with who measured them where; and those that nobody has measured. */
import type { Zone } from '../model/entities'
import type { Recipe } from './recipe'

type MakeUp = Pick<
  Zone,
  'coreKind' | 'outerMm' | 'coreMm' | 'innerMm' | 'measuredBy' | 'measuredOn' | 'measuredAt'
>

/** What a recipe calls a thickness, and what it is of a place; null: not measured, or there is none. */
const measures: Readonly<Record<string, (zone: MakeUp) => number | null>> = {
  core: (zone) => zone.coreMm,
  skin: (zone) =>
    zone.outerMm === null && zone.innerMm === null
      ? null
      : (zone.outerMm ?? 0) + (zone.innerMm ?? 0),
}

export interface FromMakeUp {
  /** By key of the input. */
  readonly values: Readonly<Record<string, number>>
  /** Who measured it, where and when, for people; '' when nothing is taken from the place. */
  readonly said: string
  /** Labels of inputs that matter here and that nobody has measured: the recipe's usual value stands. */
  readonly unknown: readonly string[]
}

/** `nameOf` gives a person's name; `sayDate` says a date. */
export function fromMakeUp(
  recipe: Pick<Recipe, 'inputs'>,
  zone: MakeUp,
  nameOf: (personId: string) => string,
  sayDate: (date: string) => string,
): FromMakeUp {
  const values: Record<string, number> = {}
  const unknown: string[] = []
  for (const input of recipe.inputs) {
    const measure = measures[input.key]
    if (!measure || input.unit !== 'mm') continue
    const value = measure(zone)
    if (value === null) unknown.push(input.label.toLowerCase())
    else values[input.key] = Math.min(input.max, Math.max(input.min, value))
  }
  const taken = Object.keys(values).length > 0
  const by = [
    zone.measuredBy === null ? null : `by ${nameOf(zone.measuredBy)}`,
    zone.measuredOn === null ? null : `on ${sayDate(zone.measuredOn)}`,
    zone.measuredAt === '' ? null : zone.measuredAt,
  ].filter(Boolean)
  return {
    values,
    said: taken ? `measured ${by.length > 0 ? by.join(', ') : 'by somebody, not said who'}` : '',
    unknown,
  }
}
