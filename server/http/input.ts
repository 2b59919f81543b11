import { getQuery, getRouterParam } from 'h3'
import type { H3Event } from 'h3'
import type Joi from 'joi'
import { readJson } from '#shared/keepable'
import { fieldProblems, problem } from '#shared/problems'
import { idSchema } from '#shared/schemas/idSchema'
import { Trouble } from '../services/trouble'

const sayLimit = (most: number): string => {
  if (most >= 1e9) return `${Math.round(most / 1e9)} GB`
  return most >= 1e6 ? `${Math.round(most / 1e6)} MB` : `${Math.round(most / 1e3)} kB`
}

/** The bytes of a request as they come, counted: a header about the length is not trusted. Throws Trouble 413. */
export async function* bodyOf(
  event: H3Event,
  most: number,
  what: string,
): AsyncGenerator<Buffer, void> {
  let length = 0
  for await (const chunk of event.node.req as AsyncIterable<Buffer>) {
    length += chunk.length
    if (length > most)
      throw new Trouble(
        413,
        problem('tooLarge', `${what} is over ${sayLimit(most)}. Make it smaller or split it.`),
      )
    yield chunk
  }
}

/** The bytes of a request together. Throws Trouble 413. */
export async function readBytes(event: H3Event, most: number, what: string): Promise<Buffer> {
  const chunks: Buffer[] = []
  for await (const chunk of bodyOf(event, most, what)) chunks.push(chunk)
  return Buffer.concat(chunks)
}

/** A JSON body of at most `most` bytes that fits a schema. */
export async function readInput<Value>(
  event: H3Event,
  schema: Joi.Schema<Value>,
  most = 30e6,
): Promise<Value> {
  const bytes = await readBytes(event, most, 'This request')
  let body: unknown
  try {
    body = readJson(bytes.toString('utf8'))
  } catch {
    throw new Trouble(400, problem('notJson', 'The request is not JSON, or it was cut off.'))
  }
  const { error, value } = schema.validate(body, { abortEarly: false })
  if (error) {
    const fields = fieldProblems(error)
    throw new Trouble(422, problem('invalid', fields[0]?.message ?? 'Invalid.', { fields }))
  }
  return value
}

/** What stands behind the question mark, checked. Unknown words are let be. */
export function readQuery<Value>(event: H3Event, schema: Joi.ObjectSchema<Value>): Value {
  const { error, value } = schema.validate(getQuery(event), { allowUnknown: true })
  if (!error) return value
  const fields = fieldProblems(error)
  throw new Trouble(422, problem('invalid', fields[0]?.message ?? 'Invalid.', { fields }))
}

/** A plain id from the path. */
export function pathId(event: H3Event, name: string): string {
  const { error, value } = idSchema.validate(getRouterParam(event, name))
  if (error) throw new Trouble(404, problem('notFound', 'There is nothing at that address.'))
  return value as string
}
