import { keysAfter } from '#core/model/order'
import { starterChanges } from '#core/model/starter'
import type { Writer } from '../write'

/** The boat, the yard, the people, seasons and gates of the demo. */
export function writeFrame(write: Writer, refitId: string): void {
  write.add('refit', refitId, {
    name: 'Sable Wren, three seasons',
    boatName: 'Sable Wren',
    loaM: 12.192,
    lwlM: 10.1,
    beamM: 3.7,
    draughtM: 1.75,
    weightT: 11.2,
    boatType: 'ketch',
    keel: 'fin',
    pilothouse: true,
    hullMaterial: 'solidLaminate',
    builtYear: 1983,
    worthNowMinor: 4_600_000,
    airDraughtM: 16.9,
    litresToSole: 900,
    pumpLMin: 33,
    zone: 'Europe/Dublin',
    currency: 'EUR',
    units: 'metric',
    startedOn: write.date('2025-10-11'),
    ownHourMinor: 2500,
    madeUpWeather: true,
    latitudeDeg: 52.1,
    longitudeDeg: -7.4,
  })
  zonesAndSystems(write)
  places(write)
  products(write)
  people(write)
  seasons(write)
}

/** The usual places and systems of a new refit, with ids that read: 'zone-galley'. */
function zonesAndSystems(write: Writer): void {
  const items = starterChanges(
    'x',
    {
      boatName: 'x',
      loaM: 12,
      zone: 'UTC',
      currency: 'EUR',
      units: 'metric',
      people: [],
      travelMin: 0,
      liftOutOn: '2026-10-03',
      launchOn: '2027-05-22',
      alreadyAshore: true,
      today: '2027-04-17',
    },
    () => 'x',
  )
  for (const item of items)
    if (item.op === 'create' && (item.entity === 'zone' || item.entity === 'system'))
      write.add(item.entity, `${item.entity}-${slug(item.patch.name as string)}`, {
        ...(item.patch as object),
        // Her decks and coachroof are white.
        ...(item.entity === 'zone' && item.patch.strake === 'deck' ? { colour: 'white' } : {}),
      } as never)
}

const slug = (name: string): string => name.toLowerCase().replace(/[^a-z]+/g, '-')

function places(write: Writer): void {
  write.add('place', 'kelder', {
    name: 'Kelder Creek Yard',
    kind: 'yard',
    travelMin: 55,
    liftWeekdays: [2, 3, 4, 5, 6],
    liftFrom: '10:00',
    liftUntil: '16:00',
    tideStationId: 'fennmouth',
    slipDepthM: -0.4,
    underKeelM: 0.3,
    launchMin: 40,
    noLifts: [
      { from: write.date('2027-05-27'), to: write.date('2027-05-29'), why: 'Slip repaired' },
    ],
  })
  write.add('place', 'skarholm', {
    name: 'Skarholm, berth',
    kind: 'berth',
    travelMin: 70,
    nights: 'aboard',
    nightMinor: 0,
  })
  write.add('place', 'home-shed', {
    name: 'Home shed',
    kind: 'shed',
    monthMeanC: [9, 9, 10, 12, 14, 16, 18, 18, 15, 13, 11, 9],
    travelMin: 10,
    setUpMin: 10,
    packUpMin: 10,
  })
  write.add('place', 'fenn', {
    name: 'Fenn Chandlery',
    kind: 'shop',
    travelMin: 50,
    setUpMin: 0,
    packUpMin: 0,
    opensAt: '09:00',
    shutsAt: '14:00',
    shutWeekdays: [7],
  })
  write.add('drive', 'fenn-yard', { fromPlaceId: 'fenn', toPlaceId: 'kelder', minutes: 6 })
  write.add('drive', 'shed-yard', {
    fromPlaceId: 'home-shed',
    toPlaceId: 'kelder',
    minutes: 50,
  })
  write.add('drive', 'shed-berth', {
    fromPlaceId: 'home-shed',
    toPlaceId: 'skarholm',
    minutes: 65,
  })
  write.add('yardTariff', 'kelder-tariff', {
    placeId: 'kelder',
    perDayMinor: 1140,
    freeDays: 14,
    liftMinor: 38_500,
    blockMinor: 6000,
    washMinor: 3500,
    changeMinor: 9500,
    noticeDays: 7,
  })
  write.add('yardTariff', 'skarholm-tariff', { placeId: 'skarholm', berthPerDayMinor: 920 })
}

