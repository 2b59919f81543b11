/** Rules of rows: for each a row that just keeps it, and one that just breaks it. */
import { describe, expect, it } from 'vitest'
import { newRow } from '../newRow'
import { add, emptyRefit, job, person } from '../../testing/build'
import type { Building } from '../../testing/build'
import type { Entities, EntityName, Row } from '../entities'
import type { PatchOf } from '../field'
import { checkRow, kindsDependingOn, ruleContext } from '.'

const wrongIn = (rows: Building, entity: EntityName, id: string): string[] => {
  const list = rows[entity] as unknown as readonly { readonly id: string }[]
  const row = list.find((one) => one.id === id) as unknown as Row<typeof entity>
  return checkRow(entity, row, ruleContext(rows)).map((one) => one.field)
}

describe('a clock', () => {
  it.each<[string, object, string[]]>([
    ['opens as it closes', { opensH: 5, closesH: 5 }, []],
    ['closes before it opens', { opensH: 5, closesH: 4.9 }, ['closesH']],
    ['only opens', { opensH: 5 }, []],
    ['only closes', { closesH: 5 }, []],
    ['has no time at all', {}, ['opensH']],
    ['has no time, but is over', { endedAt: 2000 }, []],
    ['ended as it started', { opensH: 1, endedAt: 1000 }, []],
    ['ended before it started', { opensH: 1, endedAt: 999 }, ['endedAt']],
    ['is a pot with its life', { kind: 'pot', closesH: 0.3 }, []],
    ['is a pot that only opens', { kind: 'pot', opensH: 3 }, ['closesH']],
  ])('that %s', (_, more, fields) => {
    const rows = emptyRefit()
    add(rows, 'clock', 'c', { title: 'C', kind: 'cure', startedAt: 1000, assumedC: 15, ...more })
    expect(wrongIn(rows, 'clock', 'c')).toEqual(fields)
  })
})

describe('what is watched or accepted', () => {
  const [reason, lookAgainOn] = ['Dry for years', '2027-09-01']
  it.each<[object, string[]]>([
    [{ state: 'new' }, []],
    [{ state: 'watch', reason, lookAgainOn }, []],
    [{ state: 'watch', reason }, ['reason']],
    [{ state: 'accepted', lookAgainOn }, ['reason']],
    [{ state: 'accepted', reason: ' ', lookAgainOn }, ['reason']],
  ])('needs a reason and a day: %o', (more, fields) => {
    const rows = emptyRefit()
    add(rows, 'finding', 'f', { title: 'Damp', foundAt: 1, ...more })
    expect(wrongIn(rows, 'finding', 'f')).toEqual(fields)
  })
})

describe('a place', () => {
  it.each<[string, object, string[]]>([
    ['shut on six days', { shutWeekdays: [1, 2, 3, 4, 5, 6] }, []],
    ['shut on all seven', { shutWeekdays: [1, 2, 3, 4, 5, 6, 7] }, ['shutWeekdays']],
    ['open for a minute', { opensAt: '09:00', shutsAt: '09:01' }, []],
    ['shut as it opens', { opensAt: '09:00', shutsAt: '09:00' }, ['shutsAt']],
    ['that only opens', { opensAt: '09:00' }, []],
    ['whose lifts end as they begin', { liftFrom: '10:00', liftUntil: '10:00' }, ['liftUntil']],
    ['that lifts for a minute', { liftFrom: '10:00', liftUntil: '10:01' }, []],
    ['without lifts on one day', { noLifts: [{ from: '2027-05-01', to: '2027-05-01' }] }, []],
    [
      'without lifts until before they stop',
      { noLifts: [{ from: '2027-05-02', to: '2027-05-01' }] },
      ['noLifts'],
    ],
  ])('%s', (_, more, fields) => {
    const rows = emptyRefit()
    add(rows, 'place', 'p', { name: 'Yard', kind: 'yard', ...more })
    expect(wrongIn(rows, 'place', 'p')).toEqual(fields)
  })
})

