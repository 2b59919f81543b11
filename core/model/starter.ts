/** What a new refit begins with: places on the boat, systems, places ashore, the season and its gate. */
import { extraDay } from './extraDay'
import type { ChangeItem } from './changes'
import type { EntityName } from './entities'
import { addDays, dayNumber, weekdayOf } from '../time/civil'
import { keysAfter } from './order'
import { systemKinds } from './words'
import type { Side, Skill, Strake } from './words'
import { capital } from '../units/counted'

/** Name, side, below the waterline, strake, and how far forward: 0 the stern, 1 the bow. */
const zones: readonly (readonly [string, Side, boolean, Strake, number | null])[] = [
  ['Foredeck, port', 'port', false, 'deck', 0.8],
  ['Foredeck, starboard', 'starboard', false, 'deck', 0.8],
  ['Side deck, port', 'port', false, 'deck', 0.5],
  ['Side deck, starboard', 'starboard', false, 'deck', 0.5],
  ['Coachroof', 'centre', false, 'deck', 0.55],
  ['Cockpit', 'centre', false, 'deck', 0.2],
  ['Bow and anchor gear', 'centre', false, 'deck', 0.95],
  ['Mast and rigging', 'centre', false, 'rig', 0.58],
  ['Topsides', 'both', false, 'deck', 0.92],
  ['Underwater hull, port', 'port', true, 'underwater', 0.68],
  ['Underwater hull, starboard', 'starboard', true, 'underwater', 0.8],
  ['Keel', 'centre', true, 'underwater', 0.48],
  ['Rudder and skeg', 'centre', true, 'underwater', 0.08],
  ['Stern gear', 'centre', true, 'underwater', 0.26],
  ['Through-hulls', 'both', true, 'underwater', 0.4],
  ['Forecabin', 'centre', false, 'below', 0.8],
  ['Saloon', 'centre', false, 'below', 0.6],
  ['Galley', 'port', false, 'below', 0.48],
  ['Chart table', 'starboard', false, 'below', 0.39],
  ['Heads', 'both', false, 'below', 0.7],
  ['Aft cabin', 'centre', false, 'below', 0.16],
  ['Engine space', 'centre', false, 'below', 0.28],
  ['Bilge', 'centre', false, 'below', 0.54],
  ['Whole boat', 'both', false, 'below', null],
]

/** Days of the week on which a yard lifts until the owner says otherwise: 1 Monday to 5 Friday. */
const starterLifts = [1, 2, 3, 4, 5] as const

/** A first aim for the launch: twelve weeks on, or the last day before on which the yard lifts. */
export function firstAim(today: string): string {
  const lifts: readonly number[] = starterLifts
  let on = addDays(today, 84)
  while (!lifts.includes(weekdayOf(dayNumber(on)))) on = addDays(on, -1)
  return on
}

/** What people who refit their own boat mostly do themselves; standing rigging and going aloft are asked for. */
export const usualSkills: readonly Skill[] = ['electrics', 'laminating', 'mechanics', 'woodwork']

/** Minutes to set up and pack up at the boat until the owner says otherwise. */
export const starterTrip = { setUpMin: 30, packUpMin: 30 } as const

/** The five answers a new refit is made from. */
export interface StarterAnswers {
  readonly boatName: string
  readonly loaM: number
  readonly zone: string
  readonly currency: string
  readonly units: 'metric' | 'us' | 'mixed'
  readonly people: readonly {
    readonly name: string
    readonly weekdays: readonly number[]
    readonly from: string
    readonly to: string
    /** What they do besides what anybody can. */
    readonly skills?: readonly Skill[]
  }[]
  /** One way to the boat, minutes. */
  readonly travelMin: number
  readonly liftOutOn: string
  readonly launchOn: string
  /** The first of the people comes on the day of the launch, though it is none of theirs. */
  readonly leadAtLaunch?: boolean
  readonly alreadyAshore: boolean
  readonly today: string
}

/** Half an hour at noon. */
const usualPause = '12:30'
const isLongDay = ({ from, to }: StarterAnswers['people'][number]): boolean =>
  from <= '10:30' && to >= '15:00'

/** True when nobody comes on the day of the week on which she is to be launched. */
export const isOffDay = ({
  people,
  launchOn,
}: Pick<StarterAnswers, 'people' | 'launchOn'>): boolean =>
  people.every((one) => !one.weekdays.includes(weekdayOf(dayNumber(launchOn))))

/** The change list that makes a new refit. `refitId` is the id of the refit row too. */
export function starterChanges(
  refitId: string,
  answers: StarterAnswers,
  newId: () => string,
): ChangeItem[] {
  const items: ChangeItem[] = []
  const make = (entity: EntityName, patch: Record<string, unknown>, id = newId()): string => {
    items.push({ op: 'create', entity, id, patch })
    return id
  }
  const { boatName, loaM, zone, currency, units, today } = answers
  make(
    'refit',
    { name: `Refit of ${boatName}`, boatName, loaM, zone, currency, units, startedOn: today },
    refitId,
  )
  const systemOrders = keysAfter(null, systemKinds.length)
  systemKinds.forEach((kind, index) =>
    make('system', { name: capital(kind), kind, order: systemOrders[index] }),
  )
  const zoneOrders = keysAfter(null, zones.length)
  zones.forEach(([name, side, belowWaterline, strake, along], index) =>
    make('zone', { name, side, belowWaterline, strake, along, order: zoneOrders[index] }),
  )
  const trip = { travelMin: answers.travelMin, ...starterTrip }
  const yard = make('place', {
    name: 'The yard',
    kind: 'yard',
    ...trip,
    liftWeekdays: [...starterLifts],
  })
  make('place', { name: 'The berth', kind: 'berth', ...trip })
  make('place', {
    name: 'The shed at home',
    kind: 'shed',
    travelMin: 0,
    setUpMin: 10,
    packUpMin: 10,
  })
  make('yardTariff', { placeId: yard })
  const seasonId = make('season', {
    name: 'This season',
    from: answers.liftOutOn,
    to: answers.launchOn,
  })
  const haulOutId = make('haulOut', {
    name: 'This haul-out',
    seasonId,
    placeId: yard,
    liftOutAimed: answers.liftOutOn,
    liftOutActual: answers.alreadyAshore ? answers.liftOutOn : null,
    launchAimed: answers.launchOn,
  })
  make('gate', { name: 'Launch', kind: 'launch', haulOutId })
  const orders = keysAfter(null, answers.people.length)
  answers.people.forEach((person, index) => {
    const personId = make('person', {
      name: person.name,
      role: index === 0 ? 'lead' : 'partner',
      order: orders[index],
      skills: [...(person.skills ?? [])].sort(),
      // Over a long day people eat; it can be taken out in Settings.
      breakFrom: isLongDay(person) ? usualPause : null,
    })
    for (const weekday of person.weekdays)
      make('weekSlot', { personId, weekday, from: person.from, to: person.to })
    if (index === 0 && answers.leadAtLaunch && isOffDay(answers))
      items.push(extraDay(personId, answers.launchOn, person, newId))
  })
  return items
}
