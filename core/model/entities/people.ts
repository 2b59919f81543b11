/** Who works, and when they come. */
import {
  aside,
  choice,
  choices,
  clockTime,
  date,
  flag,
  integer,
  maybe,
  note,
  ref,
  text,
} from '../field'
import { kind } from '../kind'
import * as words from '../words'

export const person = kind(
  'person',
  {
    name: text('Name', 80),
    role: choice('Role', ['lead', 'partner', 'helper', 'trade'], 'helper'),
    skills: choices('Skills', words.skills),
    gone: flag('No longer with us', false),
    /** A pause of so many minutes in the day, from this time on; null: none is planned. */
    breakFrom: maybe(clockTime('Pause from')),
    breakMin: integer('Pause, minutes', { min: 0, max: 240, unit: 'min' }, 30),
    /** Where a place has nights away, this person takes them. */
    staysNights: flag('Stays the night on days in a row', true),
    order: text('Order', 80),
  },
  { planInput: true },
)

/** One weekly stretch of hours; a person has as many as they work days. */
export const weekSlot = kind(
  'weekly hours',
  {
    personId: ref('Person', 'person', { onDelete: 'goes' }),
    /** 1 Monday to 7 Sunday. */
    weekday: integer('Weekday', { min: 1, max: 7 }),
    from: clockTime('From', '08:30'),
    to: clockTime('To', '17:00'),
    /** 1 every week, 2 every other week. */
    everyWeeks: integer('Every how many weeks', { min: 1, max: 4 }, 1),
    /** A week in which it holds, any date of it. Null: the week of the epoch. */
    anchor: maybe(date('A week in which it holds')),
  },
  { planInput: true },
)

/** A dated exception: cannot come, or comes as an extra day. */
export const personDay = kind(
  'dated exception',
  {
    personId: ref('Person', 'person', { onDelete: 'goes' }),
    on: date('Date'),
    kind: choice('Kind', ['cannotCome', 'extraDay']),
    /** For an absence: all day, whatever the hours say. */
    wholeDay: flag('All day', true),
    from: clockTime('From', '08:30'),
    to: clockTime('To', '17:00'),
    reason: aside(note('Reason', 200)),
  },
  { planInput: true },
)
