/** Formulas of recipes: arithmetic over named values and the formulas of core. Read once, run often. */
import jsep from 'jsep'
import { knownFormulas } from './knownFormulas'

export type Value = number | string | boolean
export type Scope = Readonly<Record<string, Value>>

/** A formula that reads, with the names it needs. */
export interface Formula {
  readonly names: ReadonlySet<string>
  /** Throws FormulaTrouble where the values do not allow an answer. */
  readonly run: (scope: Scope) => Value
}

/** A formula that cannot be read or worked out, as a sentence for the person. */
export class FormulaTrouble extends Error {
  constructor(message: string) {
    super(message)
    this.name = 'FormulaTrouble'
  }
}

const longest = 400

type Run = (scope: Scope) => Value
const numberOf = (value: Value): number => {
  if (typeof value !== 'number') throw new FormulaTrouble(`A number is needed, not “${value}”.`)
  return value
}
const onNumbers =
  (work: (a: number, b: number) => Value) =>
  (a: Value, b: Value): Value =>
    work(numberOf(a), numberOf(b))

const operators: Readonly<Record<string, (a: Value, b: Value) => Value>> = {
  '+': onNumbers((a, b) => a + b),
  '-': onNumbers((a, b) => a - b),
  '*': onNumbers((a, b) => a * b),
  '/': onNumbers((a, b) => {
    if (b === 0) throw new FormulaTrouble('It divides by nothing.')
    return a / b
  }),
  '<': onNumbers((a, b) => a < b),
  '>': onNumbers((a, b) => a > b),
  '<=': onNumbers((a, b) => a <= b),
  '>=': onNumbers((a, b) => a >= b),
  '==': (a, b) => a === b,
  '!=': (a, b) => a !== b,
}

/** Reads a formula. Throws FormulaTrouble for what is not one: an unknown formula, a stray sign. */
export function readFormula(text: string): Formula {
  if (text.trim() === '') throw new FormulaTrouble('The formula is empty.')
  if (text.length > longest)
    throw new FormulaTrouble(
      `The formula is over ${longest} characters long. Split it into values.`,
    )
  let tree: jsep.Expression
  try {
    tree = jsep(text)
  } catch {
    throw new FormulaTrouble(`“${text}” cannot be read as a formula.`)
  }
  const names = new Set<string>()
  return { names, run: build(tree, names) }
}

const formulas = new Map<string, Formula>()
/** Formulas are read once: the same texts come again at every key pressed. */
export function formulaOf(text: string): Formula {
  const known = formulas.get(text)
  if (known) return known
  const made = readFormula(text)
  formulas.set(text, made)
  return made
}

function build(node: jsep.Expression, names: Set<string>): Run {
  switch (node.type) {
    case 'Literal': {
      const { value } = node as jsep.Literal
      if (typeof value !== 'number' && typeof value !== 'string') break
      return () => value
    }
    case 'Identifier': {
      const { name } = node as jsep.Identifier
      names.add(name)
      return (scope) => {
        const value = Object.hasOwn(scope, name) ? scope[name] : undefined
        if (value === undefined) throw new FormulaTrouble(`“${name}” is not known here.`)
        return value
      }
    }
    case 'UnaryExpression':
      return buildUnary(node as jsep.UnaryExpression, names)
    case 'BinaryExpression':
      return buildBinary(node as jsep.BinaryExpression, names)
    case 'ConditionalExpression': {
      const { test, consequent, alternate } = node as jsep.ConditionalExpression
      const [asks, yes, no] = [test, consequent, alternate].map((one) => build(one, names)) as [
        Run,
        Run,
        Run,
      ]
      return (scope) => (asks(scope) === true ? yes(scope) : no(scope))
    }
    case 'CallExpression':
      return buildCall(node as jsep.CallExpression, names)
  }
  throw new FormulaTrouble('A formula may hold numbers, names, + − × ÷, comparisons and formulas.')
}

function buildUnary(node: jsep.UnaryExpression, names: Set<string>): Run {
  const inner = build(node.argument, names)
  if (node.operator === '-') return (scope) => -numberOf(inner(scope))
  if (node.operator === '!') return (scope) => inner(scope) !== true
  throw new FormulaTrouble(`“${node.operator}” is not known in formulas.`)
}

function buildBinary(node: jsep.BinaryExpression, names: Set<string>): Run {
  const [left, right] = [build(node.left, names), build(node.right, names)]
  if (node.operator === '&&') return (scope) => left(scope) === true && right(scope) === true
  if (node.operator === '||') return (scope) => left(scope) === true || right(scope) === true
  const work = Object.hasOwn(operators, node.operator) ? operators[node.operator] : undefined
  if (!work) throw new FormulaTrouble(`“${node.operator}” is not known in formulas.`)
  return (scope) => work(left(scope), right(scope))
}

function buildCall(node: jsep.CallExpression, names: Set<string>): Run {
  const name = node.callee.type === 'Identifier' ? (node.callee as jsep.Identifier).name : '?'
  const known = Object.hasOwn(knownFormulas, name) ? knownFormulas[name] : undefined
  if (!known)
    throw new FormulaTrouble(
      `There is no formula “${name}”. There are: ${Object.keys(knownFormulas).join(', ')}.`,
    )
  if (node.arguments.length !== known.takes.length)
    throw new FormulaTrouble(
      `“${name}” takes ${known.takes.length} values (${known.takes.join(', ')}), not ${node.arguments.length}.`,
    )
  const inner = node.arguments.map((one) => build(one, names))
  return (scope) => {
    try {
      return known.work(...inner.map((one) => numberOf(one(scope))))
    } catch (error) {
      // Core names its caller first, for developers; a person reads what follows.
      if (error instanceof RangeError)
        throw new FormulaTrouble(`${error.message.replace(/^\w+: /, 'Out of range: ')}.`)
      throw error
    }
  }
}
