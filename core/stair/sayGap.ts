/** Why nobody works for some days, in a few words beside a layer. */
import { byId } from '../model/refit'
import type { RefitRows } from '../model/refit'
import type { Binding } from '../plan/schedule/binding'

/** '' where what stands before says it already: a cure is drawn. `days` gone by without work. */
export function sayGap(
  binding: Binding,
  days: number,
  rows: Pick<RefitRows, 'step' | 'person' | 'part' | 'tradeBooking'>,
  sayDate: (at: number) => string,
): string {
  const long = days === 1 ? '1 day' : `${days} days`
  switch (binding.kind) {
    case 'now':
    case 'after':
    case 'wait':
      return ''
    case 'calendar':
      return `${long}, nobody there`
    case 'people': {
      const names = binding.personIds.map(
        (id) => rows.person.find((one) => one.id === id)?.name ?? '',
      )
      return `${long}, ${names.join(' and ')} busy`
    }
    case 'weather':
      return `${long} for the weather: ${Math.round(binding.share * 10)} in 10 suit`
    case 'forecast':
      return `the forecast forbids it until ${sayDate(binding.until)}`
    case 'air':
      return `kept from dust until ${sayDate(binding.until)}`
    case 'bondWindow':
      return 'held for its bond window'
    case 'season':
      return 'waits for warm days'
    case 'launch':
      return 'once she is afloat'
    case 'liftOut':
      return 'once she is ashore'
    case 'wanted':
      return `she is wanted until ${sayDate(binding.until)}`
    case 'yardHours':
      return 'in the yard’s hours'
    case 'pin':
      return 'pinned to that day'
    case 'notBefore':
      return 'not before: you said so'
    case 'trade':
      return `${rows.tradeBooking.find((one) => one.id === binding.bookingId)?.trade ?? 'a trade'} comes then`
    case 'part':
      return `${byId(rows.part).get(binding.partId)?.name ?? 'a part'} is not here`
    case 'aim':
    case 'liftDay':
      return ''
  }
}
