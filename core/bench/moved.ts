/** Marks that stand at the fields of a list, when its lines change their places. */

/**
 * Marks by path ('runs.2.long'), those of the list `key` moved with their lines. `from`: for each line where it stood before; null:
 * it is new. Marks of lines that are gone go with them.
 */
export function movedMarks<Mark>(
  marks: Readonly<Record<string, Mark>>,
  key: string,
  from: readonly (number | null)[],
): Record<string, Mark> {
  const moved: Record<string, Mark> = {}
  for (const [path, mark] of Object.entries(marks)) {
    const [list, index, cell] = path.split('.')
    if (list !== key || cell === undefined) moved[path] = mark
    else {
      const now = from.indexOf(Number(index))
      if (now >= 0) moved[`${key}.${now}.${cell}`] = mark
    }
  }
  return moved
}
