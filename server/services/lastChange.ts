import { database } from '../db/store'
import { Trouble } from './trouble'

/**
 * When the last change was written, UTC ms; null: none was, or the store cannot be read, which is said where refits
 * are.
 */
export async function lastChangeAt(): Promise<number | null> {
  try {
    const { models } = await database()
    return (await models.change.max('at')) as number | null
  } catch (error) {
    if (error instanceof Trouble) return null
    throw error
  }
}
