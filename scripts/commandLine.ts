/** What every command line of ours does alike: reads its file and its options, and ends with one line where they are at fault. */
import { readFileSync } from 'node:fs'
import { parseArgs } from 'node:util'
import type Joi from 'joi'

/** Ends with one line and code 2: the input is at fault. */
export function refuse(sentence: string): never {
  process.stderr.write(`${sentence.replace(/\s+/g, ' ').trim()}\n`)
  process.exit(2)
}

/** The one file and the options, all of them numbers. */
export function readArguments(
  usage: string,
  names: readonly string[],
): { readonly path: string; readonly option: (name: string) => string | undefined } {
  const options = Object.fromEntries(names.map((name) => [name, { type: 'string' as const }]))
  try {
    const { values, positionals } = parseArgs({ allowPositionals: true, options })
    const [path] = positionals
    if (path === undefined || positionals.length > 1) return refuse(usage)
    return { path, option: (name) => values[name] as string | undefined }
  } catch (error) {
    return refuse(`${(error as Error).message} ${usage}`)
  }
}

/** A number from 0 up of an option. */
export function readNumber(
  name: string,
  text: string | undefined,
  otherwise: number,
  whole: boolean,
): number {
  if (text === undefined) return otherwise
  const value = Number(text)
  if (text.trim() === '' || !(value >= 0) || (whole && !Number.isSafeInteger(value)))
    refuse(`--${name} is "${text}"; it must be a ${whole ? 'whole ' : ''}number from 0 up.`)
  return value
}

/** What a file holds, checked by a schema; '-' reads the standard input. `what`: "a problem". */
export function readFileAs<Value>(path: string, schema: Joi.Schema<Value>, what: string): Value {
  let text: string
  try {
    text = readFileSync(path === '-' ? 0 : path, 'utf8')
  } catch (error) {
    return refuse(`${path} cannot be read: ${(error as Error).message}`)
  }
  try {
    const { value, error } = schema.validate(JSON.parse(text) as unknown)
    if (error) throw error
    return value as Value
  } catch (error) {
    return refuse(`${path} is not ${what}: ${(error as Error).message}`)
  }
}
