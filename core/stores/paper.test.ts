/** Sheets for makers and trades, ways to a part, tools, and what changed after it was ordered; by hand. */
import * as fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Row } from '../model/entities'
import { add, emptyRefit, job, step } from '../testing/build'
import { after, draft, factsOf, lineOf, newId, refit } from '../testing/storesRefit'
import { dayNumber } from '../time/civil'
import { bagsToBuy, partOfBag, sparesToCarry } from './alsoToBuy'
import { changedSince } from './frozen'
import { notLasting, sayNotLasting } from './keeps'
import { asks, makerDrawing, mirrored, sheetChecked, spansMm } from './makerSheet'
import { orderItems } from './ordering'
import { sayTool } from './sayBuy'
import { toolUses } from './tools'
import { answering, takingOff } from './answerProposal'
import { tradeSum } from './tradeSheet'
import { waysCompared } from './ways'

/** Eight posts as taped along a deck edge, a gate between the fourth and the fifth. */
function posts(more: (index: number) => object = () => ({})) {
  const rows = emptyRefit()
  const at = [640, 1910, 3170, 4440, 5705, 6980, 8240, 9420]
  add(rows, 'makerSheet', 's', {
    number: '3',
    title: 'Posts',
    hand: 'starboard',
    datum: 'the stem',
    material: '316',
  })
  at.forEach((atMm, index) =>
    add(rows, 'makerItem', `p${index + 1}`, {
      sheetId: 's',
      mark: String(index + 1),
      atMm,
      heightMm: 610,
      leanDeg: 2,
      isGateNext: index === 3,
      order: `a${index}`,
      ...more(index),
    }),
  )
  return { sheet: rows.makerSheet[0] as Row<'makerSheet'>, items: rows.makerItem }
}

describe('what will not last', () => {
  const lasting = (patch: object) => {
    const rows = refit()
    rows.part = rows.part.map((one) => ({ ...one, ...patch }))
    return notLasting(factsOf(rows)).map((one) => sayNotLasting(one, (date) => date))
  }
  // Today is 30 April, needed 22 May; no launch follows, so it is used from then on.
  it.each([
    [{ shelfMonths: 1 }, []],
    [
      { shelfMonths: 1, madeOn: '2027-04-21', orderedOn: '2027-04-29', state: 'ordered' },
      ['it is off 2027-05-21, needed 2027-05-22'],
    ],
    [{ shelfMonths: 1, madeOn: '2027-04-22', orderedOn: '2027-04-29', state: 'ordered' }, []],
    [
      { shelfMonths: 0.5 },
      [
        'bought today it is off 2027-05-15, and sooner if it was made long before, needed 2027-05-22: buy it from 2027-05-07 on',
      ],
    ],
    [{ warrantyMonths: 2 }, []],
    [
      { warrantyMonths: 1 },
      [
        'bought today its warranty ends 2027-05-30, first used 2027-05-22: buy it from 2027-05-22 on',
      ],
    ],
    // The last day of January and a month is the last of February.
    [
      { warrantyMonths: 13, orderedOn: '2026-01-31', state: 'ordered' },
      ['its warranty ends 2027-02-28, first used 2027-05-22'],
    ],
  ])('%o: %o', (patch, said) => expect(lasting(patch)).toEqual(said))

  it('is first used when she is launched', () => {
    const rows = refit()
    const [part] = rows.part
    if (!part) throw new Error('no part')
    rows.part = [{ ...part, warrantyMonths: 2 }]
    const facts = factsOf(rows)
    const plan = facts.plan && {
      ...facts.plan,
      launches: [{ haulOutId: 'h', from: Date.UTC(2027, 0, 1), at: Date.UTC(2027, 5, 5) }],
    }
    expect(notLasting({ ...facts, plan })).toMatchObject([
      { kind: 'warranty', wantedOn: dayNumber('2027-06-05') },
    ])
  })
})

