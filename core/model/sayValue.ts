import { formatHours } from '../units/hours'
import { clockTimeOf, sayFullDate } from '../time/say'
import { zoneClock } from '../time/zone'
import { entities } from './entities'
import type { EntityName } from './entities'
import type { Field, Fields } from './field'
import type { RefitRows } from './refit'
import { capital } from '../units/counted'

const mostShown = 80

/** Name of a row as a person knows it; what is no longer there is called so. */
export function sayRow(entity: EntityName, id: string, rows: RefitRows): string {
  const row = (rows[entity] as readonly { readonly id: string }[]).find((one) => one.id === id)
  const named = (row ?? {}) as { readonly [name: string]: unknown }
  const name = named.title ?? named.name ?? named.what ?? named.code
  return typeof name === 'string' ? name : row ? 'one without a name' : 'one that was removed'
}

/**
 * A field's value in words: names for references, dates as they are said, hours as 1h30, yes and no.
 * @returns 'nothing' for what is empty; long texts and records are cut to 80 characters.
 */
export function sayValue(
  entity: EntityName,
  field: string,
  value: unknown,
  rows: RefitRows,
): string {
  const spec = (entities[entity] as Fields)[field] as Field<unknown> | undefined
  if (value === null || value === undefined || value === '') return 'nothing'
  if (Array.isArray(value) && value.length === 0) return 'nothing'
  const kind = spec?.kind
  if (kind === 'ref') return sayRow(spec?.to as EntityName, String(value), rows)
  if (kind === 'refs')
    return (value as string[]).map((id) => sayRow(spec?.to as EntityName, id, rows)).join(', ')
  if (kind === 'date') return sayFullDate(String(value))
  if (kind === 'instant') {
    const clock = zoneClock(rows.refit[0]?.zone ?? 'UTC')
    const at = Number(value)
    return `${sayFullDate(clock.dateOf(at))} ${clockTimeOf(at, clock)}`
  }
  if (kind === 'flag') return value ? 'yes' : 'no'
  if (kind === 'real' && /hours/i.test(field)) return formatHours(Number(value))
  if (kind === 'real') return String(Math.round(Number(value) * 1000) / 1000)
  if (spec && (kind === 'choice' || kind === 'choices'))
    return [value]
      .flat()
      .map((word) => sayChoice(spec, String(word)).toLowerCase())
      .join(', ')
  const text = typeof value === 'object' ? 'changed' : String(value)
  return text.length > mostShown ? `${text.slice(0, mostShown - 1)}…` : text
}

/** 'cannotCome' as 'cannot come'. */
export const sayWord = (word: unknown): string =>
  String(word).replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`)

/** A choice in the words of its description, with a capital. */
export const sayChoice = ({ said }: Pick<Field<unknown>, 'said'>, word: string): string =>
  said?.[word] ?? capital(sayWord(word))
