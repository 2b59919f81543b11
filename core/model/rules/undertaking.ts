/** Rules of the undertaking and its dates: the refit, seasons, haul-outs, gates, hours of people. */
import { digitsOf, isCurrency } from '../../money/money'
import { hasSums } from '../../money/sums'
import { minutesOf } from '../../time/civil'
import { sayFullDate } from '../../time/say'
import { isZone } from '../../time/zone'
import { formatHours } from '../../units/hours'
import type { Row } from '../entities'
import { groupBy } from '../refit'
import { inOrder, laterTime, mendWhen, when, withinReach } from './rule'
import type { RuleContext, RuleProblem, Rules } from './rule'

/** What has happened cannot lie ahead. */
const happened = (field: string, on: string | null, what: string, today: string | null) =>
  mendWhen(
    on !== null && today !== null && on > today,
    field,
    `${on === null ? '' : sayFullDate(on)} is still to come: she was not ${what} then. Put it in as aimed or booked.`,
  )

/** The same absence twice, or extra hours that lie over others of that day. */
function doubled(row: Row<'personDay'>, { rows, once }: RuleContext): RuleProblem[] {
  const keyOf = (day: Row<'personDay'>) => `${day.personId} ${day.on} ${day.kind}`
  const days = once('personDays', () => groupBy(rows.personDay, keyOf))
  const twin = days
    .get(keyOf(row))
    ?.find(
      (other) =>
        other.id !== row.id &&
        ((row.kind === 'cannotCome' && (row.wholeDay || other.wholeDay)) ||
          (other.from < row.to && row.from < other.to)),
    )
  const name = rows.person.find((one) => one.id === row.personId)?.name ?? 'That person'
  return mendWhen(
    twin !== undefined,
    'on',
    row.kind === 'cannotCome'
      ? `${sayFullDate(row.on)} is down already: ${name} can’t come.`
      : `${name} has an extra day from ${twin?.from} to ${twin?.to} on ${sayFullDate(row.on)} already. Change that one.`,
  )
}

/** Sums are whole numbers of the currency's smallest part: another size of part would make other sums of them. */
function renamed(row: Row<'refit'>, { rows, before }: RuleContext): RuleProblem[] {
  const was = before('refit', row.id)?.currency
  if (typeof was !== 'string' || was === row.currency || !isCurrency(row.currency)) return []
  return when(
    isCurrency(was) && digitsOf(was) !== digitsOf(row.currency) && hasSums(rows),
    'currency',
    `Sums are down in ${was}, which has other decimals than ${row.currency}: they would read as other sums. Nothing is converted here.`,
  )
}

const samePair = (one: Row<'drive'>, other: Row<'drive'>): boolean =>
  (one.fromPlaceId === other.fromPlaceId && one.toPlaceId === other.toPlaceId) ||
  (one.fromPlaceId === other.toPlaceId && one.toPlaceId === other.fromPlaceId)

const tripMin = (place: Row<'place'>): number =>
  2 * place.travelMin + place.setUpMin + place.packUpMin

/** True when people have hours in the week, and the way to a place is longer than the longest of them. */
function leavesNoTime(place: Row<'place'>, { rows, once }: RuleContext): boolean {
  const longest = once('longestDay', () =>
    Math.max(0, ...rows.weekSlot.map((one) => minutesOf(one.to) - minutesOf(one.from))),
  )
  return longest > 0 && tripMin(place) >= longest
}

/** True when some who stay the night come on two days in a row, by their week or by their extra days. */
function somebodyStays(rows: RuleContext['rows']): boolean {
  return rows.person.some((person) => {
    if (person.gone || !person.staysNights) return false
    const weekdays = new Set(
      rows.weekSlot.filter((one) => one.personId === person.id).map((one) => one.weekday),
    )
    const extra = rows.personDay.some(
      (one) => one.personId === person.id && one.kind === 'extraDay',
    )
    return extra || [...weekdays].some((day) => weekdays.has((day % 7) + 1))
  })
}

const beforeHaulOut = (gate: Row<'gate'>, { rows }: RuleContext): boolean => {
  const haulOut = rows.haulOut.find((one) => one.id === gate.haulOutId)
  return haulOut !== undefined && (gate.on ?? '') < haulOut.liftOutAimed
}