describe('names and codes', () => {
  it('tell bags apart, whatever their capitals', () => {
    const rows = emptyRefit()
    const bag = (id: string, code: string) => add(rows, 'bag', id, { code, what: 'x', order: id })
    bag('a', 'B1')
    bag('b', 'B2')
    expect(wrongIn(rows, 'bag', 'a')).toEqual([])
    bag('c', ' b1 ')
    expect([wrongIn(rows, 'bag', 'a'), wrongIn(rows, 'bag', 'b')]).toEqual([['code'], []])
  })
  it('tell people apart, but not jobs', () => {
    const rows = emptyRefit()
    for (const id of ['a', 'b']) {
      add(rows, 'person', id, { name: 'Ida', order: id })
      job(rows, id, { title: 'Sand' })
    }
    expect([wrongIn(rows, 'person', 'a'), wrongIn(rows, 'job', 'a')]).toEqual([['name'], []])
  })
})

describe('links', () => {
  it('of a circle are all wrong, and one that leads into it is not', () => {
    const rows = emptyRefit()
    for (const id of ['a', 'b', 'c', 'd']) job(rows, id)
    const join = (fromJobId: string, toJobId: string) =>
      add(rows, 'link', `${fromJobId}${toJobId}`, { fromJobId, toJobId })
    join('d', 'a')
    join('a', 'b')
    join('b', 'c')
    const ids = () => rows.link.map((one) => wrongIn(rows, 'link', one.id).length)
    expect(ids()).toEqual([0, 0, 0])
    join('c', 'a')
    expect(ids()).toEqual([0, 1, 1, 1])
  })
  it('may wait exactly as long as they may wait at most', () => {
    const rows = emptyRefit()
    for (const id of ['a', 'b']) job(rows, id)
    const times = { fromJobId: 'a', toJobId: 'b', maxWaitHours: 24 }
    add(rows, 'link', 'l', { ...times, minWaitHours: 24 })
    expect(wrongIn(rows, 'link', 'l')).toEqual([])
    rows.link = []
    add(rows, 'link', 'l', { ...times, minWaitHours: 24.1 })
    expect(wrongIn(rows, 'link', 'l')).toEqual(['maxWaitHours'])
  })
})

it('looks again at gates when a lift-out moves, and not when its name changes', () => {
  expect(kindsDependingOn('haulOut', ['liftOutAimed', 'name'])).toEqual(['gate'])
  expect(kindsDependingOn('haulOut', ['name'])).toEqual([])
  expect(kindsDependingOn('gate', ['liftOutAimed'])).toEqual([])
})

describe('what was measured', () => {
  it.each<[string, EntityName, object, string[]]>([
    [
      'a reading on its scale',
      'evidence',
      { kind: 'moisture', value: 35, scaleLow: 0, scaleHigh: 35 },
      [],
    ],
    [
      'a reading over it',
      'evidence',
      { kind: 'moisture', value: 62, scaleLow: 0, scaleHigh: 35 },
      ['value'],
    ],
    [
      'a scale that ends where it begins',
      'evidence',
      { kind: 'moisture', scaleLow: 5, scaleHigh: 5 },
      ['scaleHigh'],
    ],
    ['a map over the scale', 'coreMap', { cells: { '0:0': { meter: 36 } } }, ['cells']],
    ['a map on it', 'coreMap', { cells: { '0:0': { meter: 35 } } }, []],
    ['a stretch that ends before it begins', 'member', { from: 0.6, to: 0.5 }, ['to']],
    ['a stretch of no length', 'member', { from: 0.5, to: 0.5 }, []],
  ])('%s', (_, entity, more, fields) => {
    const rows = emptyRefit()
    const needed = {
      findingId: 'f',
      at: 1,
      panelId: 'p',
      takenOn: '2027-04-17',
      sheetId: 's',
      station: 1,
    }
    add(rows, entity, 'x', { ...needed, ...more } as never)
    expect(wrongIn(rows, entity, 'x')).toEqual(fields)
  })
  const square = [
    [0, 0],
    [1, 0],
    [1, 1],
    [0, 1],
  ]
  it.each<[string, object, string[]]>([
    ['a size', {}, []],
    [
      'none',
      {
        outline: [
          [0, 0],
          [1, 0],
          [2, 0],
        ],
      },
      ['outline'],
    ],
    [
      'an outline that crosses itself',
      {
        outline: [
          [0, 0],
          [2, 2],
          [2, 0],
          [0, 1],
        ],
      },
      ['outline'],
    ],
    ['damp over wet', { dampFrom: 18 }, ['dampFrom']],
    ['a wet reference', { dryReading: 14 }, ['dryReading']],
  ])('a panel with %s', (_, more, fields) => {
    const rows = emptyRefit()
    add(rows, 'panel', 'p', { title: 'P', outline: square, order: 'a', ...more } as never)
    expect(wrongIn(rows, 'panel', 'p')).toEqual(fields)
  })
  it('a place dragged to nothing', () => {
    const rows = emptyRefit()
    const shape = (corners: number[][]) => ({ view: 'plan', corners })
    add(rows, 'zone', 'ok', { name: 'A', order: 'a', shape: shape(square) } as never)
    add(rows, 'zone', 'no', {
      name: 'B',
      order: 'b',
      shape: shape([
        [0, 0],
        [0.01, 0],
        [0.01, 0.01],
      ]),
    } as never)
    expect([wrongIn(rows, 'zone', 'ok'), wrongIn(rows, 'zone', 'no')]).toEqual([[], ['shape']])
  })
  it('ways in that lead through themselves', () => {
    const rows = emptyRefit()
    for (const [id, throughId] of [
      ['a', 'b'],
      ['b', 'c'],
      ['c', 'b'],
      ['d', null],
    ] as const)
      add(rows, 'wayIn', id, { title: id, throughId, order: id })
    expect(rows.wayIn.map((one) => wrongIn(rows, 'wayIn', one.id).length)).toEqual([0, 1, 1, 0])
  })
})

