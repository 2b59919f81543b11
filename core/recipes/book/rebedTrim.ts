import type { Recipe } from '../recipe'
import { input, ours, sealantSets, two } from './words'

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
      caution: 'Solvent: fresh air, no flames, rags laid flat to dry.',
      tools: ['Thin blade', 'Scrapers', 'Solvent'],
    },
    {
      key: 'bed',
      title: 'Bed it',
      operation: 'bed',
      hours: '0.4 * lengthM',
      ...two,
      dry: true,
      wait: sealantSets('24'),
      materials: [
        { what: 'Sealant', unit: 'cartridges', quantity: 'cartridges(sealantMl)', pack: 1 },
        { what: 'Masking tape', unit: 'm', quantity: '2 * lengthM * 1.1', pack: 50 },
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
      wait: sealantSets('24'),
    },
  ],
}
