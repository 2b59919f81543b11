import { computed } from 'vue'
import { formatInches } from '#core/units/length'
import { sayGate } from '#core/progress/gateWords'

/** The sentence under the Tape, and in the short form of phones. */
export function useSaid() {
  const store = useRefitStore()
  const { saidOf } = useOdds()
  const tape = computed(() => {
    const { earnedIn, loaIn, earnedThisWeekIn, launch } = store.derived
    const said = launch ? sayGate(launch, store.derived) : null
    const odds = said?.standing === 'dated' && launch ? saidOf(launch.gate.id) : ''
    return {
      earned: `${formatInches(earnedIn)} of ${formatInches(loaIn)} in`,
      week: `${formatInches(earnedThisWeekIn)} this week`,
      launch: said?.short ?? 'no launch to come',
      /** How likely that is, by the runs; '': nothing was run, or it has no date. */
      odds: odds === '' ? '' : `; ${odds}`,
      bad: said?.standing === 'undated',
      late: lateWords(launch?.daysLate ?? null),
    }
  })
  return { tape }
}

function lateWords(days: number | null): string {
  if (days === null || days <= 0) return ''
  return `${days} ${days === 1 ? 'day' : 'days'} late`
}
