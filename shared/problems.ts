import type Joi from 'joi'
import type { FieldProblem, Problem } from '#core/model/changes'

/** Joi's findings as field problems; `prefix` says which row they are about. */
export const fieldProblems = (error: Joi.ValidationError, prefix = ''): FieldProblem[] =>
  error.details.map((detail) => ({
    field: [prefix, ...detail.path].filter((part) => part !== '').join('.'),
    message: /[.?!]$/.test(detail.message) ? detail.message : `${detail.message}.`,
  }))

export const problem = (
  code: string,
  message: string,
  more: Partial<Pick<Problem, 'fields' | 'clashes'>> = {},
): Problem => ({ code, message, fields: [], ...more })

/** True for an answer of the server in the one shape. */
export const isProblem = (value: unknown): value is Problem =>
  typeof value === 'object' && value !== null && 'code' in value && 'message' in value