describe('a sheet for a maker', () => {
  it('has spans that add up to the last distance', () => {
    const { items } = posts()
    const spans = spansMm(items)
    expect(spans).toEqual([1270, 1260, 1270, 1265, 1275, 1260, 1180])
    expect(spans.reduce<number>((sum, one) => sum + (one ?? 0), 640)).toBe(9420)
    const drawn = makerDrawing(items, 500, 190)
    expect(drawn.spans.filter((one) => one.isGate)).toHaveLength(1)
    // First and last at the edges of the drawing; the taller nowhere above it.
    expect([drawn.pieces[0]?.x, drawn.pieces.at(-1)?.x]).toEqual([30, 470])
  })

  it('knows what the maker would ask', () => {
    const { sheet, items } = posts()
    expect(asks(sheet, items)).toEqual([])
    const thin = posts((index) =>
      index === 2 ? { heightMm: null } : index === 6 ? { atMm: null } : {},
    )
    expect(asks({ ...sheet, hand: 'none', datum: ' ' }, thin.items)).toEqual([
      'Which side is it for?',
      'What are distances measured from?',
      'No distance for 7.',
      'No height for 3.',
    ])
    expect(spansMm(thin.items).slice(5)).toEqual([null, null])
    // Plates have sizes and no side of their own.
    expect(asks({ ...sheet, shape: 'plates', hand: 'none' }, items)[0]).toMatch(/^No size for 1, 2/)
    expect(asks(sheet, [])).toEqual(['Nothing is on it yet.'])
    expect([mirrored('port'), mirrored('starboard'), mirrored('none')]).toEqual([
      'starboard',
      'port',
      'none',
    ])
  })

  it('is not right while a piece of it was not looked at', () => {
    const right = { count: 'right', handed: 'right', leans: 'right' }
    expect(sheetChecked(posts().items).said).toBe('not looked at yet')
    expect(sheetChecked(posts((at) => (at < 7 ? right : {})).items).said).toBe(
      'seven pieces right, 1 not looked at',
    )
    expect(sheetChecked(posts(() => right).items).said).toBe('all looked at and right')
    const wrong = posts((at) => (at === 4 ? { ...right, leans: 'wrong' } : right))
    expect(sheetChecked(wrong.items).said).toBe('5 wrong')
    // A piece that is wrong is wrong, whatever else of it was not looked at.
    const half = posts((at) => (at === 4 ? { leans: 'wrong' } : at === 5 ? {} : right))
    expect(sheetChecked(half.items).said).toBe('5 wrong, 1 not looked at')
  })
})

const way = (id: string, priceMinor: number, ownHours: number, chancePercent: number) =>
  ({ id, priceMinor, ownHours, chancePercent, order: id }) as Row<'partWay'>

describe('ways to a part', () => {
  it('cost what follows when they do not fit', () => {
    // An hour is 15.00. Mending: 45 + 75 = 120, one in five also 239: 167.80; it pays over 120 in 239.
    // Used: 90 + 45 = 135, two in five also 239: 230.60; over 135 in 239.
    const found = waysCompared(
      [way('new', 23_900, 0, 100), way('used', 9000, 3, 60), way('mend', 4500, 5, 80)],
      1500,
    )
    expect(found.map((one) => [one.way.id, one.outlayMinor, one.expectedMinor])).toEqual([
      ['mend', 12_000, 16_780],
      ['used', 13_500, 23_060],
      ['new', 23_900, 23_900],
    ])
    expect(found.map((one) => one.breakEvenPercent && Math.round(one.breakEvenPercent))).toEqual([
      50,
      56,
      null,
    ])
    // Of two sure ways the cheaper is gone back to: 10 and a half of 100.
    expect(
      waysCompared(
        [way('dear', 300, 0, 100), way('new', 100, 0, 100), way('used', 10, 0, 50)],
        0,
      )[0],
    ).toMatchObject({ expectedMinor: 60, breakEvenPercent: 10 })
    // Without a sure way nothing is known of the end; a gamble dearer than the sure way never pays.
    expect(waysCompared([way('used', 9000, 0, 60)], 0)).toMatchObject([
      { expectedMinor: 9000, breakEvenPercent: null },
    ])
    expect(
      waysCompared([way('new', 100, 0, 100), way('used', 100, 0, 99)], 0).find(
        (one) => one.way.id === 'used',
      )?.breakEvenPercent,
    ).toBeNull()
  })

  it('break even where both cost the same', () => {
    const minor = fc.integer({ min: 1, max: 1e6 })
    fc.assert(
      fc.property(minor, minor, fc.integer({ min: 1, max: 99 }), (sure, price, percent) => {
        const list = waysCompared([way('a', sure, 0, 100), way('b', price, 0, percent)], 0)
        const b = list.find((one) => one.way.id === 'b')
        const even = b?.breakEvenPercent ?? null
        if (even === null) expect(price).toBeGreaterThanOrEqual(sure)
        else if (Math.abs(percent - even) > 0.001)
          expect(Math.sign((b?.expectedMinor ?? 0) - sure) * Math.sign(percent - even)).not.toBe(1)
      }),
    )
  })
})

