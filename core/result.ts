import type { FieldProblem } from './model/changes'

/** A refusal: a sentence that says what to do instead, and the fields it is about where there are some. */
export interface Refusal {
  readonly ok: false
  readonly message: string
  readonly problems?: readonly FieldProblem[]
}

/** What comes of something that can be refused. The one shape of failure in core; what cannot happen throws. */
export type Result<Value> = { readonly ok: true; readonly value: Value } | Refusal

export const accepted = <Value>(value: Value): Result<Value> => ({ ok: true, value })
export const refused = (message: string, problems?: readonly FieldProblem[]): Refusal =>
  problems ? { ok: false, message, problems } : { ok: false, message }

/** A refusal field by field; one that is about no field stands under ''. */
export const problemsOf = ({ message, problems }: Refusal): readonly FieldProblem[] =>
  problems ?? [{ field: '', message }]
