import type { Recipe } from '../recipe'
import { input, ours, sealantSets, two, writeDown } from './words'

/** 13 */
export const rebedTrim: Recipe = {
  ...ours,
  key: 'rebed-trim',
  title: 'Re-bed a sliding hatch or long trim',
  about: 'For anything long that lies in sealant: hatch runners, rails, window frames, eyebrows.',
  purpose: 'float',
  system: 'deck',
  inputs: [
    input('lengthM', 'Length of trim', 'm', [0.2, 2.4, 40], 'All that is lifted, end to end.', {
      drawing: 'line',
    }),
    input('beadMm', 'Bead', 'mm', [3, 6, 15], 'What squeezes out all along when it is seated.', {
      drawing: 'bead',
    }),
    input(
      'skinH',
      'Sealant takes light parts after',
      'h',
      [1, 12, 96],
      'When it may be nipped up or a second bead laid, from its data sheet.',
      { drawing: 'calendar' },
    ),
    input('cureDays', 'Sealant cures', 'days', [1, 5, 21], 'Full cure, from its data sheet.', {
      drawing: 'calendar',
    }),
  ],
  choices: [
    {
      key: 'method',
      label: 'How it is set',
      initial: 'wet',
      options: [
        {
          value: 'wet',
          label: 'Wet, tightened fully',
          why: 'One visit: bead, seat, tighten, tool, pull the tape. Squeezes thin where it bends.',
        },
        {
          value: 'gasket',
          label: 'As a gasket',
          why: 'Seated to a gap of 1–2 mm, cured, then nipped up: an even gasket that stays. Two visits.',
        },
      ],
    },
  ],
  values: [
    {
      key: 'sealantMl',
      label: 'Sealant, both beads',
      unit: 'mL',
      formula: '2 * beadMl(beadMm, lengthM)',
    },
  ],
  steps: [
    { key: 'mask', title: 'Dry fit, mask the line', operation: 'fit', hours: '0.5' },
    {
      key: 'lift',
      title: 'Lift, scrape, wipe with solvent',
      operation: 'strip',
      hours: '2 * lengthM',
      dry: true,
      within: '10',
      caution:
        'Bedded the same day, or she stands open overnight: no more is lifted than goes back by evening. Solvent: fresh air, no flames, rags laid flat to dry.',
      tools: ['Thin blade', 'Scrapers', 'Solvent'],
    },
    {
      key: 'bed',
      title: 'Bed it',
      operation: 'bed',
      hours: '0.4 * lengthM',
      ...two,
      dry: true,
      wait: sealantSets('skinH'),
      materials: [
        { what: 'Sealant', unit: 'cartridges', quantity: 'cartridges(sealantMl)', pack: 1 },
        { what: 'Masking tape', unit: 'm', quantity: '2 * lengthM * 1.1', pack: 50 },
        { what: 'Sheet and tape to shut her if the day runs out', unit: 'm', quantity: 'lengthM' },
      ],
    },
    {
      key: 'nip',
      title: 'Nip it up',
      operation: 'fit',
      hours: '0.1 * lengthM',
      when: "method == 'gasket'",
      caution: 'Turn the nut, not the bolt.',
    },
    {
      key: 'second',
      title: 'Second bead along the edge',
      operation: 'bed',
      hours: '0.2 * lengthM',
      dry: true,
      wait: sealantSets('24 * cureDays'),
      noMaterial: 'From the cartridges of the first bead: both are counted there.',
    },
    {
      key: 'hose',
      title: 'Hose test, low to high',
      operation: 'test',
      hours: '0.3',
      ...two,
      helpers: true,
      tools: ['Hose', 'Torch'],
    },
    writeDown('sealant, bead and how it comes off again'),
  ],
}
