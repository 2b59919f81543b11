/** Every small change that the files under some paths admit. */
import { readFileSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import ts from 'typescript'
import { root } from '../prepare.mjs'

/** Tables of facts: their lines are right or wrong by their source, not by what the program makes of them. */
const tables = [
  'core/recipes/book/',
  'core/recipes/starterList.ts',
  'core/time/seaClimate.ts',
  'core/fastening/threads.ts',
  'server/db/migrations/',
]
const isTried = (path) =>
  !/\.test\.ts$|\/testing\/|\.d\.ts$|(words|said)\.ts$/.test(path) &&
  !tables.some((table) => path.startsWith(table))

const isCode = (name) => /\.(ts|vue)$/.test(name)

/** Files of code under a path, or the path itself. */
const filesIn = (path) =>
  isCode(path)
    ? [path]
    : readdirSync(join(root, path), { withFileTypes: true })
        .filter((one) => one.isDirectory() || isCode(one.name))
        .flatMap((one) => filesIn(join(path, one.name)))

/** The script of a component where it stands in its file, everything else blank; other files as they are. */
function codeOf(path) {
  const text = readFileSync(join(root, path), 'utf8')
  if (!path.endsWith('.vue')) return text
  const [from, to] = [text.indexOf('>', text.indexOf('<script')) + 1, text.indexOf('</script>')]
  const blank = (part) => part.replace(/[^\n]/g, ' ')
  return blank(text.slice(0, from)) + text.slice(from, to) + blank(text.slice(to))
}

const K = ts.SyntaxKind
const swaps = new Map([
  [K.LessThanToken, '<='],
  [K.LessThanEqualsToken, '<'],
  [K.GreaterThanToken, '>='],
  [K.GreaterThanEqualsToken, '>'],
  [K.EqualsEqualsEqualsToken, '!=='],
  [K.ExclamationEqualsEqualsToken, '==='],
  [K.AmpersandAmpersandToken, '||'],
  [K.BarBarToken, '&&'],
  [K.PlusToken, '-'],
  [K.MinusToken, '+'],
  [K.AsteriskToken, '/'],
  [K.SlashToken, '*'],
])
const methods = new Map([
  ['some', 'every'],
  ['every', 'some'],
  ['min', 'max'],
  ['max', 'min'],
  ['ceil', 'floor'],
  ['floor', 'ceil'],
])

/** The chain of calls and members that a link belongs to: `a?.b.c()` ends early as a whole. */
function chainOf(node) {
  let whole = node
  const goesOn = (above) =>
    (ts.isPropertyAccessExpression(above) ||
      ts.isElementAccessExpression(above) ||
      ts.isCallExpression(above) ||
      ts.isNonNullExpression(above)) &&
    above.expression === whole
  while (goesOn(whole.parent)) whole = whole.parent
  return whole
}

/** Changes of one file: what stands there, what comes in its place, and the expression that becomes another by it. */
function changesIn(path) {
  const source = ts.createSourceFile(
    path,
    codeOf(path),
    ts.ScriptTarget.Latest,
    true,
    ts.ScriptKind.TS,
  )
  const found = []
  const add = (node, put, whole = node) => {
    const opens = whole.getStart(source)
    const statement = ts.findAncestor(whole, ts.isExpressionStatement)
    found.push({
      path,
      line: source.getLineAndCharacterOfPosition(node.getStart(source)).line + 1,
      from: node.getStart(source),
      to: node.getEnd(),
      put,
      opens,
      closes: whole.getEnd(),
      startsStatement: statement?.getStart(source) === opens,
    })
  }
  const visit = (node) => {
    // Types do nothing, and what is said is judged by people.
    if (ts.isTypeNode(node) || ts.isImportDeclaration(node) || ts.isInterfaceDeclaration(node))
      return
    if (ts.isBinaryExpression(node)) {
      const { operatorToken: sign, left, right } = node
      const put = swaps.get(sign.kind)
      const joinsText =
        sign.kind === K.PlusToken && (ts.isStringLiteralLike(left) || ts.isStringLiteralLike(right))
      if (put && !joinsText) add(sign, put, node)
    } else if (node.kind === K.TrueKeyword) add(node, 'false')
    else if (node.kind === K.FalseKeyword) add(node, 'true')
    else if (ts.isNumericLiteral(node)) {
      if (node.parent.name !== node) add(node, String(Number(node.text) + 1))
    } else if (ts.isPrefixUnaryExpression(node) && node.operator === K.ExclamationToken)
      add(node, `(${node.operand.getText(source)})`)
    else if (ts.isIfStatement(node)) add(node.expression, 'false')
    else if (ts.isConditionalExpression(node)) add(node.condition, 'true')
    else if (ts.isPropertyAccessExpression(node) && methods.has(node.name.text))
      add(node.name, methods.get(node.name.text), chainOf(node))
    ts.forEachChild(node, visit)
  }
  visit(source)
  return found
}

/** All changes under the paths, in the order of their files. */
export const changesUnder = (paths) => paths.flatMap(filesIn).filter(isTried).flatMap(changesIn)