describe('a trade’s sheet', () => {
  const item = (more: object) =>
    ({
      what: 'Shrouds',
      proposal: 'answer' in more && more.answer !== 'none' ? 'Renew them' : '',
      answer: 'none',
      done: 'open',
      proposalMinor: null,
      proposalDays: null,
      invoiceMinor: null,
      quoteMinor: null,
      ...more,
    }) as Row<'tradeItem'>
  const asksOf = (more: object) => tradeSum(90_000, [item(more)], 'EUR').questions

  it('agrees to what was taken, and asks about the rest of the invoice', () => {
    const sum = tradeSum(
      92_000,
      [
        item({ answer: 'taken', proposalMinor: 24_000, proposalDays: 0.5 }),
        item({ answer: 'left', proposalMinor: 6500, proposalDays: 3 }),
        item({ proposal: '', invoiceMinor: 92_000, done: 'right' }),
      ],
      'EUR',
    )
    expect(sum).toEqual({
      agreedMinor: 116_000,
      takenMinor: 24_000,
      takenDays: 0.5,
      openMinor: 0,
      invoicedMinor: 92_000,
      questions: [],
    })
    // Nobody answered one of them: its word says so, or its proposal alone.
    const open = [
      item({ answer: 'open', proposalMinor: 700 }),
      item({ proposal: 'Pin it', proposalMinor: 70 }),
    ]
    expect(tradeSum(null, open, 'EUR').openMinor).toBe(770)
    expect(tradeSum(null, [], 'EUR').agreedMinor).toBeNull()
  })

  it('keeps them longer for what is taken, day by day on which they come, and no longer when it is thought over', () => {
    const booking = {
      id: 'b',
      version: 4,
      state: 'booked',
      from: '2027-05-04',
      // A Wednesday.
      to: '2027-05-05',
      comesOn: [2, 3, 4],
    } as unknown as Row<'tradeBooking'>
    const line = (id: string, more: object) =>
      ({ ...item(more), id, version: 1 }) as Row<'tradeItem'>
    const pin = line('pin', { answer: 'open', proposalDays: 1.5 })
    const wire = line('wire', { answer: 'taken', proposalDays: 0.5 })
    const by = { today: '2027-04-17', personId: 'ida' }
    const untilOf = (
      more: object,
      lines = [pin],
      one = pin,
      to: 'taken' | 'left' | 'open' = 'taken',
    ) => answering({ ...booking, ...more }, lines, one, to, by).until
    // A day and a half is Thursday and the Tuesday after; with half a day that was taken before, only one day more.
    expect(untilOf({})).toBe('2027-05-11')
    expect(untilOf({}, [wire, pin])).toBe('2027-05-06')
    // A day that is begun is a day on which they come.
    const begun = { ...pin, proposalDays: 1.25 }
    expect(untilOf({}, [begun], begun)).toBe('2027-05-11')
    // Friday and Monday where nobody said on which days they come.
    expect(untilOf({ to: '2027-05-06', comesOn: [] })).toBe('2027-05-10')
    expect(untilOf({}, [pin], pin, 'left')).toBeNull()
    expect(untilOf({ state: 'came' })).toBeNull()
    const taken = { ...pin, answer: 'taken' as const }
    expect(untilOf({ to: '2027-05-11' }, [taken], taken, 'open')).toBe('2027-05-05')
    // Never before they begin.
    expect(untilOf({ to: '2027-05-04' }, [taken], taken, 'left')).toBe('2027-05-04')
    expect(answering(booking, [pin], pin, 'taken', by).items).toEqual([
      {
        op: 'patch',
        entity: 'tradeItem',
        id: 'pin',
        baseVersion: 1,
        patch: { answer: 'taken', answeredOn: '2027-04-17', answeredById: 'ida' },
      },
      {
        op: 'patch',
        entity: 'tradeBooking',
        id: 'b',
        baseVersion: 4,
        patch: { to: '2027-05-11' },
      },
    ])
    expect(answering(booking, [taken], taken, 'open', by).items[0]).toMatchObject({
      patch: { answer: 'open', answeredOn: null, answeredById: null },
    })
    // Off the sheet with its days; a line that was not taken had none.
    expect(takingOff({ ...booking, to: '2027-05-11' }, [taken], taken)).toMatchObject({
      items: [{ op: 'delete', id: 'pin' }, { patch: { to: '2027-05-05' } }],
      until: '2027-05-05',
    })
    expect(takingOff(booking, [pin], pin).items).toHaveLength(1)
  })

  it('asks about what the bill has over the lines of a quote, and once about all nobody looked at', () => {
    const lines = [
      item({ what: 'Rail', proposal: '', quoteMinor: 118_400, invoiceMinor: 122_900 }),
      item({ what: 'Visit', proposal: '', invoiceMinor: 16_700 }),
    ]
    expect(tradeSum(118_400, lines, 'EUR').questions).toEqual([
      '“Rail” was €1,184 in the quote, and €1,229 is asked.',
      '€167 is asked for “Visit”, and nobody agreed to it.',
      '€1,396 is asked for two lines that nobody looked at.',
    ])
  })

  it('asks twice about what nobody answered and is on the invoice', () => {
    expect(asksOf({ answer: 'open', invoiceMinor: 5000, done: 'right' })).toEqual([
      'No answer yet to “Renew them”.',
      '“Renew them” was never agreed, and €50 is asked for it.',
    ])
  })

  it.each([
    [{ answer: 'open' }, /^No answer yet to “Renew them”/],
    // Written down, and nobody answered.
    [{ answer: 'none', proposal: 'Look inside' }, /^No answer yet to “Look inside”/],
    [{ answer: 'taken' }, /taken without a price/],
    [{ answer: 'left', invoiceMinor: 5000, done: 'right' }, /never agreed, and €50 is asked/],
    [
      { answer: 'taken', proposalMinor: 5000, invoiceMinor: 5001, done: 'right' },
      /€50 was agreed, €50.01 is asked/,
    ],
    [{ done: 'wrong' }, /“Shrouds” is not right/],
    [{ invoiceMinor: 5000 }, /€50 is asked for “Shrouds”, and nobody looked/],
  ])('%j is a question', (more, question) => {
    expect(asksOf(more)).toHaveLength(1)
    expect(asksOf(more)[0]).toMatch(question)
  })
})

