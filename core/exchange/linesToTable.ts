import { parseHours } from '../units/hours'
import type { JobColumn } from './jobColumns'
import { matchName } from './likeness'
import type { ListRow } from './readJobs'

const mostHours = 2000

/** Hours said with their unit: "2h", "90 min", "1h30", "1 day". "3 m" is a length and "2" a count. */
const isHours = (text: string): boolean =>
  /\d\s*(h|hrs?|hours?|min|mins|minutes?|d|days?)\b|\d\s*h\s*\d/i.test(text) &&
  parseHours(text, mostHours).ok

/**
 * Pasted lines as table rows of title, hours and place: "Re-bed the bow cleat, 2h, Foredeck, port". What
 * comes after a comma counts only when it reads as hours with a unit or names a place; a place may have a
 * comma in its name.
 */
export function linesToTable(
  text: string,
  zones: readonly { readonly id: string; readonly name: string }[],
): { readonly table: ListRow[]; readonly columns: JobColumn[] } {
  const table = text.split(/\r?\n/).flatMap((raw, index): ListRow[] => {
    const line = raw.replace(/^\s*(?:[-*•]|\[[ x]?\]|\d+[.)])\s+/i, '').trim()
    return line === '' ? [] : [{ line: index + 1, cells: cellsOf(line, zones) }]
  })
  return { table, columns: ['title', 'hours', 'zone'] }
}

function cellsOf(
  line: string,
  zones: readonly { readonly id: string; readonly name: string }[],
): string[] {
  const parts = line.split(/[,;\t]/).map((part) => part.trim())
  let hours = ''
  let zone = ''
  while (parts.length > 1) {
    const last = parts.at(-1) as string
    const lastTwo = parts.slice(-2).join(', ')
    if (zone === '' && parts.length > 2 && matchName(lastTwo, zones).id !== null) {
      zone = lastTwo
      parts.pop()
    } else if (zone === '' && matchName(last, zones).id !== null) zone = last
    else if (hours === '' && isHours(last)) hours = last
    else break
    parts.pop()
  }
  return [parts.join(', '), hours, zone]
}
