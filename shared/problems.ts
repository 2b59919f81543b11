import type Joi from 'joi'
import { sentences } from './schemas/sentences'
import type { FieldProblem, Problem } from '#core/model/changes'

/** Begins with a capital and ends with a stop, whatever the field is called. */
const asSentence = (words: string): string =>
  `${words[0]?.toUpperCase() ?? ''}${words.slice(1)}${/[.?!]$/.test(words) ? '' : '.'}`

/** A value in a sentence: lists by commas. */
const inWords = (value: unknown): string =>
  Array.isArray(value) ? value.map(String).join(', ') : String(value)

/**
 * What is wrong in our words: a schema's own sentence where it has one, else ours for the kind of fault. Done
 * here and not by Joi, which would make its messages anew for every field of every check.
 */
function said({ type, message, context }: Joi.ValidationErrorItem): string {
  const ours = sentences[type]
  const label = String(context?.label ?? '')
  const own = !message.startsWith(`"${label}"`) && !message.startsWith('Error code')
  if (ours === undefined || own) return message
  return ours.replace(/\{#(\w+)\}/g, (_, name: string) => inWords(context?.[name]))
}

/** Joi's findings as field problems; `prefix` says which row they are about. */
export const fieldProblems = (error: Joi.ValidationError, prefix = ''): FieldProblem[] =>
  error.details.map((detail) => ({
    field: [prefix, ...detail.path].filter((part) => part !== '').join('.'),
    message: asSentence(said(detail)),
  }))

export const problem = (
  code: string,
  message: string,
  more: Partial<Pick<Problem, 'fields' | 'clashes'>> = {},
): Problem => ({ code, message, fields: [], ...more })

/** True for an answer of the server in the one shape. */
export const isProblem = (value: unknown): value is Problem =>
  typeof value === 'object' && value !== null && 'code' in value && 'message' in value
