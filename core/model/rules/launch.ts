/** Rules of going in: tides, signatures, openings, the lift. */
import { isKnownConstituent } from '../../tide/tide'
import { slingSplit } from '../../launch/lift'
import { sayFullDate } from '../../time/say'
import { groupBy } from '../refit'
import { mendWhen, when } from './rule'
import type { Rules } from './rule'

const needsReason = new Set(['skipped', 'notAboard', 'anyway'])

export const launchRules: Rules = {
  tideStation: (row) => {
    const unknown = row.constituents.find((one) => !isKnownConstituent(one.name))
    const names = row.constituents.map((one) => one.name)
    const twice = names.find((name, index) => names.indexOf(name) !== index)
    const late = row.turns.findIndex(
      (one, index) => one.at <= (row.turns[index - 1]?.at ?? -Infinity),
    )
    return [
      ...when(
        unknown !== undefined,
        'constituents',
        `The constituent “${unknown?.name}” is not known: its speed and place in the sky are missing. Leave it out, or use its usual name (M2, S2, N2, K1, O1 …).`,
      ),
      ...when(
        twice !== undefined,
        'constituents',
        `The constituent ${twice} stands there twice. Keep one of them.`,
      ),
      ...when(
        late >= 0,
        'turns',
        `Line ${late + 1} of the table is not later than the line before it. Put the high and low waters in order of time.`,
      ),
    ]
  },
  readySign: (row, { rows, once }) => {
    const signs = once('signs', () =>
      groupBy(rows.readySign, (one) => `${one.haulOutId} ${one.item}`),
    )
    const other = signs.get(`${row.haulOutId} ${row.item}`)?.find((one) => one.id !== row.id)
    const name = rows.person.find((one) => one.id === other?.personId)?.name ?? 'Somebody'
    return [
      ...when(
        needsReason.has(row.as) && row.because === '',
        'because',
        row.as === 'notAboard'
          ? 'Say why this boat has none: it stays in the log.'
          : 'Say why: it stays in the log with the name.',
      ),
      ...mendWhen(
        other !== undefined,
        'item',
        `${name} has signed this already. Take that signature back first, or leave it.`,
      ),
    ]
  },
  watchLook: (row) =>
    when(row.outcome === 'read' && row.value === null, 'value', 'Say what was read: a number.'),
  liftSheet: (row, { rows }) => {
    const { slingForeM: fore, slingAftM: aft, centreM: centre } = row
    const loaM = rows.refit[0]?.loaM ?? Infinity
    const split =
      fore !== null && aft !== null && centre !== null
        ? slingSplit(row.weightT ?? 1, fore, aft, centre, row.legDeg)
        : null
    const rising = row.chart.find(
      ([radius, load], index) =>
        index > 0 &&
        (radius <= (row.chart[index - 1]?.[0] ?? 0) || load > (row.chart[index - 1]?.[1] ?? 0)),
    )
    return [
      ...when(split !== null && !split.ok, 'centreM', split && !split.ok ? split.message : ''),
      ...when(
        aft !== null && aft > loaM,
        'slingAftM',
        'The aft sling would hang behind her stern.',
      ),
      ...when(
        rising !== undefined,
        'chart',
        `The row at ${rising?.[0]} m does not follow: further out a crane lifts less. Order the rows by radius.`,
      ),
      ...mendWhen(
        rows.liftSheet.some((one) => one.id !== row.id && one.haulOutId === row.haulOutId),
        'haulOutId',
        'That haul-out has its lift already. Change that one.',
      ),
    ]
  },
  weightLine: (row, { rows }) => [
    ...when(row.kg === 0, 'kg', 'Say how many kilograms came on, or went off (with a minus).'),
    ...when(
      row.alongM !== null && row.alongM > (rows.refit[0]?.loaM ?? Infinity),
      'alongM',
      'That is behind her stern: measure from the stem.',
    ),
  ],
  anodeWeighing: (row, { rows }) => {
    const anode = rows.anode.find((one) => one.id === row.anodeId)
    return mendWhen(
      anode !== undefined && row.on < anode.fittedOn,
      'on',
      `It was fitted on ${sayFullDate(anode?.fittedOn ?? row.on)}: weigh it after that, or put that date right.`,
    )
  },
  check: (row) => [
    ...when(
      row.dueOn === null && row.dueAtValue === null && !row.atHaulOut && row.doneOn === null,
      'dueOn',
      'Say when: a date, a reading of a meter, or the next haul-out.',
    ),
    ...when(
      row.dueAtValue !== null && row.meterId === null,
      'meterId',
      'Say which meter it goes by.',
    ),
  ],
  trialReading: (row, { rows }) => {
    const trial = rows.trial.find((one) => one.id === row.trialId)
    return [
      ...mendWhen(
        trial !== undefined && row.count > trial.outOf,
        'count',
        `There are ${trial?.outOf} in all: ${row.count} of them cannot be.`,
      ),
      ...when(
        trial !== undefined && row.way === 'c' && trial.wayC === '',
        'way',
        'That trial has two ways.',
      ),
    ]
  },
}
