/** Which bedding for a joint, and why not the others. Source: handbook 11. */

export interface JointAsked {
  readonly joint: 'deckFitting' | 'teak' | 'hullDeck' | 'underwater' | 'glazing' | 'trim'
  readonly isUnderWater: boolean
  /** A plastic that touches it: windows, plastic fittings. */
  readonly plastic: 'none' | 'window' | 'other'
  readonly comesOff: boolean
  readonly isInSun: boolean
  readonly moves: boolean
  /** Bolts or screws hold it together by themselves. */
  readonly isBolted: boolean
}
interface Family {
  readonly key: BeddingFamily
  readonly name: string
  readonly is: string
  readonly not: (asked: JointAsked) => string | null
  /** Joints that it is the first choice for. */
  readonly first: readonly JointAsked['joint'][]
}
type BeddingFamily = 'butyl' | 'polysulphide' | 'puPermanent' | 'puSemi' | 'hybrid' | 'silicone'

const families: readonly Family[] = [
  {
    key: 'butyl',
    name: 'Butyl tape',
    is: 'never sets: stays soft, comes off again, is taken up over days',
    first: ['deckFitting', 'trim'],
    not: ({ isUnderWater, isBolted, joint }) =>
      isUnderWater
        ? 'creeps and is washed out under water'
        : !isBolted
          ? 'glues nothing: bolts have to hold the joint'
          : joint === 'teak' || joint === 'glazing'
            ? 'too soft to stand in an open seam'
            : null,
  },
  {
    key: 'polysulphide',
    name: 'Polysulphide',
    is: 'rubbery, can be cut and made good, likes teak',
    first: ['teak'],
    not: ({ plastic }) => (plastic === 'none' ? null : 'attacks most plastics'),
  },
  {
    key: 'puPermanent',
    name: 'Polyurethane, permanent',
    is: 'a glue as much as a seal',
    first: ['hullDeck', 'underwater'],
    not: ({ comesOff, plastic }) =>
      comesOff
        ? 'tears the skin off before it lets go'
        : plastic === 'window'
          ? 'crazes window plastics'
          : null,
  },
  {
    key: 'puSemi',
    name: 'Polyurethane, semi-permanent',
    is: 'seals and holds, and can be cut loose with patience',
    first: [],
    not: ({ plastic }) => (plastic === 'window' ? 'crazes window plastics' : null),
  },
  {
    key: 'hybrid',
    name: 'Hybrid polymer',
    is: 'general, stands sun, kind to most things',
    first: [],
    not: ({ joint }) => (joint === 'glazing' ? 'only with the window maker’s word' : null),
  },
  {
    key: 'silicone',
    name: 'Silicone',
    is: 'for gaskets of glazing that it suits',
    first: ['glazing'],
    not: ({ joint }) =>
      joint === 'glazing'
        ? null
        : 'nothing sticks where it has been, paint and the next seal neither',
  },
]

export interface BeddingChoice {
  readonly key: BeddingFamily
  readonly name: string
  readonly is: string
  /** Null: it may be used. */
  readonly notBecause: string | null
  readonly isFirst: boolean
}

/** Every family with what keeps it out; those that may be used come first, the likeliest foremost. Source: handbook 11. */
export function beddingFor(asked: JointAsked): BeddingChoice[] {
  const score = (one: BeddingChoice, family: Family): number =>
    (one.notBecause === null ? 0 : 100) +
    (family.first.includes(asked.joint) ? 0 : 10) +
    // Bolted and to come off again: what stays soft; a joint that moves or glues: what is a glue.
    (asked.moves && ['hybrid', 'puSemi'].includes(one.key) ? -2 : 0) +
    (asked.isInSun && one.key === 'hybrid' ? -1 : 0) +
    (asked.comesOff && one.key === 'puPermanent' ? 5 : 0) +
    (asked.isUnderWater && asked.comesOff && one.key === 'polysulphide' ? -5 : 0)
  return families
    .map((family, index) => {
      const choice: BeddingChoice = {
        key: family.key,
        name: family.name,
        is: family.is,
        notBecause: family.not(asked),
        isFirst: false,
      }
      return { choice, rank: score(choice, family) + index / 10 }
    })
    .sort((a, b) => a.rank - b.rank)
    .map(({ choice }, index) => ({
      ...choice,
      isFirst: index === 0 && choice.notBecause === null,
    }))
}
