/** What to look at in a place and how, by where it is, what she is built of and how old she is. */
import type { RefitRow, Zone } from '../model/entities'
import type { HullMaterial } from '../model/words'

export interface Guide {
  readonly lookAt: readonly string[]
  readonly how: readonly string[]
  readonly bring: readonly string[]
  readonly caution: string
}

interface Part {
  readonly lookAt?: readonly string[]
  readonly how?: readonly string[]
  readonly bring?: readonly string[]
}

const deckPart: Part = {
  lookAt: [
    'Every fitting: does it move when you lean on it, is there rust or a dark ring round its foot',
    'Corners of hatches and of the house: hairlines that fan out',
    'Joint of hull and deck: gaps, old sealant, drips on the inside',
  ],
  how: [
    'Lean hard on each post and cleat while somebody looks below',
    'Ten minutes of hose, lowest fitting first',
  ],
  bring: ['Torch', 'Hose'],
}
const coredDeck: Part = {
  lookAt: ['Round each hole through the core: that is where water gets in'],
  how: [
    'Tap each hand’s breadth: sharp is sound, dull has let go. Tap a dry corner first, for your ear',
    'Meter over the dull spots, with a reading of sound core beside it',
  ],
  bring: ['Light hammer', 'Moisture meter', 'Chalk'],
}
const laidDeck: Part = {
  lookAt: ['Seams that stand open, plugs that are out, planks that cup'],
  how: ['Screwdriver into a seam: rubber should hold to both sides'],
  bring: ['Screwdriver'],
}

const rigPart: Part = {
  lookAt: [
    'Wire where it enters its end fittings: broken strands, rust, a wire that stands off',
    'Chainplates: does the deck lift or weep round them, is the bolt under it wasted',
    'Mast foot: crushing, water that stands, corrosion round other metals',
  ],
  how: [
    'Cotton wool along the wire catches on a broken strand',
    'Draw one chainplate bolt on each side and look at its neck',
  ],
  bring: ['Magnifying glass', 'Cotton wool'],
}
const rigOld: Part = {
  lookAt: ['Wire and ends over ten years old: ask the rigger, whatever they look like'],
}

const belowPart: Part = {
  lookAt: [
    'Stains, tide marks and soft lining: where do they start',
    'Feet of bulkheads: soft, dark, tabbing that stands off',
    'Behind and under what comes out easily: hoses, wires, clips',
  ],
  how: [
    'Awl into wood at its lowest end',
    'Pull each hose; look for a second clip',
    'Smell the locker',
  ],
  bring: ['Torch', 'Awl', 'Mirror'],
}
const belowSteel: Part = {
  lookAt: ['Where water stands against a frame: scale, blisters in the paint'],
  how: ['Scrape a blister open and measure the plate there'],
  bring: ['Scraper', 'Thickness gauge'],
}
const belowWood: Part = {
  lookAt: ['Frames at the turn of the bilge and their heels: cracks across, rot at the lower end'],
  how: ['Tap each frame, count as you go: a count sheet says how many more to expect'],
}

const underPart: Part = {
  lookAt: [
    'Every hole: valve, backing, thread, does the handle turn and does it shut',
    'Keel joint, skeg and rudder: hairlines, weeping days after she is out',
    'Anodes: how much is left, are they painted',
  ],
  how: [
    'Work each valve ten times',
    'Push the rudder across at its foot: play you can feel is play to measure',
  ],
  bring: ['Torch', 'Feeler gauge'],
}
const underBy: Readonly<Record<HullMaterial, Part>> = {
  solidLaminate: {
    lookAt: ['Blisters: count them on a square metre, open one'],
    how: ['Vinegar smell and sticky water in a blister is the laminate, not the paint'],
  },
  coredLaminate: {
    lookAt: ['Round each hole: was the core taken out there'],
    how: ['Tap round every fitting; meter only after weeks ashore'],
    bring: ['Light hammer', 'Moisture meter'],
  },
  woodPlanked: {
    lookAt: [
      'Garboards and butts: cotton that hangs out, planks that stand proud',
      'Fastenings: rust or green under the plugs',
    ],
    how: ['Awl at the seams', 'Draw one fastening in the worst place'],
    bring: ['Awl'],
  },
  woodMoulded: {
    lookAt: ['Grounding marks and edges of the keel: bare wood'],
    how: ['Tap for veneers that came apart'],
    bring: ['Light hammer'],
  },
  steel: {
    lookAt: ['Waterline, welds and behind anodes: pits'],
    how: ['Thickness on a grid, thinnest first: under three quarters ask a surveyor'],
    bring: ['Thickness gauge', 'Wire brush'],
  },
  aluminium: {
    lookAt: ['White powder under fittings of other metals, pits at the welds'],
    how: ['Meter between hull and battery minus: no leak either way'],
    bring: ['Multimeter'],
  },
  mixed: {},
}
const valvesOld: Part = {
  lookAt: ['Valves and their tails: pink where you scratch them is metal that has lost its zinc'],
  how: ['Scratch with a knife; pink goes out'],
}

/** Age from which hidden metal is drawn and looked at, years. Rule of thumb. */
const oldFrom = 20

/** What to look at there and how. `year` is today's. */
export function guideOf(
  zone: Zone,
  refit: Pick<RefitRow, 'hullMaterial' | 'builtYear'>,
  year: number,
): Guide {
  const old = refit.builtYear !== null && year - refit.builtYear >= oldFrom
  const parts = partsOf(zone, refit.hullMaterial, old)
  const all = (of: 'lookAt' | 'how' | 'bring') => [
    ...new Set(parts.flatMap((part) => part[of] ?? [])),
  ]
  return { lookAt: all('lookAt'), how: all('how'), bring: all('bring'), caution: cautionOf(zone) }
}

function partsOf(zone: Zone, hull: HullMaterial | null, old: boolean): readonly Part[] {
  const cored = ['balsa', 'foam', 'plywood', 'honeycomb'].includes(zone.coreKind ?? '')
  if (zone.strake === 'rig') return old ? [rigPart, rigOld] : [rigPart]
  if (zone.belowWaterline || zone.strake === 'underwater')
    return [underPart, ...(hull ? [underBy[hull]] : []), ...(old ? [valvesOld] : [])]
  if (zone.strake === 'below')
    return [
      belowPart,
      ...(hull === 'steel' ? [belowSteel] : []),
      ...(hull === 'woodPlanked' || hull === 'woodMoulded' ? [belowWood] : []),
    ]
  return [
    deckPart,
    ...(cored || zone.coreKind === null ? [coredDeck] : []),
    ...(zone.coreKind === 'wood' ? [laidDeck] : []),
  ]
}

const cautionOf = (zone: Zone): string =>
  zone.strake === 'rig'
    ? 'Aloft: two lines and somebody who tails. Never alone.'
    : zone.belowWaterline || zone.strake === 'underwater'
      ? 'Keel and rudder crush: chocked, never under. Never move a stand to see behind it.'
      : zone.strake === 'below'
        ? 'Bilge and tanks are confined: air, and a second person. Sniff for gas and fuel before a lamp goes in.'
        : 'Falls from the deck are the commonest bad accident ashore: rails up or harness on.'
