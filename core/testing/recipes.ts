/** Recipes worked in tests, and said in lines. */
import { packsFor } from '../fastening/count'
import { recipeBook } from '../recipes/book'
import { recipeProblems } from '../recipes/check'
import { expand } from '../recipes/expand'
import type { Draft, DraftStep } from '../recipes/expand'
import { initialInputs } from '../recipes/ofBoat'
import type { RecipeInputs } from '../recipes/recipe'
import { problemsOf } from '../result'

const hullWord = { ashore: 'A', afloat: 'F', slings: 'W', either: 'E', byPlace: '' } as const

/**
 * What a step asks: P2 two people, P1-2 one or two; @skill; A ashore, F afloat, W in the slings, E either
 * (nothing: by its place); G after the gate; S in the shed; D dry; T12 from 12 °C; L:gas licensed.
 */
function asks({ fields }: DraftStep): string {
  const { crewMin = 1, crewMax = 1, skill = 'general', placeNeed = 'boat' } = fields
  const list = [
    crewMax > crewMin ? `P${crewMin}-${crewMax}` : crewMin > 1 ? `P${crewMin}` : '',
    skill === 'general' ? '' : `@${skill}`,
    hullWord[fields.hullNeed ?? 'byPlace'],
    fields.afterGate ? 'G' : '',
    placeNeed === 'shed' ? 'S' : placeNeed === 'away' ? 'away' : '',
    fields.needsDry ? 'D' : '',
    fields.minTempC == null ? '' : `T${fields.minTempC}`,
    fields.licensedKind == null ? '' : `L:${fields.licensedKind}`,
  ].filter(Boolean)
  return list.length > 0 ? ` [${list.join(' ')}]` : ''
}

/** A draft as lines: 'strip.key operation hours [asks] | wait'; materials beneath with two blanks. */
export function asLines({ steps }: Draft): string[] {
  return steps.flatMap((step) => {
    const { key, fields, materials } = step
    const floor = fields.waitMinC == null ? '' : ` ≥${fields.waitMinC}`
    return [
      [
        `${key} ${fields.operation} ${fields.hoursLikely}${asks(step)}`,
        fields.waitKind === 'none' || !fields.waitHours
          ? null
          : `${fields.waitKind} ${fields.waitHours}${floor}`,
        fields.maxWaitHours === null ? null : `within ${fields.maxWaitHours}`,
      ]
        .filter((part) => part !== null)
        .join(' | '),
      ...materials.map(({ what, quantity, unit, pack }) => {
        const packs = pack === null ? '' : ` in ${packsFor(quantity, pack).packs}`
        return `  ${what}: ${Math.round(quantity * 100 + 1e-6) / 100} ${unit}${packs}`
      }),
    ]
  })
}
/** A text of such lines, without what only sets it in. */
export const lines = (text: string): string[] =>
  text
    .split('\n')
    .map((line) => line.replace(/^ {6}/, '').trimEnd())
    .filter((line) => line.trim() !== '')

/** A recipe of the book worked from what is given. Throws where it cannot be. */
export const worked = (
  key: string,
  given: RecipeInputs,
  units: 'metric' | 'us' = 'metric',
): Draft => {
  const recipe = recipeBook.find((one) => one.key === key)
  if (!recipe) throw new Error(`no recipe ${key}`)
  const wrong = recipeProblems(recipe)
  if (wrong.length > 0) throw new Error(wrong.map((each) => each.message).join(' '))
  const found = expand(recipe, { ...initialInputs(recipe), ...given }, units)
  if (!found.ok) throw new Error(problemsOf(found)[0]?.message)
  return found.value
}
