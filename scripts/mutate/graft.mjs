/**
 * A file with all its chosen changes in it, each behind a switch: the expression as it is, or as it would be. So the
 * files are made once, and one change after another is switched on.
 */

/** What a file begins with: asks the tests' side (`witness.mjs`) whether a change is on, which notes that it was asked. */
const head = 'const isChanged$ = (number) => globalThis.isChanged$?.(number) ?? false\n'

/** Text of a file under its switches. Each change has a `number`, and its places in `text`. */
export function grafted(text, changes) {
  const ordered = changes.toSorted(
    (one, two) => one.opens - two.opens || two.closes - one.closes || one.number - two.number,
  )
  /** Text from a place to another, with those of the changes that lie within. */
  const withChanges = (from, to, within) => {
    let out = ''
    let at = from
    for (let first = 0; first < within.length;) {
      const { opens, closes, number, put, startsStatement, ...change } = within[first]
      let past = first + 1
      while (past < within.length && within[past].opens < closes) past++
      const changed = text.slice(opens, change.from) + put + text.slice(change.to, closes)
      const asItIs = withChanges(opens, closes, within.slice(first + 1, past))
      // A line that begins with a bracket would be taken for a call of the line before.
      out += `${text.slice(at, opens)}${startsStatement ? 'void ' : ''}(isChanged$(${number}) ? ${changed} : ${asItIs})`
      at = closes
      first = past
    }
    return out + text.slice(at, to)
  }
  const changed = withChanges(0, text.length, ordered)
  // A component begins where its script does.
  return text.startsWith('<')
    ? changed.replace(/<script[^>]*>/, (tag) => `${tag}\n${head}`)
    : head + changed
}
