/** Every kind of row a refit is made of, one file a subject. */
import { refit, season, haulOut, gate } from './undertaking'
import { system, wayIn, zone } from './boat'
import { drive, lying, place, wantedDays, yardTariff } from './places'
import { person, weekSlot, personDay } from './people'
import { job, step, link } from './work'
import { product, bringLine, part, tradeBooking } from './goods'
import { recipe } from './recipes'
import { makerItem, makerSheet, partWay, tradeItem } from './sheets'
import { budget, invoice, spend, spendShare } from './money'
import { delivery, lineWant, purchase, purchaseLine, stock, supplier, tool } from './stores'
import { bag, bagWire } from './bags'
import { keptSum } from './bench'
import { decision, option } from './choices'
import {
  cause,
  coreMap,
  countSheet,
  dryingReading,
  evidence,
  finding,
  hoseTest,
  limit,
  look,
  member,
  outlook,
  panel,
  support,
  walk,
  waterIn,
} from './walk'
import { document, webLink, picture } from './papers'
import { clock, clockReading } from './clocks'
import { reading } from './readings'
import { hoursEntry, asBuiltSheet, asBuiltLine, asBuiltTest } from './records'
import { dayPlan, leaving, orderKept, odds, plan, weekPromise, weekSnapshot } from './plans'
import { cover, forecast } from './weather'
import {
  anode,
  anodeWeighing,
  hullOpening,
  liftSheet,
  readySign,
  tideStation,
  watchLook,
  weightLine,
} from './launch'
import { check, earlierWork, meter, meterReading, trial, trialReading } from './book'
import type { FieldsOf } from '../kind'
import type { RowOf } from '../field'

/** In the order in which they are listed in files. */
export const kinds = {
  refit,
  system,
  wayIn,
  zone,
  tideStation,
  place,
  drive,
  lying,
  wantedDays,
  yardTariff,
  person,
  weekSlot,
  personDay,
  season,
  haulOut,
  gate,
  cause,
  finding,
  evidence,
  panel,
  coreMap,
  dryingReading,
  countSheet,
  member,
  support,
  limit,
  outlook,
  hoseTest,
  waterIn,
  walk,
  look,
  job,
  product,
  step,
  link,
  supplier,
  tool,
  bringLine,
  part,
  purchase,
  purchaseLine,
  lineWant,
  delivery,
  stock,
  partWay,
  makerSheet,
  makerItem,
  recipe,
  bag,
  bagWire,
  document,
  webLink,
  tradeBooking,
  clock,
  clockReading,
  hoursEntry,
  keptSum,
  asBuiltSheet,
  asBuiltLine,
  asBuiltTest,
  meter,
  meterReading,
  check,
  trial,
  trialReading,
  earlierWork,
  picture,
  tradeItem,
  budget,
  spend,
  spendShare,
  invoice,
  hullOpening,
  readySign,
  watchLook,
  liftSheet,
  weightLine,
  anode,
  anodeWeighing,
  cover,
  reading,
  forecast,
  dayPlan,
  leaving,
  orderKept,
  decision,
  option,
  plan,
  odds,
  weekPromise,
  weekSnapshot,
} as const

export type Entities = { readonly [Name in keyof typeof kinds]: FieldsOf<(typeof kinds)[Name]> }

/** Fields of each kind of row. */
export const entities = Object.fromEntries(
  Object.entries(kinds).map(([name, one]) => [name, one.fields]),
) as unknown as Entities
export type EntityName = keyof Entities
export const entityNames = Object.keys(entities) as EntityName[]
export type Row<Name extends EntityName> = RowOf<Entities[Name]>

export type RefitRow = Row<'refit'>
export type Job = Row<'job'>
export type Step = Row<'step'>
export type Link = Row<'link'>
export type Person = Row<'person'>
export type Place = Row<'place'>
export type HaulOut = Row<'haulOut'>
export type Gate = Row<'gate'>
export type Zone = Row<'zone'>
export type Finding = Row<'finding'>
export type WayIn = Row<'wayIn'>
export type Panel = Row<'panel'>
export type CoreMap = Row<'coreMap'>
export type CountSheet = Row<'countSheet'>
export type Member = Row<'member'>
export type Support = Row<'support'>
export type Clock = Row<'clock'>
export type HoursEntry = Row<'hoursEntry'>
export type DayPlan = Row<'dayPlan'>
export type Reading = Row<'reading'>
export type Product = Row<'product'>
export type Part = Row<'part'>
export type KeptSum = Row<'keptSum'>
export type Bag = Row<'bag'>
export type HullOpening = Row<'hullOpening'>
export type ReadySign = Row<'readySign'>
export type LiftSheet = Row<'liftSheet'>
