import type { EntityName } from './entities'
import { entityWord, fieldsOf } from './references'
import { sayWord } from './sayValue'

const either = (words: readonly string[]): string =>
  words.length < 2 ? words.join() : `${words.slice(0, -1).join(', ')} or ${words.at(-1)}`

/**
 * Why a row may not go from one state to another, a sentence a field; empty when it may. Only fields with
 * a table of moves are looked at.
 */
export const wrongMoves = (
  entity: EntityName,
  before: Readonly<Record<string, unknown>>,
  after: Readonly<Record<string, unknown>>,
): { readonly field: string; readonly message: string }[] =>
  fieldsOf(entity).flatMap(([field, { moves }]) => {
    const [from, to] = [String(before[field]), String(after[field])]
    const may = moves?.[from]
    if (!may || from === to || may.includes(to)) return []
    return [
      {
        field,
        message: `A ${entityWord[entity]} that is ${sayWord(from)} does not become ${sayWord(to)} at once. It may become ${either(may.map(sayWord))}.`,
      },
    ]
  })