describe('steps and weather', () => {
  const limits = { readWhat: 'Moisture', readHigh: 12, readFailAt: 15 }
  it.each<[object, string[]]>([
    [{ minTempC: 10, maxTempC: 10 }, []],
    [{ minTempC: 10, maxTempC: 9 }, ['maxTempC']],
    [{ unitCount: 20, unitsDone: 20 }, []],
    [{ unitCount: 20, unitsDone: 34 }, ['unitsDone']],
    [{ unitsDone: 1 }, ['unitsDone']],
    [{ roundsLikely: 3, roundsMost: 3 }, []],
    [{ roundsLikely: 4, roundsMost: 3 }, ['roundsMost']],
    // One more than the most, after it was reached: said on the screen, and kept.
    [{ roundsLikely: 4, roundsMost: 3, round: 4 }, []],
    [limits, []],
    [{ readWhat: 'Moisture' }, ['readHigh']],
    [{ ...limits, readLow: 13 }, ['readHigh']],
    [{ provisionalFor: 'A fuse' }, ['rightBeforeGateId']],
    [{ provisionalFor: 'A fuse', rightBeforeGateId: 'g' }, []],
  ])('of a step: %o', (more, fields) => {
    const rows = emptyRefit()
    job(rows, 'J')
    add(rows, 'step', 's', { jobId: 'J', title: 'S', order: 'a', ...more })
    expect(wrongIn(rows, 'step', 's')).toEqual(fields)
  })
  it.each<[number, number | null, string[]]>([
    [700, 20, []],
    [751, 20, ['value']],
    [12, 21, ['unitNo']],
    [12, null, []],
  ])('of a reading of %s at unit %s', (value, unitNo, fields) => {
    const rows = emptyRefit()
    job(rows, 'J')
    add(rows, 'step', 's', { jobId: 'J', title: 'S', order: 'a', unitCount: 20, ...limits })
    add(rows, 'reading', 'r', { stepId: 's', what: 'Moisture', value, unitNo, at: 1 })
    expect(wrongIn(rows, 'reading', 'r')).toEqual(fields)
  })
  it.each<[object, string[]]>([
    [{ downOn: '2027-05-01' }, []],
    [{ downOn: '2027-03-01' }, ['downOn']],
    [{}, ['downOn']],
    [{ strikeStepId: 's' }, []],
    [{ downOn: '2027-05-01', zoneIds: [] }, ['zoneIds']],
    [{ downOn: '2027-05-01', kind: 'heat' }, ['addsC']],
    [{ downOn: '2027-05-01', kind: 'heat', addsC: 3 }, []],
  ])('of a cover: %o', (more, fields) => {
    const rows = emptyRefit()
    job(rows, 'J')
    add(rows, 'step', 's', { jobId: 'J', title: 'S', order: 'a' })
    add(rows, 'cover', 'c', { title: 'C', zoneIds: ['z'], upOn: '2027-04-01', ...more })
    expect(wrongIn(rows, 'cover', 'c')).toEqual(fields)
  })
  it('of a forecast: every hour once, none left out', () => {
    const rows = emptyRefit()
    const hour = (at: number) => ({ at: at * 3_600_000, tempC: 9, dewC: 5, rain: false })
    add(rows, 'forecast', 'f', { station: 'S', takenAt: 0, hours: [0, 1, 2].map(hour) })
    add(rows, 'forecast', 'gap', { station: 'S', takenAt: 0, hours: [0, 1, 3].map(hour) })
    add(rows, 'forecast', 'twice', { station: 'S', takenAt: 0, hours: [0, 1, 1].map(hour) })
    expect(['f', 'gap', 'twice'].map((id) => wrongIn(rows, 'forecast', id))).toEqual([
      [],
      ['hours'],
      ['hours'],
    ])
  })
})

