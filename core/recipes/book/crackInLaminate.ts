import type { Recipe } from '../recipe'
import { chem, fairRounds, input, ours, stackChoice } from './words'

/** 31 */
export const crackInLaminate: Recipe = {
  ...ours,
  key: 'crack-in-laminate',
  title: 'Crack or hole in laminate',
  about:
    'A solid skin, from one side or both. What caused it is found first. Hull below the water, keel and rig: a surveyor says how.',
  purpose: 'safe',
  system: 'structure',
  inputs: [
    input(
      'longMm',
      'Hole or crack, long',
      'mm',
      [5, 150, 3000],
      'To its last sound edge, tapped.',
      {
        drawing: 'panel',
      },
    ),
    input('wideMm', 'Wide', 'mm', [1, 40, 3000], 'A crack is as wide as it is ground open.', {
      drawing: 'panel',
    }),
    input('skin', 'Skin', 'mm', [1, 6, 60], 'At the hole’s edge.', { drawing: 'plies' }),
    input('cloth', 'Cloth', 'g/m²', [100, 450, 1200], 'Stitched biaxial.', { drawing: 'cloth' }),
  ],
  choices: [
    {
      key: 'sides',
      label: 'Reached from',
      initial: 'one',
      options: [
        {
          value: 'one',
          label: 'One side',
          why: 'A thin backer is glued in behind; the patch is laid against it. The inside is never seen.',
        },
        {
          value: 'both',
          label: 'Both sides',
          why: 'A mould is held against the good face; the other gets the patch, and two plies go over inside. Stronger, and seen.',
        },
      ],
    },
    {
      key: 'overhead',
      label: 'It lies',
      initial: 'no',
      options: [
        { value: 'no', label: 'Flat or upright', why: 'Resin stays where it is put.' },
        {
          value: 'yes',
          label: 'Overhead',
          why: 'Thickened first coat, small plies, half again the hours; it drips on whoever lies beneath.',
        },
      ],
    },
    stackChoice,
  ],
  values: [
    { key: 'ply', label: 'A ply', unit: 'mm', formula: 'plyMm(cloth, 0.5)' },
    { key: 'plies', label: 'Plies', unit: 'pieces', formula: 'pliesToLevel(skin, ply)' },
    { key: 'sessions', label: 'Sessions of five plies', unit: 'times', formula: 'ceil(plies / 5)' },
    { key: 'taper', label: 'Taper all round', unit: 'mm', formula: 'taperMm(skin, 12)' },
    {
      key: 'clothM2',
      label: 'Cloth of the patch',
      unit: 'm²',
      formula: 'stackAreaM2(longMm, wideMm, taper, plies)',
    },
    {
      key: 'groundM2',
      label: 'Ground and painted',
      unit: 'm²',
      formula: '(longMm + 2 * taper) * (wideMm + 2 * taper) / 1000000',
    },
    {
      key: 'harder',
      label: 'Overhead, times',
      unit: 'times',
      formula: "overhead == 'yes' ? 1.5 : 1",
    },
  ],
  steps: [
    {
      key: 'why',
      title: 'Find why: load, knock, flex; tap out how far it goes',
      operation: 'survey',
      hours: '0.5',
    },
    {
      key: 'taper',
      title: 'Grind the taper, edges round',
      operation: 'grind',
      hours: '(0.4 + 1.5 * groundM2) * harder',
      dry: true,
      caution: 'Glass dust: P3, goggles, extraction, sheet round it.',
    },
    {
      key: 'backer',
      title: 'Backer in, held with a wire, or mould against the good face',
      operation: 'laminate',
      hours: '0.6 * harder',
      minC: 12,
      wait: chem(12),
      materials: [
        { what: 'Backer or mould sheet', unit: 'm²', quantity: 'longMm * wideMm / 1000000 * 2' },
        { what: 'Epoxy, mixed', unit: 'kg', quantity: '0.1', mix: 'bed' },
      ],
    },
    {
      key: 'plies',
      title: 'Lay plies, session {n} of {times}, peel ply over',
      operation: 'laminate',
      times: 'sessions',
      hours: '(0.3 + (0.15 * plies + clothM2) / sessions) * harder',
      dry: true,
      minC: 12,
      wait: chem(16),
      within: '72',
      caution: 'Small cups: a thick patch laid in one go cooks. Overhead: goggles, hat, sleeves.',
      materials: [
        {
          what: 'Biaxial {cloth} g/m², stitched',
          unit: 'm²',
          quantity: 'clothM2 * 1.1 / sessions',
        },
        {
          what: 'Epoxy, mixed',
          unit: 'kg',
          quantity: 'clothM2 * 1.1 * resinKgPerM2(cloth, 0.5) / sessions',
          mix: 'wetOut',
        },
        { what: 'Peel ply', unit: 'm²', quantity: 'groundM2 * 1.2' },
      ],
    },
    {
      key: 'inside',
      title: 'Two plies over on the other face',
      operation: 'laminate',
      when: "sides == 'both'",
      hours: '0.6 * harder',
      minC: 12,
      wait: chem(16),
      materials: [
        { what: 'Biaxial {cloth} g/m², stitched', unit: 'm²', quantity: '2 * groundM2 * 1.1' },
        {
          what: 'Epoxy, mixed',
          unit: 'kg',
          quantity: '2 * groundM2 * 1.1 * resinKgPerM2(cloth, 0.5)',
          mix: 'wetOut',
        },
      ],
    },
    {
      key: 'tap',
      title: 'Tap test: no dull place',
      operation: 'test',
      hours: '0.1',
    },
    {
      key: 'fair',
      title: 'Fill and fair',
      operation: 'fair',
      hours: '(0.3 + groundM2) * harder',
      dry: true,
      minC: 10,
      wait: chem(12),
      ...fairRounds,
      materials: [{ what: 'Fairing filler', unit: 'L', quantity: 'groundM2 * 0.8' }],
    },
    {
      key: 'seal',
      title: 'Prime and match, coat {n} of {times}',
      operation: 'paint',
      times: '2',
      hours: '0.2 + 0.2 * groundM2',
      dry: true,
      minC: 10,
      wait: chem(16),
      within: '48',
      materials: [
        { what: 'Primer or gelcoat to match', unit: 'L', quantity: 'coatLitres(groundM2, 1, 8)' },
      ],
    },
  ],
}
