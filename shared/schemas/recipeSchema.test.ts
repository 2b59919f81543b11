/** Recipe files: every recipe of the book goes out and comes back the same, and what is wrong is said with its place. */
import { describe, expect, it } from 'vitest'
import { recipeBook } from '#core/recipes/book'
import type { Recipe } from '#core/recipes/recipe'
import { readRecipeFile } from './recipeSchema'

const [sleeve] = recipeBook
if (!sleeve) throw new Error('the book is empty')
const refusal = (change: Partial<Record<keyof Recipe, unknown>>): string => {
  const outcome = readRecipeFile(JSON.stringify({ ...sleeve, ...change }))
  return 'message' in outcome ? outcome.message : ''
}

describe('recipe files', () => {
  it.each(recipeBook.map((recipe) => [recipe.key, recipe] as const))(
    '%s goes out and comes back',
    (_, recipe) => {
      expect(readRecipeFile(JSON.stringify(recipe))).toEqual({ ok: true, value: recipe })
    },
  )
  it.each<[string, Partial<Record<keyof Recipe, unknown>>, RegExp]>([
    ['another format', { format: 'cooking' }, /not a recipe of Inch Ahead/],
    ['a newer version', { version: 99 }, /newer Inch Ahead/],
    [
      'an unknown unit',
      { inputs: [{ ...sleeve.inputs[0], unit: 'ells' }] },
      /“ells” is not a unit/,
    ],
    ['a name with a dot', { inputs: [{ ...sleeve.inputs[0], key: 'a.b' }] }, /letters and digits/],
    [
      'an unknown operation',
      { steps: [{ ...sleeve.steps[0], operation: 'conjure' }] },
      /operation/,
    ],
    ['an unknown formula', { steps: [{ ...sleeve.steps[0], hours: 'eval(1)' }] }, /“eval”/],
    [
      'a way into the machine',
      { steps: [{ ...sleeve.steps[0], hours: 'holes.constructor' }] },
      /may hold/,
    ],
    [
      'a reading without a limit',
      { steps: [{ ...sleeve.steps[0], read: { what: 'Moisture', unit: '%' } }] },
      /needs a limit/,
    ],
    [
      'more rounds likely than at most',
      { steps: [{ ...sleeve.steps[0], rounds: { likely: 3, most: 2, until: 'flat' } }] },
      /most/,
    ],
    [
      'a count of an unknown name',
      { steps: [{ ...sleeve.steps[0], count: { unit: 'holes', of: 'moons' } }] },
      /“moons” is no input/,
    ],
    ['a field of its own', { script: 'x' } as never, /script/],
    [
      'one way to choose',
      { choices: [{ ...sleeve.choices[0], options: [] }] },
      /options|ways|least/,
    ],
  ])('refuses %s', (_, change, sentence) => {
    expect(refusal(change)).toMatch(sentence)
  })
  it('refuses what is cut off', () => {
    const cut = JSON.stringify(sleeve).slice(0, 400)
    expect(readRecipeFile(cut)).toEqual({ ok: false, message: expect.stringContaining('cut off') })
  })
})