export const undertakingRules: Rules = {
  refit: (row, context) => [
    ...when(!isZone(row.zone), 'zone', `“${row.zone}” is not a time zone. Try Europe/Dublin.`),
    ...when(!isCurrency(row.currency), 'currency', `“${row.currency}” is not a currency. Try EUR.`),
    ...renamed(row, context),
    ...when(
      row.lwlM !== null && row.lwlM > row.loaM,
      'lwlM',
      'The waterline cannot be longer than the boat.',
    ),
  ],
  season: (row, context) => [
    ...inOrder('season', row, 'from', 'to'),
    ...withinReach('season', row, context, ['to']),
  ],
  haulOut: (row, context) => [
    ...happened('liftOutActual', row.liftOutActual, 'lifted out', context.today),
    ...happened('launchActual', row.launchActual, 'launched', context.today),
    ...withinReach('haulOut', row, context, [
      'liftOutAimed',
      'launchAimed',
      'liftOutBooked',
      'launchBooked',
    ]),
    ...inOrder('haulOut', row, 'liftOutAimed', 'launchAimed'),
    ...inOrder('haulOut', row, 'liftOutBooked', 'launchBooked'),
    ...inOrder('haulOut', row, 'liftOutActual', 'launchActual'),
    ...when(
      row.liftOutActual !== null &&
        row.launchBooked !== null &&
        row.launchBooked < row.liftOutActual,
      'launchBooked',
      'The launch is booked before she was lifted out.',
    ),
    ...when(
      row.launchActual !== null && row.liftOutActual === null,
      'launchActual',
      'She cannot be launched before she was lifted out. Fill in the lift-out first.',
    ),
  ],
  gate: (row, context) => [
    ...withinReach('gate', row, context, ['on']),
    ...when(
      row.kind === 'launch' && row.haulOutId === null,
      'haulOutId',
      'A launch gate needs its haul-out.',
    ),
    ...when(row.kind === 'dated' && row.on === null, 'on', 'A dated gate needs a date.'),
    ...mendWhen(
      row.kind !== 'launch' &&
        row.on !== null &&
        row.haulOutId !== null &&
        beforeHaulOut(row, context),
      'on',
      `“${row.name}” is before its haul-out begins. Move the gate or the haul-out.`,
    ),
    ...when(
      row.kind === 'launch' &&
        context.rows.gate.some(
          (other) =>
            other.id !== row.id && other.kind === 'launch' && other.haulOutId === row.haulOutId,
        ),
      'haulOutId',
      'That haul-out has its launch gate already.',
    ),
  ],
  place: (row, context) => [
    ...when(
      row.opensAt !== null && row.shutsAt !== null && row.shutsAt <= row.opensAt,
      'shutsAt',
      `It would shut at ${row.shutsAt}, before it opens at ${row.opensAt}.`,
    ),
    ...when(
      new Set(row.shutWeekdays).size >= 7,
      'shutWeekdays',
      'Shut on all seven days nobody could ever work there. Leave one open.',
    ),
    ...mendWhen(
      row.kind === 'yard' && minutesOf(row.liftUntil) <= minutesOf(row.liftFrom),
      'liftUntil',
      `The last lift would be over at ${row.liftUntil}, and the first begins at ${row.liftFrom}.`,
    ),
    ...when(
      row.noLifts.some((one) => one.to < one.from),
      'noLifts',
      'The last day without lifts is before the first.',
    ),
    ...mendWhen(
      row.nights === 'none' && leavesNoTime(row, context),
      'travelMin',
      `There, back, unpacking and packing up take ${formatHours(tripMin(row) / 60)}: longer than anybody’s day. Nobody could work there.`,
    ),
    ...mendWhen(
      row.nights !== 'none' && !context.once('nights', () => somebodyStays(context.rows)),
      'nights',
      'Nobody who stays the night comes on two days in a row, so there is no night to stay for. Change the hours of the week first.',
    ),
  ],
  drive: (row, { rows }) => [
    ...when(
      row.fromPlaceId === row.toPlaceId,
      'toPlaceId',
      'The way goes from one place to another: pick two.',
    ),
    ...mendWhen(
      rows.drive.some((other) => other.id !== row.id && samePair(row, other)),
      'toPlaceId',
      'The way between these two is down already. Change that one.',
    ),
  ],
  lying: (row, context) => [
    ...inOrder('lying', row, 'from', 'to'),
    ...withinReach('lying', row, context, ['from', 'to']),
    ...mendWhen(
      context.rows.place.find((one) => one.id === row.placeId)?.kind !== 'berth',
      'placeId',
      'That is no berth. When she stands in a yard is said by its haul-out.',
    ),
    ...mendWhen(
      context.rows.lying.some(
        (other) => other.id !== row.id && other.from <= row.to && row.from <= other.to,
      ),
      'from',
      'She lies somewhere else on some of these days already. She is at one berth at a time.',
    ),
  ],
  wantedDays: (row, context) => [
    ...inOrder('wantedDays', row, 'from', 'to'),
    ...withinReach('wantedDays', row, context, ['from', 'to']),
  ],
  weekSlot: laterTime,
  personDay: (row, context) => [
    ...(row.kind === 'extraDay' ? laterTime(row) : []),
    ...doubled(row, context),
  ],
  dayPlan: laterTime,
  tradeBooking: (row) => inOrder('tradeBooking', row, 'from', 'to'),
}