function products(write: Writer): void {
  write.add('product', 'sealant-below', {
    name: 'Sealant for under water',
    kind: 'sealant',
    minC: 5,
    maxC: 35,
    cureH: 96,
    skinH: 2,
    lightH: 24,
    loadH: 72,
    waterH: 168,
    firstDayMm: 3,
  })
}

function people(write: Writer): void {
  const [first, second, third] = keysAfter(null, 3) as [string, string, string]
  write.add('person', 'oona', {
    name: 'Oona',
    role: 'lead',
    skills: ['laminating', 'woodwork', 'mechanics'],
    order: first,
    breakFrom: '12:30',
  })
  write.add('person', 'piet', {
    name: 'Piet',
    role: 'partner',
    skills: ['electrics', 'mechanics'],
    order: second,
    breakFrom: '12:30',
  })
  write.add('person', 'marisol', {
    name: 'Marisol',
    role: 'helper',
    skills: ['woodwork'],
    order: third,
  })
  const day = { from: '07:35', to: '17:55' }
  write.add('weekSlot', 'oona-fri', { personId: 'oona', weekday: 5, from: '13:00', to: '19:00' })
  for (const personId of ['oona', 'piet'])
    for (const weekday of [6, 7])
      write.add('weekSlot', `${personId}-${weekday}`, { personId, weekday, ...day })
  write.add('weekSlot', 'marisol-sat', {
    personId: 'marisol',
    weekday: 6,
    from: '08:05',
    to: '16:55',
    everyWeeks: 2,
    anchor: write.date('2027-04-24'),
  })
  // A family weekend: nobody is at the boat from Friday 23 to Sunday 25 April but Marisol.
  for (const [personId, on] of [
    ['oona', '2027-04-23'],
    ['oona', '2027-04-25'],
    ['oona', '2027-04-24'],
    ['piet', '2027-04-24'],
    ['piet', '2027-04-25'],
  ] as const)
    write.add('personDay', `${personId}-off-${on}`, {
      personId,
      on: write.date(on),
      kind: 'cannotCome',
      reason: 'Family weekend',
    })
  write.add('personDay', 'oona-extra', {
    personId: 'oona',
    on: write.date('2027-05-13'),
    kind: 'extraDay',
    ...day,
    reason: 'Day off work',
  })
}

function seasons(write: Writer): void {
  write.add('season', 'one', {
    name: 'Season one',
    from: write.date('2025-10-11'),
    to: write.date('2026-05-09'),
  })
  write.add('season', 'two', {
    name: 'Season two',
    from: write.date('2026-10-03'),
    to: write.date('2027-05-22'),
  })
  write.add('season', 'three', {
    name: 'Season three',
    from: write.date('2027-10-09'),
    to: write.date('2028-05-27'),
  })
  write.add('haulOut', 'haul-one', {
    name: 'Haul-out one',
    seasonId: 'one',
    placeId: 'kelder',
    liftOutAimed: write.date('2025-10-11'),
    liftOutActual: write.date('2025-10-11'),
    launchAimed: write.date('2026-04-18'),
    launchActual: write.date('2026-05-09'),
  })
  write.add('haulOut', 'haul-two', {
    name: 'Haul-out two',
    seasonId: 'two',
    placeId: 'kelder',
    liftOutAimed: write.date('2026-10-03'),
    liftOutActual: write.date('2026-10-03'),
    launchAimed: write.date('2027-05-22'),
    launchBooked: write.date('2027-05-22'),
  })
  write.add('haulOut', 'haul-three', {
    name: 'Haul-out three',
    seasonId: 'three',
    placeId: 'kelder',
    liftOutAimed: write.date('2027-10-09'),
    launchAimed: write.date('2028-05-27'),
  })
  write.add('gate', 'launch-two', { name: 'Launch', kind: 'launch', haulOutId: 'haul-two' })
  write.add('gate', 'move-aboard', {
    name: 'Move aboard',
    kind: 'dated',
    on: write.date('2028-03-01'),
  })
  write.add('gate', 'rigger', { name: 'Rigger', kind: 'dated', on: write.date('2028-05-03') })
  write.add('gate', 'launch-three', {
    name: 'Launch three',
    kind: 'launch',
    haulOutId: 'haul-three',
  })
  write.add('gate', 'sail-away', { name: 'Sail away', kind: 'dated', on: write.date('2028-06-15') })
}
