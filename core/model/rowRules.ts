/** Rules that a row must keep beyond each field by itself; read by the server and by forms. */
import { cycleSentence, findCycle } from '../plan/network'
import { isCurrency } from '../money/money'
import { daysBetween, minutesOf } from '../time/civil'
import { sayFullDate } from '../time/say'
import { isZone } from '../time/zone'
import type { FieldProblem } from './changes'
import { fieldLabel } from './changes'
import type { EntityName, Row } from './entities'
import type { RefitRows } from './refit'

/**
 * `today` in the refit's zone. Null: a refit comes in whole, perhaps from an older version or a machine whose
 * clock ran ahead; rules that came later and what has happened are not judged.
 */
type Check<Name extends EntityName> = (
  row: Row<Name>,
  rows: RefitRows,
  today: string | null,
) => FieldProblem[]

const problem = (field: string, message: string): FieldProblem => ({ field, message })
const when = (bad: boolean, field: string, message: string): FieldProblem[] =>
  bad ? [problem(field, message)] : []

/** Dates that must not run backwards; null ones are left alone. */
function inOrder<Name extends EntityName>(
  entity: Name,
  row: Row<Name>,
  first: string & keyof Row<Name>,
  then: string & keyof Row<Name>,
): FieldProblem[] {
  const [a, b] = [row[first] as string | null, row[then] as string | null]
  return when(
    a !== null && b !== null && b < a,
    then,
    `${fieldLabel(entity, then)} (${b && sayFullDate(b)}) is before ${fieldLabel(entity, first).toLowerCase()} (${a && sayFullDate(a)}). Change one of them.`,
  )
}

const laterTime = (row: { readonly from: string; readonly to: string }): FieldProblem[] =>
  when(
    minutesOf(row.to) <= minutesOf(row.from),
    'to',
    'The hours end before they begin. Put the later time last.',
  )

/** Years a plan may reach; see also the horizon of the schedule. */
const mostYears = 15

/** Dates that lie further off than a plan reaches. */
function withinReach<Name extends EntityName>(
  entity: Name,
  row: Row<Name>,
  rows: RefitRows,
  fields: readonly (string & keyof Row<Name>)[],
): FieldProblem[] {
  const began = rows.refit[0]?.startedOn
  if (began === undefined) return []
  return fields.flatMap((field) => {
    const on = row[field] as string | null
    const years = on === null ? 0 : daysBetween(began, on) / 365.25
    return when(
      years > mostYears,
      field,
      `${fieldLabel(entity, field)} (${on === null ? '' : sayFullDate(on)}) is ${Math.round(years)} years after the refit began; a plan reaches ${mostYears}. Give an earlier date.`,
    )
  })
}

/** What has happened cannot lie ahead. */
const happened = (field: string, on: string | null, what: string, today: string | null) =>
  when(
    on !== null && today !== null && on > today,
    field,
    `${on === null ? '' : sayFullDate(on)} is still to come: she was not ${what} then. Put it in as aimed or booked.`,
  )

/** The same absence twice, or extra hours that lie over others of that day. */
function doubled(row: Row<'personDay'>, rows: RefitRows): FieldProblem[] {
  const name = rows.person.find((one) => one.id === row.personId)?.name ?? 'That person'
  const twin = rows.personDay.find(
    (other) =>
      other.id !== row.id &&
      other.personId === row.personId &&
      other.on === row.on &&
      other.kind === row.kind &&
      (row.kind === 'cannotCome' || (other.from < row.to && row.from < other.to)),
  )
  return when(
    twin !== undefined,
    'on',
    row.kind === 'cannotCome'
      ? `${sayFullDate(row.on)} is down already: ${name} can't come.`
      : `${name} has an extra day from ${twin?.from} to ${twin?.to} on ${sayFullDate(row.on)} already. Change that one.`,
  )
}

