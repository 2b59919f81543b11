import type { Board } from '#core/today/boards'
import { clockTimeOf } from '#core/time/say'
import type { ZoneClock } from '#core/time/zone'

/** The hours a board allows, as a phone says it: "10:00–14:40." */
export function sayBoard(board: Board, zone: ZoneClock): string {
  const open = board.spans.filter((span) => span.why === null)
  if (open.length === 0) return 'not today.'
  return `${open.map((span) => `${clockTimeOf(span.from, zone)}–${clockTimeOf(span.to, zone)}`).join(', ')}. `
}
