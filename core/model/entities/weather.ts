/** The weather that is planned by, and what is put up against it. */
import type { WeatherHour } from '../../cure/dewPoint'
import {
  aside,
  choice,
  date,
  instant,
  integer,
  maybe,
  note,
  real,
  record,
  ref,
  refs,
  text,
} from '../field'
import { kind } from '../kind'
import * as said from '../said'
import * as words from '../words'

/** The forecast as it was last asked for. One live row a refit. */
export const forecast = kind(
  'forecast',
  {
    station: aside(note('Station', 120)),
    takenAt: instant('Taken at'),
    hours: record<WeatherHour[]>('Hours', []),
  },
  { planInput: true, computed: true },
)

/** A tent, a tarpaulin, a shed or heat over places of the boat, from a day to a day. */
export const cover = kind(
  'cover',
  {
    title: text('Cover'),
    kind: choice('Kind of cover', words.coverKinds, 'tent', said.coverKind),
    zoneIds: refs('Over', 'zone'),
    upOn: date('Up on'),
    /** Its last day; null: until its strike step is done. */
    downOn: maybe(date('Down on')),
    /** The step that takes it down. */
    strikeStepId: maybe(ref('Taken down by', 'step')),
    /** Degrees it makes warmer under it. */
    addsC: real('Warmer by', { min: 0, max: 40 }, 0),
    perDayMinor: maybe(integer('Costs a day', { min: 0, max: 1e9, unit: 'minor' })),
  },
  { planInput: true },
)