describe('cures and readings', () => {
  const rows = emptyRefit()
  const one = { jobId: 'j', title: 'Bed', order: 'b' } as const
  it.each([
    ['readDry', { readWhat: 'Moisture', readHigh: 14, readDry: 14 }],
    ['maxWaitHours', { windowKind: 'bareMetal' }],
    ['shortBecause', { unitCount: 4, unitsDone: 4, shortBecause: 'enough' }],
  ] as const)('a step is refused at %s', (field, given) => {
    const step = newRow('step', 's', { ...one, ...given })
    expect(checkRow('step', step, ruleContext(rows)).map((problem) => problem.field)).toEqual([
      field,
    ])
  })
  it('a sealant that takes load before it has a skin is refused', () => {
    const product = (given: object) => newRow('product', 'p', { name: 'S', ...given })
    const fields = (given: object) =>
      checkRow('product', product(given), ruleContext(rows)).map((problem) => problem.field)
    expect(fields({ skinH: 2, loadH: 1 })).toEqual(['loadH'])
    expect(fields({ skinH: 1, lightH: 1, loadH: 72, waterH: 24 })).toEqual([])
  })
  it('a test has not passed while its reading fails', () => {
    const test = (given: object) =>
      checkRow(
        'asBuiltTest',
        newRow('asBuiltTest', 't', {
          sheetId: 's',
          what: 'Drop',
          order: 'b',
          readHigh: 3,
          readFailAt: 4,
          outcome: 'passed',
          ...given,
        }),
        ruleContext(rows),
      ).map((problem) => problem.field)
    expect(test({ reading: 4.1 })).toEqual(['outcome'])
    // To be watched is no fail, and without a reading nothing is said.
    expect(test({ reading: 4 })).toEqual([])
    expect(test({})).toEqual([])
    expect(test({ reading: 4.1, outcome: 'failed' })).toEqual([])
    expect(test({ readLow: 5 })).toEqual(['readHigh'])
  })
})

