import type { Recipe } from '../recipe'
import {
  bedSteps,
  boltMaterials,
  plateInputs,
  plateStep,
  plateValues,
  proveSteps,
  sleeveInputs,
  sleeveSteps,
  sleeveValues,
} from './sleevedFitting'
import { beddingChoice, counted, input, oldOrNew, ours, writeDown } from './words'

/** 1 */
export const sleeveAndBed: Recipe = {
  ...ours,
  key: 'sleeve-and-bed',
  title: 'Sleeve and bed a through-bolted deck fitting',
  about:
    'For a cleat, post base, winch or roller bolted through a cored or solid deck. Wet core found on the way is a job of its own.',
  purpose: 'float',
  system: 'deck',
  inputs: [
    input('holes', 'Holes', 'pieces', [1, 4, 60], 'Bolts through this fitting.', {
      ...counted,
      drawing: 'holes',
    }),
    ...sleeveInputs,
    ...plateInputs,
  ],
  choices: [oldOrNew, beddingChoice],
  values: [
    { key: 'bases', label: 'Fittings', unit: 'pieces', formula: '1' },
    ...sleeveValues,
    ...plateValues,
    { key: 'bolts', label: 'Bolts with spares', unit: 'pieces', formula: 'withSpares(holes, 1)' },
  ],
  steps: [
    {
      key: 'strip',
      title: 'Take the old fitting off',
      operation: 'strip',
      hours: '0.3 + 0.15 * holes',
      when: "place == 'old'",
      tools: ['Spanners', 'Thin blade', 'Penetrating oil'],
    },
    {
      key: 'mark',
      title: 'Mark it out, look at what is below',
      operation: 'survey',
      hours: '0.3',
      when: "place == 'new'",
      caution: 'Wires, pipes, tanks and frames under the deck: see them, or drill a pilot by hand.',
      tools: ['Tape', 'Torch', 'Fitting as template'],
    },
    ...sleeveSteps,
    plateStep,
    { key: 'dryFit', title: 'Dry fit, check the bolt length', operation: 'fit', hours: '0.3' },
    ...bedSteps(boltMaterials),
    ...proveSteps,
    writeDown('sealant, holes, bolts and plate'),
  ],
}
