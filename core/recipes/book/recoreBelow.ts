import type { Recipe } from '../recipe'
import { recoreAbove } from './recoreAbove'
import { chem, driesFor, dryingDays, input, ours, shed, two, moistureRead } from './words'

const ofAbove = (key: string) => {
  const found = recoreAbove.inputs.find((one) => one.key === key)
  if (!found) throw new RangeError(`recoreBelow: no input ${key}`)
  return found
}

/** The other side of 4: the non-skid stays, the work is overhead. */
export const recoreBelow: Recipe = {
  ...ours,
  key: 'recore-below',
  title: 'Re-core a deck panel from below',
  about:
    'For wet or crushed core under a deck whose non-skid is good and whose lining is out anyway. Overhead, so slower; the outer skin carries meanwhile and must be sound.',
  purpose: 'float',
  system: 'deck',
  inputs: [
    ofAbove('areaM2'),
    ofAbove('edgeM'),
    input(
      'liningH',
      'Lining out and back',
      'h',
      [0, 3, 60],
      'What hangs under the panel: both ways together.',
    ),
    ofAbove('core'),
    input('plies', 'Plies under it', 'pieces', [1, 3, 12], 'To bring the inner skin back.', {
      whole: true,
      drawing: 'plies',
    }),
    ofAbove('cloth'),
    dryingDays(7, 3, 120),
  ],
  choices: [],
  values: [
    { key: 'ply', label: 'One ply', unit: 'mm', formula: 'plyMm(cloth, 0.5)' },
    { key: 'taper', label: 'Taper to grind', unit: 'mm', formula: 'taperMm(plies * ply, 12)' },
    {
      key: 'plyM2',
      label: 'Cloth of one ply with a tenth for cutting',
      unit: 'm²',
      formula: '(areaM2 + edgeM * taper / 2000) * 1.1',
    },
  ],
  steps: [
    {
      key: 'lining',
      title: 'Lining down, wires and nuts marked',
      operation: 'strip',
      opens: false,
      hours: '0.5 * liningH',
      when: 'liningH > 0',
    },
    {
      key: 'prop',
      title: 'Mark the cut, prop the deck beside it',
      operation: 'setUp',
      hours: '1',
      caution: 'Nobody walks above while it has one skin.',
    },
    {
      key: 'cut',
      title: 'Cut the inner skin out overhead',
      operation: 'cut',
      hours: '2.2 * areaM2',
      caution:
        'Dust falls on you: P3 hood, goggles, gloves, extraction. Set the blade to the skin: the outer one stays whole.',
      tools: ['Saw with set depth', 'Vacuum', 'Screen for the cabin'],
    },
    {
      key: 'rake',
      title: 'Rake the core out overhead',
      operation: 'strip',
      hours: '3.5 * areaM2',
      wait: driesFor('dryDays'),
      ...moistureRead,
    },
    {
      key: 'reading',
      title: 'Moisture reading passes',
      operation: 'test',
      ...moistureRead,
      hours: '0.2',
      caution: 'Do not close over a reading that fails.',
    },
    {
      key: 'taper',
      title: 'Grind the taper, {taper} mm wide',
      operation: 'grind',
      hours: '0.6 * edgeM',
      tools: ['Grinder', '40 grit', 'Extraction'],
    },
    {
      key: 'prime',
      title: 'Abrade, wipe and prime the outer skin from inside',
      operation: 'prime',
      hours: '0.8 * areaM2',
      minC: 12,
      wait: chem(12),
      materials: [
        {
          what: 'Epoxy, mixed, to prime the skin',
          unit: 'kg',
          mix: 'wetOut',
          quantity: '0.25 * areaM2',
        },
      ],
    },
    {
      key: 'core',
      title: 'Pattern and cut the core, in pieces one can hold up',
      operation: 'fit',
      hours: '2.2 * areaM2',
      ...shed,
      materials: [{ what: 'Core {core} mm', unit: 'm²', quantity: '1.1 * areaM2' }],
    },
    {
      key: 'bedCore',
      title: 'Bed the core overhead in thick mix, prop it up',
      operation: 'laminate',
      hours: '2.5 * areaM2',
      ...two,
      minC: 12,
      wait: chem(24),
      caution: 'Resin drips: hood, goggles, no bare skin. Cups small: a cabin is warm and close.',
      materials: [
        { what: 'Thick bedding mix', unit: 'L', mix: 'bed', quantity: '3 * areaM2 * 1.15' },
      ],
    },
    { key: 'tap', title: 'Tap test from above', operation: 'test', hours: '0.2 * areaM2' },
    {
      key: 'plies',
      title: 'Lay ply {n} of {times} overhead',
      operation: 'laminate',
      times: 'plies',
      hours: '1 * areaM2',
      ...two,
      minC: 12,
      wait: chem(24),
      within: '72',
      caution:
        'Gloves, hood, no bare skin: resin sensitises for life. Fresh air through the cabin.',
      materials: [
        { what: 'Biaxial {cloth} g/m², stitched', unit: 'm²', quantity: 'plyM2' },
        {
          what: 'Epoxy, mixed',
          unit: 'kg',
          mix: 'wetOut',
          quantity: 'plyM2 * resinKgPerM2(cloth, 0.5)',
        },
        { what: 'Peel ply', unit: 'm²', quantity: 'plyM2' },
      ],
    },
    {
      key: 'seal',
      title: 'Key and paint it from below',
      operation: 'paint',
      hours: '0.5 * areaM2',
      minC: 10,
      wait: chem(24),
      materials: [{ what: 'Bilge paint', unit: 'L', quantity: 'coatLitres(areaM2, 2, 10)' }],
    },
    {
      key: 'back',
      title: 'Lining back, last',
      operation: 'close',
      hours: '0.5 * liningH',
      when: 'liningH > 0',
    },
  ],
}