describe('days as chains of stays', () => {
  /** Somebody who comes on Saturdays and Sundays from 08:00 to 16:00. */
  function weekends() {
    const rows = emptyRefit()
    person(rows, 'Ann', [6, 7], '08:00', '16:00')
    for (const id of ['b', 'c']) add(rows, 'place', id, { name: id, kind: 'berth' })
    return rows
  }
  it.each<[object, string[]]>([
    [{}, []],
    [{ opensAt: '08:00', shutsAt: '17:00' }, []],
    [{ opensAt: '17:00', shutsAt: '17:00' }, ['shutsAt']],
    [{ shutWeekdays: [1, 2, 3, 4, 5, 6] }, []],
    [{ shutWeekdays: [1, 2, 3, 4, 5, 6, 7] }, ['shutWeekdays']],
    // Half an hour to unpack and to pack up leave 3 h 30 for each way.
    [{ travelMin: 209 }, []],
    [{ travelMin: 210 }, ['travelMin']],
    [{ travelMin: 210, nights: 'aboard' }, []],
  ])('of a place: %o', (more, fields) => {
    const rows = weekends()
    Object.assign(rows.place[0] as object, more)
    expect(wrongIn(rows, 'place', 'b')).toEqual(fields)
  })
  it('of a night away: somebody who stays comes on two days in a row', () => {
    const rows = weekends()
    Object.assign(rows.place[0] as object, { nights: 'lodging' })
    expect(wrongIn(rows, 'place', 'b')).toEqual([])
    rows.weekSlot[1] = { ...rows.weekSlot[1]!, weekday: 1 }
    expect(wrongIn(rows, 'place', 'b')).toEqual(['nights'])
    rows.weekSlot[0] = { ...rows.weekSlot[0]!, weekday: 7 }
    expect(wrongIn(rows, 'place', 'b')).toEqual([])
    rows.person[0] = { ...rows.person[0]!, staysNights: false }
    expect(wrongIn(rows, 'place', 'b')).toEqual(['nights'])
  })
  it('of a way: between two places, once', () => {
    const rows = weekends()
    add(rows, 'drive', 'd', { fromPlaceId: 'b', toPlaceId: 'c' })
    expect(wrongIn(rows, 'drive', 'd')).toEqual([])
    add(rows, 'drive', 'e', { fromPlaceId: 'c', toPlaceId: 'b' })
    expect(wrongIn(rows, 'drive', 'e')).toEqual(['toPlaceId'])
    add(rows, 'drive', 'f', { fromPlaceId: 'c', toPlaceId: 'c' })
    expect(wrongIn(rows, 'drive', 'f')).toEqual(['toPlaceId'])
  })
  it('of where she lies: at a berth, at one at a time', () => {
    const rows = weekends()
    add(rows, 'place', 'y', { name: 'y', kind: 'yard' })
    add(rows, 'lying', 'l', { placeId: 'c', from: '2027-05-01', to: '2027-05-10' })
    add(rows, 'lying', 'm', { placeId: 'b', from: '2027-05-11', to: '2027-05-12' })
    expect(wrongIn(rows, 'lying', 'm')).toEqual([])
    rows.lying[1] = { ...rows.lying[1]!, from: '2027-05-10' }
    expect(wrongIn(rows, 'lying', 'm')).toEqual(['from'])
    rows.lying[1] = { ...rows.lying[1], placeId: 'y', from: '2027-05-11', to: '2027-05-11' }
    expect(wrongIn(rows, 'lying', 'm')).toEqual(['placeId'])
    add(rows, 'wantedDays', 'w', { from: '2027-06-02', to: '2027-06-01' })
    expect(wrongIn(rows, 'wantedDays', 'w')).toEqual(['to'])
  })
})

