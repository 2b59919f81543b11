import type { Recipe } from '../recipe'
import {
  closingSteps,
  openingInputs,
  openingSteps,
  openingValues,
  openingWay,
  readingStep,
  watchStep,
} from './hullOpening'
import { ashore, input, ours, two } from './words'

/** 8 */
export const transducer: Recipe = {
  ...ours,
  key: 'transducer',
  title: 'Transducer, flush or with fairing',
  about:
    'For a depth or speed transducer through the hull. Its built-in angle is chosen by the deadrise, its body by the metal or plastic the hull can take.',
  purpose: 'go',
  system: 'electronics',
  inputs: [
    input(
      'deadrise',
      'Deadrise',
      '°',
      [0, 12, 40],
      'Level across the hull, angle to it, where it will sit.',
      {
        drawing: 'angle',
      },
    ),
    ...openingInputs,
  ],
  choices: [
    {
      key: 'body',
      label: 'Body',
      initial: 'flush',
      options: [
        {
          value: 'flush',
          label: 'Flush, tilted element',
          why: 'Nothing stands proud, no fairing to cut: for hulls as steep as the element is tilted.',
        },
        {
          value: 'fairing',
          label: 'With a fairing block',
          why: 'For steep hulls: the block is cut to the hull\u2019s angle, inside and out, and stands in the flow.',
        },
      ],
    },
    openingWay,
  ],
  values: openingValues,
  steps: [
    {
      key: 'bucket',
      title: 'Try it in a bucket of water before it goes in',
      operation: 'test',
      hours: '0.5',
      skill: 'electrics',
      materials: [{ what: 'Transducer for {deadrise}° deadrise', unit: 'pieces', quantity: '1' }],
    },
    {
      key: 'mark',
      title: 'Mark it from the keel with a template, sight it from ahead',
      operation: 'survey',
      hours: '0.6',
      ...ashore,
      ...two,
      tools: ['Level', 'Angle gauge', 'Card for a template'],
    },
    {
      key: 'fairing',
      title: 'Cut the fairing to {deadrise}°, both halves',
      operation: 'cut',
      hours: '1',
      when: "body == 'fairing'",
      place: 'shed',
      materials: [{ what: 'Fairing block', unit: 'pieces', quantity: '1' }],
    },
    readingStep,
    ...openingSteps,
    ...closingSteps,
    watchStep,
  ],
}
