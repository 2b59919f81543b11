import type { Recipe } from '../recipe'
import { afterGate, beddingChoice, chem, input, ours, sealantSets, two, writeDown } from './words'

/** 34 */
export const smallFittings: Recipe = {
  ...ours,
  key: 'small-fittings',
  title: 'Small fittings through a cored skin',
  about:
    'Fairleads, hinges, eyes, vents: many holes, each through the core or into it. None of them lets water reach it.',
  purpose: 'live',
  system: 'deck',
  inputs: [
    input('fittings', 'Fittings', 'pieces', [1, 6, 200], 'That are bedded.', {
      whole: true,
      drawing: 'holes',
    }),
    input(
      'through',
      'Holes right through, in all',
      'pieces',
      [0, 12, 600],
      'For bolts and hoses.',
      {
        whole: true,
        drawing: 'holes',
      },
    ),
    input('blind', 'Blind holes, in all', 'pieces', [0, 12, 600], 'For screws into a plug.', {
      whole: true,
      drawing: 'holes',
    }),
    input('bolt', 'Bolt or screw', 'mm', [4, 6, 12], 'Its thread.', {
      thread: true,
      drawing: 'bolt',
    }),
    input('overDrill', 'Drilled larger by', 'mm', [4, 6, 30], 'Wall of filling round it.', {
      drawing: 'overDrill',
    }),
    input('skin', 'Outer skin', 'mm', [1, 4, 20], 'At the edge of a hole.', {
      drawing: 'skinAndCore',
    }),
    input('core', 'Core', 'mm', [3, 12, 60], 'At the edge of a hole.', { drawing: 'skinAndCore' }),
    input('undercut', 'Core dug back', 'mm', [0, 5, 20], 'Beyond the hole.', {
      drawing: 'undercut',
    }),
    input('stack', 'What a bolt passes', 'mm', [5, 26, 120], 'Base, deck, washer plate, bedding.', {
      drawing: 'bolt',
    }),
    input('roundM', 'Round a fitting', 'm', [0.02, 0.3, 3], 'Edge of its base.', {
      drawing: 'bead',
    }),
  ],
  choices: [beddingChoice],
  values: [
    { key: 'overHole', label: 'Over-drill', unit: 'mm', formula: 'bolt + overDrill' },
    { key: 'clear', label: 'Drilled again', unit: 'mm', formula: 'clearanceMm(bolt)' },
    {
      key: 'holes',
      label: 'Holes sealed',
      unit: 'pieces',
      formula: 'through + blind',
    },
    {
      key: 'thickMix',
      label: 'Thick mix',
      unit: 'mL',
      formula: 'holes * sleeveMl(overHole, skin + core, undercut, core)',
    },
    {
      key: 'boltLong',
      label: 'Bolt to buy',
      unit: 'mm',
      formula: 'boltToBuy(bolt, stack, washersMm(bolt, 2))',
    },
    { key: 'bead', label: 'Bead', unit: 'm', formula: 'fittings * roundM' },
  ],
  steps: [
    {
      key: 'mark',
      title: 'Mark, look at what is behind, each from a datum',
      operation: 'survey',
      hours: '0.1 * fittings',
      caution: 'Wires and pipes behind: isolate, move, or move the fitting.',
    },
    {
      key: 'drill',
      title: 'Over-drill {overHole} mm through skin and core, inner skin whole, dig back',
      operation: 'drill',
      hours: '0.12 * holes',
      dry: true,
      when: 'holes > 0',
      count: { unit: 'holes', of: 'holes', proveOnOne: true },
      caution: 'Depth stop set on the first. Wet core that comes out is a finding.',
    },
    {
      key: 'fill',
      title: 'Wet out thin, fill thick, flush',
      operation: 'fill',
      hours: '0.08 * holes',
      dry: true,
      minC: 10,
      when: 'holes > 0',
      wait: chem(16),
      materials: [
        {
          what: 'Epoxy thickened for filling',
          unit: 'mL',
          quantity: 'thickMix',
          mix: 'fill',
        },
      ],
    },
    {
      key: 'again',
      title: 'Drill again {clear} mm, pilots where it is blind, edges countersunk for an O-ring',
      operation: 'drill',
      hours: '0.06 * holes',
      when: 'holes > 0',
    },
    {
      key: 'dryFit',
      title: 'Dry fit all, one bolt measured',
      operation: 'fit',
      hours: '0.08 * fittings',
    },
    {
      key: 'bed',
      title: 'Bed in butyl, bolts from inside',
      operation: 'bed',
      when: "bedding == 'butyl'",
      ...two,
      hours: '0.15 * fittings + 0.03 * through',
      dry: true,
      materials: [
        { what: 'Butyl tape', unit: 'm', quantity: 'bead * 1.15', pack: 8 },
        {
          what: 'Bolt M{bolt} × {boltLong} mm',
          unit: 'pieces',
          quantity: 'withSpares(through, 1)',
          when: 'through > 0',
        },
        {
          what: 'Screw {bolt} mm',
          unit: 'pieces',
          quantity: 'withSpares(blind, 1)',
          when: 'blind > 0',
        },
      ],
    },
    {
      key: 'bedSealant',
      title: 'Bed in sealant, bolts from inside',
      operation: 'bed',
      when: "bedding == 'sealant'",
      ...two,
      hours: '0.18 * fittings + 0.03 * through',
      dry: true,
      wait: sealantSets('72'),
      materials: [
        {
          what: 'Sealant, serviceable',
          unit: 'cartridges',
          quantity: 'cartridges(beadMl(6, bead))',
          pack: 1,
        },
        {
          what: 'Bolt M{bolt} × {boltLong} mm',
          unit: 'pieces',
          quantity: 'withSpares(through, 1)',
          when: 'through > 0',
        },
        {
          what: 'Screw {bolt} mm',
          unit: 'pieces',
          quantity: 'withSpares(blind, 1)',
          when: 'blind > 0',
        },
      ],
    },
    {
      key: 'hose',
      title: 'Hose test, somebody below',
      operation: 'test',
      ...two,
      hours: '0.3',
    },
    {
      key: 'takeUp',
      title: 'Nip the butyl up after a week',
      operation: 'fit',
      when: "bedding == 'butyl' && through > 0",
      ...afterGate,
      hours: '0.01 * through + 0.1',
      noMaterial: 'Nothing is added: what is there is pressed.',
    },
    writeDown('holes, plugs and bedding'),
  ],
}
