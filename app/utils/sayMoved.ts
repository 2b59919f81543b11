import type { Consequence } from '~/workers/plannerQuestions'

/**
 * What a change does to the gates, as short as it goes: two of them at most. `later`: of something that can only cost,
 * gates that come earlier for another reason are none of its doing.
 */
export function sayMoved(
  { leftOut, effects }: Pick<Consequence, 'leftOut' | 'effects'>,
  which: 'all' | 'later' = 'all',
): string {
  if (leftOut !== '') return 'cannot be planned there'
  const moved = effects.filter(({ days }) =>
    which === 'all' ? days !== 0 : days === null || days > 0,
  )
  if (moved.length === 0) return which === 'all' ? 'no gate moves' : 'no gate is later'
  return moved
    .slice(0, 2)
    .map(({ gate, days }) =>
      days === null
        ? `${gate.name} loses its date`
        : `${gate.name} ${Math.abs(days)} d ${days > 0 ? 'later' : 'earlier'}`,
    )
    .join(', ')
}
