import type { Recipe } from '../recipe'
import { chem, input, ours, two } from './words'

/** 32 */
export const renewStructure: Recipe = {
  ...ours,
  key: 'renew-structure',
  title: 'Stringer, bulkhead foot or sole bearer renewed',
  about:
    'A stiffener whose core or foot has gone: supported, patterned, cut out, bedded, tabbed. What ties the keel or the rig to the hull: a surveyor says how.',
  purpose: 'safe',
  system: 'structure',
  inputs: [
    input('lengthM', 'Length renewed', 'm', [0.1, 1.5, 30], 'To sound wood, and a scarf more.', {
      drawing: 'frame',
    }),
    input('pieces', 'Pieces', 'pieces', [1, 1, 20], 'Alike, done one after the other.', {
      whole: true,
      drawing: 'count',
    }),
    input('highMm', 'Height', 'mm', [10, 80, 1000], 'Over the skin.', { drawing: 'section' }),
    input('thick', 'Thick', 'mm', [3, 18, 100], 'Of the new stuff.', { drawing: 'section' }),
    input('plies', 'Tabbing plies', 'pieces', [1, 3, 12], 'As many as there were, or more.', {
      whole: true,
      drawing: 'plies',
    }),
    input('fillet', 'Fillet', 'mm', [5, 15, 60], 'Radius.', { drawing: 'fillet' }),
    input('cloth', 'Cloth', 'g/m²', [200, 450, 1200], 'Stitched biaxial.', { drawing: 'cloth' }),
  ],
  choices: [
    {
      key: 'stuff',
      label: 'New stuff',
      initial: 'ply',
      options: [
        {
          value: 'ply',
          label: 'Marine plywood, sealed',
          why: 'Cheap, holds screws, rots again where water stands on a raw edge.',
        },
        {
          value: 'solid',
          label: 'Solid wood, sealed',
          why: 'For bearers that carry. Moves with damp.',
        },
        {
          value: 'foam',
          label: 'Dense foam, glassed all over',
          why: 'Cannot rot; the glass over it is the beam, so more of it. Fastenings want blocks let in.',
        },
      ],
    },
  ],
  values: [
    { key: 'jointM', label: 'Joint, both sides', unit: 'm', formula: '2 * lengthM * pieces' },
    {
      key: 'filletMl',
      label: 'Fillet filler',
      unit: 'mL',
      formula: 'filletMlPerM(fillet) * jointM * 1.25',
    },
    {
      key: 'tabM2',
      label: 'Cloth',
      unit: 'm²',
      formula:
        "tabbingAreaM2(jointM, 50, fillet, plies) * 1.1 + (stuff == 'foam' ? lengthM * pieces * highMm * 2 / 1000 * 1.1 : 0)",
    },
    {
      key: 'resinKg',
      label: 'Resin, mixed',
      unit: 'kg',
      formula: 'tabM2 * resinKgPerM2(cloth, 0.5)',
    },
  ],
  steps: [
    {
      key: 'support',
      title: 'Support what it carries, so that nothing moves',
      operation: 'setUp',
      hours: '0.5 + 0.3 * pieces',
      caution:
        'Never two neighbours at once. A hull on stands changes shape when its bones are cut.',
    },
    {
      key: 'pattern',
      title: 'Pattern, heights from a datum, before anything is cut',
      operation: 'survey',
      hours: '0.4 * pieces',
    },
    {
      key: 'cut',
      title: 'Cut it out, leave the old tabs as a mark',
      operation: 'cut',
      hours: '0.8 * lengthM * pieces',
      count: { unit: 'pieces', of: 'pieces', noNeighbours: true },
      caution: 'Depth of the blade: the hull is behind it. Glass dust: P3, goggles.',
    },
    {
      key: 'grind',
      title: 'Grind to sound glass, vacuum, wipe',
      operation: 'grind',
      hours: '0.5 * lengthM * pieces',
      caution: 'Confined space: extraction, a second person within call.',
    },
    {
      key: 'make',
      title: 'Make the new piece, dry fit',
      operation: 'fit',
      place: 'shed',
      hours: '0.8 * pieces + 0.3 * lengthM * pieces',
      materials: [
        {
          what: 'Stuff for the pieces, {highMm} × {thick} mm',
          unit: 'm',
          quantity: 'lengthM * pieces * 1.1',
        },
      ],
    },
    {
      key: 'seal',
      title: 'Seal every face and end twice',
      operation: 'prime',
      when: "stuff != 'foam'",
      hours: '0.2 * pieces',
      minC: 10,
      wait: chem(8),
      within: '48',
      materials: [
        {
          what: 'Epoxy, mixed, to seal',
          unit: 'kg',
          quantity: 'lengthM * pieces * highMm / 1000 * 2 * 0.3',
          mix: 'wetOut',
        },
      ],
    },
    {
      key: 'bed',
      title: 'Bed in thick mix, held to the marks',
      operation: 'laminate',
      ...two,
      hours: '0.6 * pieces + 0.2 * lengthM * pieces',
      minC: 12,
      wait: chem(12),

      caution: 'No hard spot on a thin skin: bed on a bead of mix, never wood on hull.',
      materials: [
        {
          what: 'Thick bedding mix',
          unit: 'mL',
          quantity: 'lengthM * pieces * thick * 4 * 1.25',
          mix: 'bed',
        },
      ],
    },
    {
      key: 'tab',
      title: 'Fillet, then {plies} plies of tabbing each side, peel ply',
      operation: 'laminate',
      hours: '0.5 * jointM + 0.15 * plies * jointM',
      minC: 12,
      wait: chem(16),
      materials: [
        { what: 'Fillet mix', unit: 'mL', quantity: 'filletMl', mix: 'fillet' },
        { what: 'Biaxial {cloth} g/m², stitched', unit: 'm²', quantity: 'tabM2' },
        { what: 'Epoxy, mixed', unit: 'kg', quantity: 'resinKg', mix: 'wetOut' },
        { what: 'Peel ply', unit: 'm²', quantity: 'tabM2 / plies' },
      ],
    },
    {
      key: 'tap',
      title: 'Tap the tabs; supports out one by one, watch the heights',
      operation: 'test',
      hours: '0.3',
    },
    {
      key: 'paint',
      title: 'Limber holes clear, bilge paint',
      operation: 'paint',
      hours: '0.4 * lengthM * pieces',
      minC: 10,
      wait: chem(16),
      materials: [
        {
          what: 'Bilge paint',
          unit: 'L',
          quantity: 'coatLitres(2 * lengthM * pieces * highMm / 1000, 1, 9)',
        },
      ],
    },
  ],
}
