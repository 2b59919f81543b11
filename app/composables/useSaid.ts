import { computed } from 'vue'
import { formatInches } from '#core/units/length'
import { sayDate } from '#core/time/say'

/** The sentence under the Tape, and in the short form of phones. */
export function useSaid() {
  const store = useRefitStore()
  const tape = computed(() => {
    const { earnedIn, loaIn, earnedThisWeekIn, launch, today } = store.derived
    const year = today.slice(0, 4)
    const planned = launch?.plannedOn
    return {
      earned: `${formatInches(earnedIn)} of ${formatInches(loaIn)} in`,
      week: `${formatInches(earnedThisWeekIn)} this week`,
      launch: planned ? `launch planned ${sayDate(planned, year)}` : 'no launch planned',
      late: lateWords(launch?.daysLate ?? null, launch?.gate.name ?? ''),
    }
  })
  return { tape }
}

function lateWords(days: number | null, name: string): string {
  if (days === null || days <= 0) return ''
  return `${days} ${days === 1 ? 'day' : 'days'} after the aimed ${name.toLowerCase()}`
}