const checks: { readonly [Name in EntityName]?: Check<Name> } = {
  refit: (row) => [
    ...when(!isZone(row.zone), 'zone', `"${row.zone}" is not a time zone. Try Europe/Dublin.`),
    ...when(!isCurrency(row.currency), 'currency', `"${row.currency}" is not a currency. Try EUR.`),
    ...when(
      row.lwlM !== null && row.lwlM > row.loaM,
      'lwlM',
      'The waterline cannot be longer than the boat.',
    ),
    ...when(
      row.monthMeanC.length !== 12 ||
        row.monthMeanC.some((tempC) => !(tempC >= -40 && tempC <= 50)),
      'monthMeanC',
      'Mean air needs twelve temperatures, January first, each −40 to 50 °C.',
    ),
    ...when(
      row.workableShare.length !== 12 ||
        row.workableShare.some((share) => !(share >= 0.05 && share <= 1)),
      'workableShare',
      'Workable days need twelve shares, January first, each 0.05 to 1.',
    ),
  ],
  season: (row, rows) => [
    ...inOrder('season', row, 'from', 'to'),
    ...withinReach('season', row, rows, ['to']),
  ],
  haulOut: (row, rows, today) => [
    ...happened('liftOutActual', row.liftOutActual, 'lifted out', today),
    ...happened('launchActual', row.launchActual, 'launched', today),
    ...withinReach('haulOut', row, rows, [
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
  gate: (row, rows) => [
    ...withinReach('gate', row, rows, ['on']),
    ...when(
      row.kind === 'launch' && row.haulOutId === null,
      'haulOutId',
      'A launch gate needs its haul-out.',
    ),
    ...when(row.kind === 'dated' && row.on === null, 'on', 'A dated gate needs a date.'),
    ...when(
      row.kind !== 'launch' &&
        row.on !== null &&
        row.haulOutId !== null &&
        beforeHaulOut(row, rows),
      'on',
      'This gate is before its haul-out begins. Move the gate or the haul-out.',
    ),
    ...when(
      row.kind === 'launch' &&
        rows.gate.some(
          (other) =>
            other.id !== row.id && other.kind === 'launch' && other.haulOutId === row.haulOutId,
        ),
      'haulOutId',
      'That haul-out has its launch gate already.',
    ),
  ],
  weekSlot: laterTime,
  personDay: (row, rows, today) => [
    ...(row.kind === 'extraDay' ? laterTime(row) : []),
    ...(today === null ? [] : doubled(row, rows)),
  ],
  dayPlan: laterTime,
  step: (row) => [
    ...when(
      row.hoursLow !== null && row.hoursLow > row.hoursLikely,
      'hoursLow',
      'Low hours are over the likely ones.',
    ),
    ...when(
      row.hoursHigh !== null && row.hoursHigh < row.hoursLikely,
      'hoursHigh',
      'High hours are under the likely ones.',
    ),
    ...when(
      row.crewMax < row.crewMin,
      'crewMax',
      `At most ${row.crewMax} people is fewer than at least ${row.crewMin}.`,
    ),
    ...when(
      row.maxWaitHours !== null && row.waitKind !== 'none' && row.waitHours > row.maxWaitHours,
      'maxWaitHours',
      `The bond window closes after ${row.maxWaitHours} h, before the wait of ${row.waitHours} h is over.`,
    ),
  ],
  job: (row, rows) =>
    when(
      isOwnAncestor(row, rows),
      'parentJobId',
      'A job cannot be found during itself, or during one that it bred.',
    ),
  link: (row, rows) => {
    if (row.fromJobId === row.toJobId)
      return [problem('toJobId', 'A job cannot wait for itself. Pick another job.')]
    const twice = rows.link.some(
      (other) =>
        other.id !== row.id && other.fromJobId === row.fromJobId && other.toJobId === row.toJobId,
    )
    if (twice) return [problem('toJobId', 'That link is there already.')]
    const cycle = findCycle([...rows.link.filter((other) => other.id !== row.id), row])
    if (cycle) return [problem('toJobId', cycleSentence(cycle, rows.job))]
    return when(
      row.maxWaitHours !== null && row.minWaitHours > row.maxWaitHours,
      'maxWaitHours',
      'The least wait is longer than the most.',
    )
  },
  tradeBooking: (row) => inOrder('tradeBooking', row, 'from', 'to'),
  clock: (row, _rows, today) => [
    ...when(
      today !== null && row.kind === 'pot' && row.endedAt === null && !row.closesH,
      'closesH',
      'A pot needs its pot life: it is on the data sheet.',
    ),
    ...when(
      today !== null &&
        row.kind !== 'pot' &&
        row.endedAt === null &&
        row.opensH === null &&
        row.closesH === null,
      'opensH',
      'A clock needs a time to run to: when it is ready, or when it shuts.',
    ),
    ...when(
      row.opensH !== null && row.closesH !== null && row.closesH < row.opensH,
      'closesH',
      'It would close before it opens. Check the two times on the data sheet.',
    ),
    ...when(
      row.endedAt !== null && row.endedAt < row.startedAt,
      'endedAt',
      'It ended before it started.',
    ),
  ],
  webLink: (row) =>
    when(
      !/^https?:\/\/[^\s"<>]+$/i.test(row.url),
      'url',
      'An address begins with http:// or https:// and has no spaces.',
    ),
  bag: (row, rows) =>
    when(
      rows.bag.some(
        (other) =>
          other.id !== row.id && other.code.trim().toLowerCase() === row.code.trim().toLowerCase(),
      ),
      'code',
      `There is a bag ${row.code} already. Give this one another code.`,
    ),
  product: (row) =>
    when(
      row.overcoatOpensH !== null &&
        row.overcoatClosesH !== null &&
        row.overcoatClosesH < row.overcoatOpensH,
      'overcoatClosesH',
      'The bond window closes before it opens. Check the data sheet.',
    ),
  finding: (row) =>
    when(
      (row.state === 'watch' || row.state === 'accepted') &&
        (row.reason.trim() === '' || row.lookAgainOn === null),
      'reason',
      'To watch or accept it, say why and when to look again.',
    ),
}

function isOwnAncestor(job: Row<'job'>, rows: RefitRows): boolean {
  const parents = new Map(rows.job.map((one) => [one.id, one.parentJobId]))
  parents.set(job.id, job.parentJobId)
  const seen = new Set<string>()
  for (let id = job.parentJobId; id !== null && !seen.has(id); id = parents.get(id) ?? null) {
    if (id === job.id) return true
    seen.add(id)
  }
  return false
}

function beforeHaulOut(gate: Row<'gate'>, rows: RefitRows): boolean {
  const haulOut = rows.haulOut.find((one) => one.id === gate.haulOutId)
  return haulOut !== undefined && (gate.on ?? '') < haulOut.liftOutAimed
}

/** Kinds of rows whose names tell them apart, with the field that holds the name. */
const named = ['zone', 'system', 'place', 'person', 'season', 'haulOut', 'gate', 'product'] as const

function sameName(
  entity: EntityName,
  row: { readonly id: string },
  rows: RefitRows,
): FieldProblem[] {
  const kind = named.find((one) => one === entity)
  if (!kind) return []
  const { name } = row as unknown as Row<typeof kind>
  const twin = rows[kind].some(
    (other) => other.id !== row.id && other.name.trim().toLowerCase() === name.trim().toLowerCase(),
  )
  return when(
    twin,
    'name',
    `There is a ${kind === 'haulOut' ? 'haul-out' : kind} called "${name}" already. Give this one another name.`,
  )
}

/** Everything wrong with a row among the rows it will live with; `today` in the refit's zone, null for a whole refit. */
export function checkRow<Name extends EntityName>(
  entity: Name,
  row: Row<Name>,
  rows: RefitRows,
  today: string | null = null,
): FieldProblem[] {
  const check = checks[entity] as Check<Name> | undefined
  return [...(check?.(row, rows, today) ?? []), ...sameName(entity, row, rows)]
}