describe('buying and keeping', () => {
  const shop = (more: Partial<PatchOf<Entities['purchase']>> = {}) => {
    const rows = emptyRefit()
    add(rows, 'purchase', 'o', { number: '17', orderedOn: '2027-04-05', ...more })
    add(rows, 'purchaseLine', 'l', { purchaseId: 'o', name: 'Bolts', quantity: 10, order: 'a' })
    return rows
  }
  it.each<[string, object, string[]]>([
    ['is due as it is ordered', { dueOn: '2027-04-05' }, []],
    ['is due before it is ordered', { dueOn: '2027-04-04' }, ['dueOn']],
    ['is in the currency of the refit', { currency: 'EUR' }, []],
    ['is in no currency', { currency: 'QQQ', rate: 1, rateOn: '2027-04-05' }, ['currency']],
    ['is foreign, without a rate', { currency: 'GBP' }, ['rate']],
    ['has a rate of no day', { currency: 'GBP', rate: 1.2 }, ['rateOn']],
    ['has its rate and day', { currency: 'GBP', rate: 1.2, rateOn: '2027-04-05' }, []],
  ])('an order that %s', (_, more, fields) => {
    expect(wrongIn(shop(more), 'purchase', 'o')).toEqual(fields)
  })

  it('two orders of one number to one supplier', () => {
    const rows = shop()
    add(rows, 'purchase', 'p', { number: ' 17' })
    expect(wrongIn(rows, 'purchase', 'p')).toEqual(['number'])
    add(rows, 'supplier', 's', { name: 'By post' })
    rows.purchase = rows.purchase.map((one) => (one.id === 'p' ? { ...one, supplierId: 's' } : one))
    expect(wrongIn(rows, 'purchase', 'p')).toEqual([])
  })

  it.each<[string, object, string[]]>([
    ['more than ordered', { quantity: 12 }, []],
    ['all of it faulty and sent back', { quantity: 10, faulty: 10, returned: 10 }, []],
    ['more faulty than came', { quantity: 10, faulty: 11 }, ['faulty']],
    ['more sent back than came', { quantity: 10, returned: 10.5 }, ['returned']],
    ['looked at before it came', { quantity: 10, checkedOn: '2027-04-13' }, ['checkedOn']],
  ])('a delivery of %s', (_, more, fields) => {
    const rows = shop()
    add(rows, 'delivery', 'd', { lineId: 'l', cameOn: '2027-04-14', ...more })
    expect(wrongIn(rows, 'delivery', 'd')).toEqual(fields)
  })

  it('nothing comes of an order that was not sent, or tomorrow', () => {
    const rows = shop({ orderedOn: null })
    const row = add(rows, 'delivery', 'd', { lineId: 'l', cameOn: '2027-04-14' })
    expect(wrongIn(rows, 'delivery', 'd')).toEqual(['cameOn'])
    rows.purchase = rows.purchase.map((one) => ({ ...one, orderedOn: '2027-04-05' }))
    const on = (today: string) => checkRow('delivery', row, ruleContext(rows, today)).length
    expect([on('2027-04-13'), on('2027-04-14')]).toEqual([1, 0])
  })

  it('a part is on its way once, and needs a step other than the one that measures it', () => {
    const rows = shop()
    add(rows, 'purchaseLine', 'm', { purchaseId: 'o', name: 'Bolts', order: 'b' })
    add(rows, 'part', 'p', { name: 'Bolts', fixedByStepId: 's', neededByStepId: 's' })
    expect(wrongIn(rows, 'part', 'p')).toEqual(['fixedByStepId'])
    add(rows, 'lineWant', 'w', { lineId: 'l', partId: 'p' })
    expect(wrongIn(rows, 'lineWant', 'w')).toEqual([])
    add(rows, 'lineWant', 'v', { lineId: 'm', partId: 'p' })
    expect(wrongIn(rows, 'lineWant', 'v')).toEqual(['partId'])
    // What came of the first is not on its way: the rest may be ordered elsewhere.
    add(rows, 'delivery', 'd', { lineId: 'l', cameOn: '2027-04-14', quantity: 4 })
    expect(wrongIn(rows, 'lineWant', 'v')).toEqual([])
  })

  it('goes badly no sooner than as a rule', () => {
    const rows = emptyRefit()
    add(rows, 'supplier', 's', { name: 'By post', leadDays: 6, leadLateDays: 5 })
    add(rows, 'part', 'p', { name: 'Bolts', leadDays: 6, leadLateDays: 6 })
    expect(wrongIn(rows, 'supplier', 's')).toEqual(['leadLateDays'])
    expect(wrongIn(rows, 'part', 'p')).toEqual([])
  })
})

describe('a piece of an order sheet', () => {
  it('has a mark of its own, and stands further along than the ones before', () => {
    const rows = emptyRefit()
    add(rows, 'makerSheet', 's', { number: '1', title: 'Posts' })
    const piece = (id: string, mark: string, atMm: number | null, order: string) =>
      add(rows, 'makerItem', id, { sheetId: 's', mark, atMm, order })
    piece('a', '1', 640, 'a')
    piece('b', '2', null, 'b')
    piece('c', '3', 641, 'c')
    piece('d', ' 1', 640, 'd')
    // Another sheet is another matter.
    add(rows, 'makerItem', 'other', { sheetId: 't', mark: '1', atMm: 1, order: 'e' })
    const wrong = ['a', 'b', 'c', 'd', 'other'].map((id) => wrongIn(rows, 'makerItem', id))
    expect(wrong).toEqual([['mark'], [], [], ['mark', 'atMm'], []])
  })
})

describe('a line of a trade sheet', () => {
  it.each<[object, string[]]>([
    [{}, []],
    [{ answer: 'left' }, ['proposal']],
    [{ answer: 'left', proposal: 'Renew' }, []],
    [{ answer: 'taken', proposal: 'Renew' }, ['answeredOn']],
    [{ answer: 'taken', proposal: 'Renew', answeredOn: '2027-04-01' }, []],
  ])('%j', (more, fields) => {
    const rows = emptyRefit()
    add(rows, 'tradeItem', 'i', { bookingId: 'b', what: 'Shrouds', order: 'a', ...more })
    expect(wrongIn(rows, 'tradeItem', 'i')).toEqual(fields)
  })
})

