/** The weekend of docs/hand-plan.md: a night aboard, a shower, the shed in between, a tent, a hatch to be shut. */
import { add, emptyRefit, job, person, step } from './build'
import type { Building } from './build'

const hour = 3_600_000

/** Friday 16 April 2027, noon. */
export const awayWeekendNow = Date.UTC(2027, 3, 16, 12)

/** Ann at weekends, a berth an hour and a half away, the shed near by. */
export function awayWeekend(): Building {
  const rows = emptyRefit()
  Object.assign(rows.refit[0] as object, { twoPlaces: true })
  person(rows, 'Ann', [6, 7], '08:00', '18:00', { breakFrom: '12:30', breakMin: 30 })
  add(rows, 'place', 'berth', {
    name: 'Berth',
    kind: 'berth',
    travelMin: 90,
    setUpMin: 30,
    packUpMin: 30,
    nights: 'aboard',
  })
  add(rows, 'place', 'shed', {
    name: 'Shed',
    kind: 'shed',
    travelMin: 30,
    setUpMin: 0,
    packUpMin: 0,
  })
  add(rows, 'drive', 'way', { fromPlaceId: 'shed', toPlaceId: 'berth', minutes: 20 })
  for (const [id, strake] of [
    ['deck', 'deck'],
    ['side', 'deck'],
    ['cabin', 'below'],
  ] as const)
    add(rows, 'zone', id, { name: id, strake, order: id })
  // 5 °C throughout, one shower on Saturday from noon to one.
  add(rows, 'forecast', 'f', {
    station: 'S',
    takenAt: awayWeekendNow,
    hours: Array.from({ length: 84 }, (_, hours) => ({
      at: awayWeekendNow + hours * hour,
      tempC: 5,
      dewC: -5,
      rain: hours === 24,
    })),
  })
  add(rows, 'cover', 'tent', {
    title: 'Tent with a heater',
    zoneIds: ['deck'],
    upOn: '2027-04-16',
    downOn: '2027-05-31',
    addsC: 10,
  })
  add(rows, 'wantedDays', 'cruise', { from: '2027-04-19', to: '2027-04-30', why: 'sails' })
  add(rows, 'gate', 'powered', { name: 'Powered', kind: 'asap' })
  job(rows, 'Deck', { purpose: 'float', severity: 4, zoneId: 'deck' })
  step(rows, 'Deck', 'ply', {
    operation: 'laminate',
    hoursLikely: 2,
    waitKind: 'chem',
    waitHours: 16,
  })
  step(rows, 'Deck', 'sand', { operation: 'grind', hoursLikely: 1.5 })
  job(rows, 'Cleats', { purpose: 'float', severity: 3, zoneId: 'side' })
  step(rows, 'Cleats', 'bed', { operation: 'bed', hoursLikely: 2.5, needsDry: true })
  job(rows, 'Wiring', { purpose: 'go', severity: 3, zoneId: 'cabin', gateId: 'powered' })
  step(rows, 'Wiring', 'wire', { operation: 'wire', hoursLikely: 3 })
  job(rows, 'Panel', { purpose: 'shine', severity: 1 })
  step(rows, 'Panel', 'panel', { operation: 'cut', hoursLikely: 1.5, placeNeed: 'shed' })
  job(rows, 'Hatch', { purpose: 'shine', severity: 1, zoneId: 'cabin' })
  step(rows, 'Hatch', 'off', { operation: 'strip', hoursLikely: 1 })
  step(rows, 'Hatch', 'on', { operation: 'bed', hoursLikely: 8 })
  add(rows, 'link', 'b', { fromJobId: 'Cleats', toJobId: 'Wiring' })
  add(rows, 'link', 'c', { fromJobId: 'Deck', toJobId: 'Panel' })
  return rows
}
