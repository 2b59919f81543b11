/** Small refits of everything that happens: seeded, made up throughout. For properties of plans. */
import { add, emptyRefit, job, person, step } from '../../core/testing/build'
import type { Building } from '../../core/testing/build'
import type { Step } from '../../core/model/entities'
import { cureStages } from '../../core/model/words'
import { createRandom } from '../../core/random'
import { dateOf, dayNumber } from '../../core/time/civil'

/** Friday 16 April 2027, 12:00 UTC. */
export const oddNow = Date.UTC(2027, 3, 16, 12)
const today = dayNumber('2027-04-16')

/** The same for the same seed; `size` steps or a few more. */
export function oddRefit(seed: number, size: number): Building {
  const random = createRandom(seed)
  const chance = (share: number) => random() < share
  const upTo = (most: number) => Math.floor(random() * (most + 1))
  const pick = <Item>(...items: readonly Item[]): Item => items[upTo(items.length - 1)] as Item
  const day = (from: number, to: number) => dateOf(today + from + upTo(to - from))
  const rows = emptyRefit(pick('UTC', 'Europe/Dublin', 'America/Halifax'))
  Object.assign(rows.refit[0] as object, {
    licensedHere: ['gas'],
    monthMeanC: Array.from({ length: 12 }, (_, month) => 11 - 7 * Math.cos((month * Math.PI) / 6)),
  })
  const people = places()
  const hauls = haulOuts()
  weather()
  gates()
  let made = 0
  for (let at = 0; made < size; at++) made += work(at)
  happenings()
  chains()
  cures()
  pins()
  tides()
  return rows

  /** Some steps pinned to a day, a yard that lifts nothing for a while. Of its own chance: the rest is as it was. */
  function pins(): void {
    const own = createRandom(seed + 90_001)
    const on = (from: number, to: number) => dateOf(today + from + Math.floor(own() * (to - from)))
    if (own() < 0.3)
      for (const place of rows.place)
        if (place.kind === 'yard')
          Object.assign(place, { noLifts: [{ from: on(10, 30), to: on(31, 60), why: 'ice' }] })
    if (own() < 0.4)
      for (const one of rows.step)
        if (one.state === 'open' && own() < 0.15) Object.assign(one, { pinnedOn: on(0, 60) })
  }

  /** Some yards with a slip and a tide of the sun alone, six hours of it deep enough. Of its own chance too. */
  function tides(): void {
    const own = createRandom(seed + 170_003)
    if (own() >= 0.4) return
    add(rows, 'tideStation', 'sun', {
      name: 'Sun',
      meanM: 3,
      constituents: [{ name: 'S2', amplitudeM: 2, phaseDeg: Math.floor(own() * 360) }],
    })
    Object.assign(rows.refit[0] as object, { draughtM: 2 })
    for (const place of rows.place)
      if (place.kind === 'yard')
        Object.assign(place, {
          tideStationId: 'sun',
          slipDepthM: -0.7,
          underKeelM: 0.3,
          launchMin: own() < 0.5 ? 40 : 150,
        })
  }

  function places(): string[] {
    const way = () => ({
      travelMin: pick(0, 20, 75),
      setUpMin: pick(0, 30),
      packUpMin: pick(0, 30),
    })
    for (const id of ['yardA', 'yardB'])
      add(rows, 'place', id, {
        name: id,
        kind: 'yard',
        liftWeekdays: pick([], [2, 3, 4, 5, 6], [6], [1, 4]),
        liftFrom: pick('08:00', '09:00', '13:00'),
        launchesWithoutYou: chance(0.5),
        ...way(),
      })
    add(rows, 'place', 'berth', { name: 'berth', kind: 'berth', ...way() })
    if (chance(0.7)) add(rows, 'place', 'shed', { name: 'shed', kind: 'shed', ...way() })
    const ids = ['Ann', 'Ben', 'Cat', 'Dov'].slice(0, 1 + upTo(3))
    for (const id of ids) {
      person(rows, id, pick([6], [6, 7], [5, 6, 7], [1, 3, 6]), pick('08:00', '09:30'), '17:00', {
        skills: id === 'Ann' ? ['electrics', 'laminating'] : pick([], ['electrics'], ['rigging']),
      })
      for (let count = upTo(2); count > 0; count--)
        add(rows, 'personDay', `${id}-${count}`, {
          personId: id,
          on: day(0, 60),
          kind: pick('cannotCome', 'cannotCome', 'extraDay'),
          wholeDay: chance(0.5),
          from: pick('08:00', '12:00'),
          to: pick('13:00', '18:00'),
        })
    }
    if (chance(0.3))
      for (const slot of rows.weekSlot) if (chance(0.3)) Object.assign(slot, { everyWeeks: 2 })
    return ids
  }

  /** Nights away, opening hours, pauses, a second place in a day, another berth, days on which she is wanted. */
  function chains(): void {
    if (chance(0.3)) return
    Object.assign(rows.refit[0] as object, { twoPlaces: chance(0.5) })
    for (const place of rows.place) {
      const [opensAt, shutsAt] = pick([null, null], ['09:00', '16:00'], ['10:00', null])
      Object.assign(place, {
        nights: pick('none', 'aboard', 'lodging'),
        nightsFrom: chance(0.2) ? day(5, 40) : null,
        ...(chance(0.4) ? { opensAt, shutsAt } : {}),
        ...(chance(0.2) ? { shutWeekdays: pick([7], [1, 7]) } : {}),
      })
    }
    for (const one of rows.person)
      Object.assign(one, {
        breakFrom: pick(null, '12:00', '12:30'),
        breakMin: pick(30, 60),
        staysNights: chance(0.8),
      })
    if (rows.place.some((one) => one.id === 'shed') && chance(0.6))
      for (const id of ['yardA', 'berth'])
        add(rows, 'drive', id, { fromPlaceId: id, toPlaceId: 'shed', minutes: pick(5, 25) })
    if (chance(0.3)) {
      add(rows, 'place', 'a mooring', {
        name: 'mooring',
        kind: 'berth',
        travelMin: 40,
        order: 'b',
      })
      add(rows, 'lying', 'l', { placeId: 'a mooring', from: day(3, 20), to: day(21, 60) })
    }
    if (chance(0.3)) {
      const from = 4 + upTo(20)
      add(rows, 'wantedDays', 'w', {
        from: dateOf(today + from),
        to: dateOf(today + from + upTo(9)),
        why: pick('sails', 'let', 'livedOn'),
      })
    }
  }

  /** Places on her, a forecast of a week or less, a day said otherwise, and a tent or a heater over some of it. */
  function weather(): void {
    for (const [id, strake] of [
      ['deck', 'deck'],
      ['cabin', 'below'],
      ['bench', 'shed'],
    ] as const)
      add(rows, 'zone', id, { name: id, strake, order: id })
    if (chance(0.4)) return
    const hours = []
    for (let at = 0; at < 24 * pick(2, 8, 9); at++) {
      const tempC =
        Math.round((9 + 6 * Math.sin(((at - 9) * Math.PI) / 12) + random() * 3) * 10) / 10
      const dewC = Math.round((tempC - random() * 8) * 10) / 10
      hours.push({
        at: (today + Math.floor(at / 24)) * 86_400_000 + (at % 24) * 3_600_000,
        tempC,
        dewC,
        rain: chance(0.15),
      })
    }
    add(rows, 'forecast', 'f', { station: 'S', takenAt: oddNow, hours })
    if (chance(0.3))
      add(rows, 'dayPlan', 'said', {
        on: day(1, 3),
        personIds: rows.person.map((one) => one.id),
        from: '08:00',
        to: '17:00',
        lowC: pick(null, 11),
        highC: pick(null, 18),
        rain: chance(0.5),
      })
    if (chance(0.5))
      add(rows, 'cover', 'c', {
        title: 'Cover',
        kind: pick('tent', 'heat', 'tarpaulin'),
        zoneIds: pick(['deck'], ['cabin'], ['deck', 'cabin']),
        upOn: day(-4, 3),
        downOn: pick(null, day(4, 40)),
        addsC: pick(0, 6),
      })
  }

  function haulOuts(): string[] {
    const ids = ['first', 'second'].slice(0, upTo(2))
    for (const [index, id] of ids.entries()) {
      const out = index === 0 ? upTo(40) - 25 : 20 + upTo(120)
      const launch = out + 10 + upTo(60)
      const happened = out < 0 && chance(0.8)
      add(rows, 'haulOut', id, {
        name: id,
        placeId: pick('yardA', 'yardB', null),
        liftOutAimed: dateOf(today + out),
        liftOutActual: happened ? dateOf(today + out) : null,
        launchAimed: dateOf(today + launch),
        launchBooked: chance(0.2) && launch > 0 ? dateOf(today + launch + upTo(5)) : null,
        launchWhen: pick('notBeforeAim', 'asReady', 'notBeforeAim', 'fixed'),
      })
    }
    return ids
  }

  /** Sealants with times of their own, bare metal, cores that dry by readings. */
  function cures(): void {
    add(rows, 'product', 'sealant', {
      name: 'Sealant',
      kind: 'sealant',
      skinH: pick(null, 1),
      lightH: pick(null, 12),
      loadH: pick(null, 72),
      waterH: pick(null, 100, 240),
      firstDayMm: pick(null, 2),
    })
    for (const one of rows.link) if (chance(0.2)) Object.assign(one, { once: pick(...cureStages) })
    for (const one of rows.step) {
      if (chance(0.15)) Object.assign(one, { beginsOnce: pick(...cureStages) })
      if (one.waitKind !== 'none' && chance(0.4))
        Object.assign(one, { productId: 'sealant', bedDepthMm: pick(null, 2, 5) })
      if (one.maxWaitHours !== null && chance(0.4))
        Object.assign(one, { windowKind: 'bareMetal', maxWaitHours: one.waitHours + pick(4, 30) })
      if (one.state === 'done' && chance(0.3)) dries(one)
    }
  }

  function dries(one: Step): void {
    Object.assign(one, {
      waitKind: 'dry',
      waitHours: pick(24, 200),
      readWhat: 'Moisture',
      readUnit: '%',
      readHigh: 14,
      readDry: pick(10, 10, null),
    })
    let value = 20 + upTo(20)
    for (let read = upTo(5); read > 0; read--) {
      value -= upTo(6) - 1
      add(rows, 'reading', `${one.id}-${read}`, {
        stepId: one.id,
        what: 'Moisture',
        value,
        at: oddNow - read * (10 + upTo(20)) * 3_600_000,
      })
    }
  }

  function gates(): void {
    for (const id of hauls)
      add(rows, 'gate', `launch-${id}`, { name: id, kind: 'launch', haulOutId: id })
    if (chance(0.6)) add(rows, 'gate', 'dated', { name: 'Dated', kind: 'dated', on: day(5, 120) })
    if (chance(0.4)) add(rows, 'gate', 'asap', { name: 'Soon', kind: 'asap' })
  }

  /** One job with its steps; how many. */
  function work(at: number): number {
    const id = `job${at}`
    job(rows, id, {
      purpose: pick('float', 'safe', 'go', 'live', 'shine'),
      severity: 1 + upTo(3),
      spreading: chance(0.2),
      gateId: pick(null, ...rows.gate.map((gate) => gate.id)),
      haulOutId: pick(null, ...hauls),
      zoneId: pick(null, null, 'deck', 'cabin', 'bench'),
      pinnedRank: chance(0.08) ? 1 + upTo(3) : null,
      decision: chance(0.05) ? 'later' : 'plan',
      doBy: pick('undecided', 'undecided', 'own', chance(0.3) ? 'trade' : 'own'),
    })
    const count = upTo(4)
    const begun = chance(0.25) ? upTo(count) : 0
    for (let s = 0; s < count; s++) oneStep(id, `${id}-${s}`, s, begun)
    if (at > 0 && chance(0.35)) {
      const from = `job${upTo(at - 1)}`
      const stepOf = (jobId: string) =>
        pick(null, ...rows.step.filter((one) => one.jobId === jobId).map((one) => one.id))
      add(rows, 'link', `link${at}`, {
        fromJobId: from,
        toJobId: id,
        fromStepId: chance(0.3) ? stepOf(from) : null,
        toStepId: chance(0.3) ? stepOf(id) : null,
        minWaitHours: pick(0, 0, 24),
      })
    }
    return count
  }

  function oneStep(jobId: string, id: string, s: number, begun: number): void {
    const done = s < begun
    const operation = pick(
      'fit',
      'cut',
      'laminate',
      'paint',
      'grind',
      'bed',
      'wire',
      'test',
      'contract',
      'buy',
      'antifoul',
    )
    const byOthers = operation === 'contract' || operation === 'buy'
    const waits = chance(0.3) && !done
    step(rows, jobId, id, {
      operation,
      hoursLikely: byOthers && chance(0.5) ? 0 : pick(0.25, 0.5, 1, 2.5, 6, 14, 0),
      crewMin: Math.min(people.length, pick(1, 1, 1, 1, 2, pick(2, 3))),
      crewMax: pick(1, 2, 3),
      access: pick('open', 'cramped'),
      skill: chance(0.12) ? pick('electrics', 'laminating') : 'general',
      placeNeed: pick('boat', 'boat', 'boat', 'shed', 'away'),
      hullNeed:
        hauls.length > 0 && chance(0.25)
          ? pick('ashore', 'ashore', 'afloat', 'slings')
          : pick('byPlace', 'either'),
      afterGate: chance(0.08),
      parallel: s > 0 && chance(0.15),
      wantedPersonId: chance(0.08) ? pick(...people) : null,
      splittable: pick(null, null, true, false),
      ...(chance(0.1) ? { dusty: chance(0.5), wet: pick(null, true, false) } : {}),
      ...(chance(0.1) ? { opens: chance(0.5), closes: pick(null, true, false) } : {}),
      waitKind: waits ? pick('chem', 'dry', 'calendar') : 'none',
      waitHours: waits ? pick(4, 24, 72) : 0,
      maxWaitHours: waits && chance(0.4) ? pick(96, 200) : null,
      notBefore: chance(0.1) ? day(-5, 60) : null,
      notAfter: chance(0.05) ? day(61, 200) : null,
      months: chance(0.07) ? pick(['may', 'jun', 'jul'], ['apr', 'oct'], ['dec', 'jan']) : [],
      minTempC: chance(0.1) ? pick(8, 12) : null,
      licensedKind: chance(0.04) ? 'gas' : null,
      maxTempC: chance(0.06) ? pick(14, 20) : null,
      needsDry: chance(0.15),
      ...(chance(0.12) ? { roundsLikely: 2, roundsMost: 3, round: pick(1, 1, 2) } : {}),
      ...(chance(0.1) ? { unitName: 'bolts', unitCount: 20, unitsDone: pick(0, 2, 13) } : {}),
      state: done ? 'done' : s === begun && begun > 0 && chance(0.5) ? 'doing' : 'open',
      doneAt: done ? oddNow - (1 + upTo(200)) * 3_600_000 : null,
    })
    const row = rows.step.at(-1)
    if (row && row.crewMax < row.crewMin) Object.assign(row, { crewMax: row.crewMin })
  }

  /** What is booked, ordered, curing and logged. */
  function happenings(): void {
    for (const one of rows.step) {
      if (chance(0.06) && one.state === 'open')
        add(rows, 'tradeBooking', `booked-${one.id}`, {
          stepId: one.id,
          trade: 'Rigger',
          from: day(1, 40),
          to: day(41, 44),
          state: pick('booked', 'came'),
        })
      if (chance(0.06))
        add(rows, 'part', `part-${one.id}`, {
          name: 'Part',
          neededByStepId: one.id,
          state: 'ordered',
          arrivesOn: day(1, 50),
        })
      if (one.state === 'done' && chance(0.3))
        add(rows, 'clock', `clock-${one.id}`, {
          title: 'Cure',
          kind: 'cure',
          stepId: one.id,
          startedAt: oddNow - 3_600_000 * upTo(20),
          opensH: 24,
        })
      if (one.state !== 'open' && chance(0.6)) {
        const entry = { stepId: one.id, personId: people[0] as string, on: dateOf(today - 1) }
        add(rows, 'hoursEntry', `hours-${one.id}`, { ...entry, hours: pick(0.5, 3) })
        if (chance(0.3))
          add(rows, 'hoursEntry', `mended-${one.id}`, {
            ...entry,
            hours: 1,
            correctsId: `hours-${one.id}`,
          })
      }
    }
  }
}