describe('money', () => {
  const spent = (more: object, shares: readonly number[] = []) => {
    const rows = emptyRefit()
    add(rows, 'spend', 's', { on: '2027-04-01', what: 'Hose', minor: 1000, ...more })
    shares.forEach((minor, at) =>
      add(rows, 'spendShare', `${at}`, { spendId: 's', minor, order: `a${at}` }),
    )
    return wrongIn(rows, 'spend', 's')
  }
  it.each<[object, number[], string[]]>([
    [{}, [], []],
    [{}, [600, 400], []],
    [{}, [600, 401], ['minor']],
    [{}, [600], ['minor']],
    [{ currency: 'QQQ' }, [], ['currency', 'rate']],
    [{ currency: 'GBP' }, [], ['rate']],
    [{ currency: 'GBP', rate: 1.2 }, [], ['rateOn']],
    [{ currency: 'GBP', rate: 1.2, rateOn: '2027-04-01' }, [], []],
    [{ currency: 'EUR' }, [], []],
  ])('paid %o in shares of %o: %o', (more, shares, fields) =>
    expect(spent(more, shares)).toEqual(fields),
  )
  it('is not paid, billed or settled on a day that is still to come', () => {
    const rows = emptyRefit()
    const [today, tomorrow] = ['2027-04-17', '2027-04-18']
    add(rows, 'spend', 's', { on: tomorrow, what: 'x', minor: 1 })
    add(rows, 'invoice', 'i', { bookingId: 'b', on: tomorrow, minor: 1 })
    add(rows, 'purchase', 'p', { number: '1', orderedOn: today, paidOn: tomorrow })
    add(rows, 'purchase', 'q', { number: '2', paidOn: today })
    const context = ruleContext(rows, today)
    const wrong = [
      ...checkRow('spend', rows.spend[0] as Row<'spend'>, context),
      ...checkRow('invoice', rows.invoice[0] as Row<'invoice'>, context),
      ...rows.purchase.flatMap((one) => checkRow('purchase', one, context)),
    ]
    expect(wrong.map((one) => one.field)).toEqual(['on', 'on', 'paidOn', 'paidOn'])
  })
  it('is planned once for each system, and for what belongs to none', () => {
    const rows = emptyRefit()
    add(rows, 'system', 'deck', { name: 'Deck', kind: 'deck', order: 'a' })
    const plan = (id: string, more: object) => add(rows, 'budget', id, { minor: 1, ...more })
    plan('a', { account: 'system', systemId: 'deck' })
    plan('b', { account: 'tools' })
    plan('c', { account: 'system' })
    plan('d', { account: 'yard', systemId: 'deck' })
    plan('e', { account: 'tools' })
    const wrong = ['a', 'b', 'c', 'd', 'e'].map((id) => wrongIn(rows, 'budget', id))
    expect(wrong).toEqual([[], ['minor'], ['systemId'], ['systemId'], ['minor']])
  })
  it('has no day of more than 24 hours for anybody, corrections counted once', () => {
    const rows = emptyRefit()
    person(rows, 'ida', [6], '08:00', '18:00')
    const log = (id: string, hours: number, more: object = {}) =>
      add(rows, 'hoursEntry', id, { personId: 'ida', on: '2027-04-17', hours, ...more })
    log('a', 20)
    log('b', 4)
    log('other', 20, { on: '2027-04-16' })
    expect(wrongIn(rows, 'hoursEntry', 'b')).toEqual([])
    log('c', 2)
    expect(wrongIn(rows, 'hoursEntry', 'c')).toEqual(['hours'])
    log('d', 18, { correctsId: 'a' })
    expect(wrongIn(rows, 'hoursEntry', 'c')).toEqual([])
  })
})

