import { computed } from 'vue'
import { formatInches } from '#core/units/length'
import { sayGate } from '#core/progress/gateWords'

/** The sentence under the Tape, and in the short form of phones. */
export function useSaid() {
  const store = useRefitStore()
  const tape = computed(() => {
    const { earnedIn, loaIn, earnedThisWeekIn, launch } = store.derived
    const said = launch ? sayGate(launch, store.derived) : null
    return {
      earned: `${formatInches(earnedIn)} of ${formatInches(loaIn)} in`,
      week: `${formatInches(earnedThisWeekIn)} this week`,
      launch: said?.short ?? 'no launch to come',
      bad: said?.standing === 'undated',
      late: lateWords(launch?.daysLate ?? null, launch?.gate.name ?? ''),
    }
  })
  return { tape }
}

function lateWords(days: number | null, name: string): string {
  if (days === null || days <= 0) return ''
  return `${days} ${days === 1 ? 'day' : 'days'} after the aimed ${name.toLowerCase()}`
}