describe('a tool', () => {
  /** Wanted on 8 and 9 May, and again on the 22nd. */
  function drill(more: object = {}, needsMm: number | null = null) {
    const rows = refit()
    job(rows, 'hole')
    step(rows, 'hole', 'bore', { operation: 'drill', hoursLikely: 14, notBefore: '2027-05-08' })
    add(rows, 'tool', 'drill', { name: 'Long drill', owned: 'hired', order: 'a', ...more })
    add(rows, 'bringLine', 'b1', {
      stepId: 'bore',
      what: 'x',
      toolId: 'drill',
      needsMm,
      order: 'a',
    })
    // Called by its name.
    add(rows, 'bringLine', 'b2', { stepId: 'bed', what: 'long  DRILL', kind: 'tool', order: 'b' })
    return toolUses(factsOf(rows))[0]
  }

  it('is hired once for all that want it, or fetched twice', () => {
    const use = drill({ hireDayMinor: 900 })
    expect(use?.wants.map((one) => [one.step.id, one.from, one.to])).toEqual([
      ['bore', dayNumber('2027-05-08'), dayNumber('2027-05-09')],
      ['bed', dayNumber('2027-05-22'), dayNumber('2027-05-22')],
    ])
    // 8 to 22 May are fifteen days; in use on three of them.
    expect(use).toMatchObject({ keptDays: 15, keptMinor: 13_500, apartMinor: 2700, stretches: 2 })
    expect(use && sayTool(use, '2027', 'EUR').text).toBe(
      'wanted 8 May, 22 May; kept 15 days €135, fetched two times €27',
    )
    // What is ours costs nothing a day.
    expect(drill({ hireDayMinor: 900, owned: 'own' })?.keptMinor).toBeNull()
  })

  it('is kept over days in a row, and through a night', () => {
    const rows = refit()
    add(rows, 'tool', 'drill', { name: 'Drill', owned: 'hired', hireDayMinor: 900, order: 'a' })
    for (const stepId of ['measure', 'bed'])
      add(rows, 'bringLine', stepId, { stepId, what: 'x', toolId: 'drill', order: stepId })
    const facts = factsOf(rows)
    const hours = (date: string, from: number, to: number): [number, number] => [
      Date.parse(date) + from * 3_600_000,
      Date.parse(date) + to * 3_600_000,
    ]
    const on = (stepId: string, segment: [number, number]) => ({
      ...facts.plan?.placements[0],
      stepId,
      segments: [segment],
    })
    const use = (second: string) =>
      toolUses({
        ...facts,
        plan: {
          ...facts.plan,
          // The first ends at midnight: that is still the 8th.
          placements: [on('measure', hours('2027-05-08', 18, 24)), on('bed', hours(second, 9, 10))],
        } as never,
      })[0]
    expect(use('2027-05-09')).toMatchObject({ stretches: 1, keptDays: 2, apartMinor: 1800 })
    expect(use('2027-05-10')).toMatchObject({ stretches: 2, keptDays: 3, apartMinor: 1800 })
  })

  it('is told when it is too short, or goes back before it was used', () => {
    const use = drill({ reachMm: 380, backBy: '2027-05-21' }, 440)
    expect(use && sayTool(use, '2027', 'EUR').wrong).toBe(
      'reaches 380 mm, “bore” needs 440; has to be back 21 May, “bed” is 22 May',
    )
    const fine = drill({ reachMm: 440, backBy: '2027-05-22' }, 440)
    expect(fine && sayTool(fine, '2027', 'EUR').wrong).toBe('')
  })
})

