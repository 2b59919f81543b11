/** Recipes of our own. */
import { text, record } from '../field'
import { kind } from '../kind'
import type { Recipe } from '../../recipes/recipe'

/** A recipe of our own: copied, edited, brought in, or made from a job. */
export const recipe = kind('recipe', {
  name: text('Recipe'),
  body: record<Recipe>('Recipe'),
  order: text('Order', 80),
})
