/** Recipes at hand in a refit: those of the book and its own. */
import { inOrder } from '../model/refit'
import type { RefitRows } from '../model/refit'
import { recipeBook } from './book'
import type { Recipe } from './recipe'

export interface Shelved {
  /** What a job remembers: the key of one of the book, the row id of an own one. */
  readonly key: string
  readonly recipe: Recipe
  readonly own: boolean
}

export const shelf = (rows: Pick<RefitRows, 'recipe'>): Shelved[] => [
  ...recipeBook.map((recipe) => ({ key: recipe.key, recipe, own: false })),
  ...inOrder(rows.recipe).map((row) => ({
    key: row.id,
    recipe: { ...row.body, title: row.name },
    own: true,
  })),
]

/** The recipe a key stands for; undefined when it was removed. */
export const recipeFor = (rows: Pick<RefitRows, 'recipe'>, key: string): Recipe | undefined =>
  shelf(rows).find((one) => one.key === key)?.recipe