describe('what changed after it was ordered', () => {
  it('is told of what is on its way or here, and of nothing else', () => {
    const rows = refit()
    const ordered = after(rows, orderItems(rows, draft, [lineOf(3, ['rubber'])], newId))
    expect(changedSince(ordered)).toEqual([])
    const change = (more: object) => ({
      ...ordered,
      part: ordered.part.map((one) => ({ ...one, ...more })),
    })
    expect(changedSince(change({ size: '15 × 20', quantity: 4 })).map((one) => one.said)).toEqual([
      ['How many 3, now 4', 'Size not said, now 15 × 20'],
    ])
    expect(changedSince(change({ size: 'x', state: 'arrived' as const }))).toHaveLength(1)
    // A price or a place is nothing that was ordered; what is fitted is past it.
    expect(changedSince(change({ priceMinor: 1, at: 'shed' }))).toEqual([])
    expect(changedSince(change({ size: 'x', state: 'fitted' as const }))).toEqual([])
    expect(changedSince(change({ size: 'x', state: 'wanted' as const }))).toEqual([])
  })
})

describe('what nobody put on a list', () => {
  function bags() {
    const rows = refit()
    const bag = (id: string, more: object) =>
      add(rows, 'bag', id, {
        code: id,
        what: `Seals ${id}`,
        wantedByStepId: 'bed',
        order: id,
        ...more,
      })
    bag('a', { worth: 'broken' })
    bag('b', { state: 'lost' })
    bag('c', { worth: 'again' })
    bag('d', { worth: 'broken', state: 'fitted' })
    bag('e', { worth: 'broken', wantedByStepId: null })
    return rows
  }
  const ids = (rows: ReturnType<typeof bags>) => bagsToBuy(rows).map((one) => [one.bag.id, one.why])

  it('is what is lost or broken and wanted back by a step to come', () => {
    const rows = bags()
    expect(ids(rows)).toEqual([
      ['a', 'broken'],
      ['b', 'lost'],
    ])
    const [first] = bagsToBuy(rows)
    if (!first) throw new Error('no bag')
    // Written down as a part it is asked for no more.
    expect(ids(after(rows, [partOfBag(first, newId)]))).toEqual([['b', 'lost']])
    const done = { ...rows, step: rows.step.map((one) => ({ ...one, state: 'done' as const })) }
    expect(ids(done)).toEqual([])
    const later = { ...rows, job: rows.job.map((one) => ({ ...one, decision: 'later' as const })) }
    expect(ids(later)).toEqual([])
  })

  it('is a spare that a sheet names, until one like it is on board', () => {
    const rows = refit()
    add(rows, 'asBuiltSheet', 's1', { title: 'Engine cooling' })
    add(rows, 'asBuiltSheet', 's2', { title: 'Bilge pump' })
    const line = (id: string, sheetId: string, what: string, value: string) =>
      add(rows, 'asBuiltLine', id, { sheetId, what, value, order: id })
    line('a', 's1', 'Impeller', '65 mm')
    line('b', 's2', 'impeller ', '65 mm')
    line('c', 's1', 'Drive belt', 'A 38')
    line('d', 's1', 'Stainless plate', '3 mm')
    const spares = () =>
      sparesToCarry(rows).map((one) => [one.what, one.isAboard, one.sheets.length])
    expect(spares()).toEqual([
      ['Drive belt', false, 1],
      ['Impeller', false, 2],
    ])
    add(rows, 'stock', 'l1', { name: 'Drive belt A 38', quantity: 1, at: 'shed', order: 'a' })
    add(rows, 'stock', 'l2', { name: 'Impeller', quantity: 0, at: 'boat', order: 'b' })
    expect(spares().map((one) => one[1])).toEqual([false, false])
    rows.stock = rows.stock.map((one) => ({ ...one, at: 'boat' as const, quantity: 1 }))
    expect(spares().map((one) => one[1])).toEqual([true, true])
  })
})
