import type { Recipe } from '../recipe'
import {
  closingSteps,
  measureStep,
  openingInputs,
  openingSteps,
  openingValues,
  openingWay,
  padStep,
  readingStep,
  watchSteps,
} from './hullOpening'
import { ashore, input, ours, two, writeDown } from './words'

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
      hull: 'either',
      caution: 'Read depth or volts on the display with its own cable before a hole is drilled.',
      materials: [{ what: 'Transducer for {deadrise}° deadrise', unit: 'pieces', quantity: '1' }],
    },
    measureStep,
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
    padStep,
    ...closingSteps('Housing and blanking plug, {bore} mm'),
    {
      key: 'connect',
      title: 'Cable run and connected, no joint in the bilge',
      operation: 'wire',
      hours: '0.6',
      ...ashore,
      skill: 'electrics',
      materials: [{ what: 'Cable clip', unit: 'pieces', quantity: '10' }],
    },
    {
      key: 'work',
      title: 'Plug and insert changed over once',
      operation: 'test',
      hours: '0.1',
      ...ashore,
    },
    { ...writeDown('place, angle, sealant and cable'), ...ashore },
    ...watchSteps,
  ],
}