describe('going in', () => {
  const boat = () => {
    const rows = emptyRefit()
    add(rows, 'haulOut', 'h', { name: 'h', liftOutAimed: '2027-04-01', launchAimed: '2027-06-01' })
    person(rows, 'ida', [6], '08:00', '17:00')
    return rows
  }
  const m2 = { name: 'M2', amplitudeM: 1, phaseDeg: 0 }
  it.each<[string, object, string[]]>([
    ['known constituents', { constituents: [m2] }, []],
    ['one that nobody knows', { constituents: [m2, { ...m2, name: 'QQ9' }] }, ['constituents']],
    ['one twice', { constituents: [m2, m2] }, ['constituents']],
    [
      'waters in order',
      {
        turns: [
          { at: 1, heightM: 4 },
          { at: 2, heightM: 1 },
        ],
      },
      [],
    ],
    [
      'two at once',
      {
        turns: [
          { at: 2, heightM: 4 },
          { at: 2, heightM: 1 },
        ],
      },
      ['turns'],
    ],
  ])('a station with %s', (_, more, fields) => {
    const rows = boat()
    add(rows, 'tideStation', 't', { name: 'T', ...more })
    expect(wrongIn(rows, 'tideStation', 't')).toEqual(fields)
  })
  it('a line is signed once for a launch, and what is not proven says why', () => {
    const rows = boat()
    const sign = (id: string, more: object) =>
      add(rows, 'readySign', id, { haulOutId: 'h', item: 'plugs', personId: 'ida', at: 1, ...more })
    sign('one', {})
    expect(wrongIn(rows, 'readySign', 'one')).toEqual([])
    sign('two', { as: 'skipped' })
    expect(wrongIn(rows, 'readySign', 'two')).toEqual(['because', 'item'])
    sign('three', { item: 'pump', as: 'notAboard', because: 'none' })
    expect(wrongIn(rows, 'readySign', 'three')).toEqual([])
  })
  it.each<[object, string[]]>([
    [{ slingForeM: 3, slingAftM: 9, centreM: 6 }, []],
    [{ slingForeM: 3, slingAftM: 9, centreM: 9 }, ['centreM']],
    [{ slingAftM: 12.3 }, ['slingAftM']],
    [
      {
        chart: [
          [4, 15],
          [5, 12],
        ],
      },
      [],
    ],
    [
      {
        chart: [
          [5, 12],
          [4, 15],
        ],
      },
      ['chart'],
    ],
    [
      {
        chart: [
          [4, 12],
          [5, 15],
        ],
      },
      ['chart'],
    ],
  ])('a lift with %j', (more, fields) => {
    const rows = boat()
    add(rows, 'liftSheet', 'l', { haulOutId: 'h', ...more })
    expect(wrongIn(rows, 'liftSheet', 'l')).toEqual(fields)
  })
  it('a reading has its number, a weight its kilograms, a trial no more than there are', () => {
    const rows = boat()
    add(rows, 'watchLook', 'w', { haulOutId: 'h', what: 'bilge', outcome: 'read', at: 1 })
    expect(wrongIn(rows, 'watchLook', 'w')).toEqual(['value'])
    add(rows, 'anode', 'shaft', { title: 'Shaft', newG: 900, fittedOn: '2027-05-01', order: 'b' })
    add(rows, 'anodeWeighing', 'too soon', { anodeId: 'shaft', on: '2027-04-30', weightG: 880 })
    expect(wrongIn(rows, 'anodeWeighing', 'too soon')).toEqual(['on'])
    add(rows, 'anodeWeighing', 'at once', { anodeId: 'shaft', on: '2027-05-01', weightG: 900 })
    expect(wrongIn(rows, 'anodeWeighing', 'at once')).toEqual([])
    add(rows, 'weightLine', 'k', { what: 'Anchor', kg: 0, on: '2027-05-01' })
    expect(wrongIn(rows, 'weightLine', 'k')).toEqual(['kg'])
    add(rows, 'trial', 't', { title: 'T', wayA: 'A', wayB: 'B', outOf: 10, order: 'a' })
    add(rows, 'trialReading', 'r', { trialId: 't', way: 'a', on: '2027-05-01', count: 11 })
    expect(wrongIn(rows, 'trialReading', 'r')).toEqual(['count'])
    add(rows, 'trialReading', 'c', { trialId: 't', way: 'c', on: '2027-05-01', count: 1 })
    expect(wrongIn(rows, 'trialReading', 'c')).toEqual(['way'])
  })
  it('a check says when it is due, or was done', () => {
    const rows = boat()
    const check = (id: string, more: object) =>
      add(rows, 'check', id, { title: id, order: id, ...more })
    check('never', {})
    expect(wrongIn(rows, 'check', 'never')).toEqual(['dueOn'])
    for (const more of [{ dueOn: '2027-05-01' }, { atHaulOut: true }, { doneOn: '2027-05-01' }]) {
      check(JSON.stringify(more), more)
      expect(wrongIn(rows, 'check', JSON.stringify(more))).toEqual([])
    }
    check('by nothing', { dueAtValue: 150 })
    expect(wrongIn(rows, 'check', 'by nothing')).toEqual(['meterId'])
  })
})
