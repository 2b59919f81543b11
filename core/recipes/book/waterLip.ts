import type { Recipe } from '../recipe'
import { input, ours, sealantSets, shed, two } from './words'

const strip = {
  what: 'Sheet strip {stripMm} × {sheet} mm',
  unit: 'm',
  quantity: 'stockM * 1.1',
} as const

/** 27 */
export const waterLip: Recipe = {
  ...ours,
  key: 'water-lip',
  title: 'Water-shedding lip round a hatch or locker',
  about:
    'For a bent angle that keeps water off an opening and leads it to a drain at the low corner.',
  purpose: 'float',
  system: 'deck',
  inputs: [
    input(
      'longMm',
      'Opening, long side',
      'mm',
      [50, 600, 3000],
      'Both diagonals the same, or it is no rectangle.',
      { drawing: 'panel' },
    ),
    input('wideMm', 'Opening, short side', 'mm', [50, 400, 3000], 'Inside edge to inside edge.', {
      drawing: 'panel',
    }),
    input('upMm', 'Upright leg', 'mm', [10, 30, 120], 'Outside.', { drawing: 'angle' }),
    input('flatLeg', 'Flat leg', 'mm', [10, 25, 120], 'Outside.', { drawing: 'angle' }),
    input('sheet', 'Sheet', 'mm', [0.5, 2, 6], 'Thickness of the metal.', { drawing: 'plate' }),
    input('radius', 'Inside radius', 'mm', [0.5, 3, 30], 'What the bender makes.', {
      drawing: 'angle',
    }),
    input('spacing', 'Fastening spacing', 'mm', [40, 100, 300], 'Along the flat leg.', {
      drawing: 'span',
    }),
  ],
  choices: [
    {
      key: 'corners',
      label: 'Corners',
      initial: 'mitred',
      options: [
        {
          value: 'mitred',
          label: 'Mitred and joined',
          why: 'Four straight pieces cut at 45° through both legs: no stretch, a seam in each corner to seal.',
        },
        {
          value: 'folded',
          label: 'Folded round',
          why: 'One strip, no seam at the corner: wants soft metal and a try on scrap first.',
        },
      ],
    },
  ],
  values: [
    {
      key: 'roundM',
      label: 'Way round the opening',
      unit: 'm',
      formula: '2 * (longMm + wideMm) / 1000',
    },
    {
      key: 'outsideLong',
      label: 'Upright round the opening, outside, long',
      unit: 'mm',
      formula: 'longMm + 2 * sheet',
    },
    {
      key: 'outsideWide',
      label: 'Upright round the opening, outside, short',
      unit: 'mm',
      formula: 'wideMm + 2 * sheet',
    },
    {
      key: 'foldedMm',
      label: 'One strip folded round: cut',
      unit: 'mm',
      formula: 'frameCutMm(outsideLong, outsideWide, sheet, radius)',
    },
    {
      key: 'marks',
      label: 'Bends begin, from the cut end',
      unit: 'mm',
      formula: 'frameMarks(outsideLong, outsideWide, sheet, radius)',
    },
    {
      key: 'stockM',
      label: 'Bent angle to cut: a mitre reaches out by the flat leg at each end',
      unit: 'm',
      formula: "corners == 'mitred' ? roundM + 8 * flatLeg / 1000 : foldedMm / 1000",
    },
    {
      key: 'stripMm',
      label: 'Strip width before bending',
      unit: 'mm',
      formula: 'flatMm(upMm, flatLeg, 90, radius, sheet)',
    },
    {
      key: 'fastenings',
      label: 'Fastenings with spares',
      unit: 'pieces',
      formula: 'withSpares(ceil(roundM * 1000 / spacing), 1)',
    },
  ],
  steps: [
    {
      key: 'measure',
      title: 'Measure the opening, both diagonals',
      operation: 'survey',
      hours: '0.4',
    },
    {
      key: 'list',
      title: 'Cutting list, strip {stripMm} mm wide',
      operation: 'survey',
      hours: '0.3',
    },
    {
      key: 'bend',
      title: 'Cut and bend four pieces, corners mitred',
      operation: 'cut',
      hours: '1.2',
      when: "corners == 'mitred'",
      ...shed,
      caution:
        'Cut sheet has edges like knives. A mitred piece is as long outside as the opening and both flat legs: try it on card.',
      materials: [strip],
    },
    {
      key: 'fold',
      title: 'Cut {foldedMm} mm, bend the legs, fold at {marks} mm',
      operation: 'cut',
      hours: '1.2',
      when: "corners == 'folded'",
      ...shed,
      caution:
        'Cut sheet has edges like knives. Notch the flat leg at each mark; fold the first corner, hold it to the frame, and move the other marks by what it was out.',
      materials: [strip],
    },
    {
      key: 'dryFit',
      title: 'Dry fit; flush on top where it will be covered',
      operation: 'fit',
      hours: '0.8',
    },
    {
      key: 'drain',
      title: 'Drain at the low corner, hose tail',
      operation: 'plumb',
      hours: '0.6',
      materials: [{ what: 'Drain, hose tail and clips', unit: 'pieces', quantity: '1' }],
    },
    {
      key: 'bed',
      title: 'Bed it, rivet or bolt',
      operation: 'bed',
      hours: '0.8',
      dry: true,
      wait: sealantSets('24'),
      materials: [
        { what: 'Rivet or bolt', unit: 'pieces', quantity: 'fastenings', pack: 10 },
        { what: 'Sealant', unit: 'cartridges', quantity: 'cartridges(beadMl(6, roundM))', pack: 1 },
      ],
    },
    { key: 'hose', title: 'Hose test', operation: 'test', hours: '0.3', ...two, helpers: true },
  ],
}
