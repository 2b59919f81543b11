import type { Writer } from '../write'

/** Jobs written by hand after a recipe of the book, with what was measured for them. */
export function writeByRecipe(write: Writer): void {
  write.follows(
    'foredeck',
    'recore-above',
    { areaM2: 2.1, edgeM: 6.4, fittings: 4, core: 12, plies: 6, cloth: 450, perSession: 2 },
    {
      keys: ['areaM2', 'edgeM', 'fittings', 'core', 'plies', 'cloth'],
      by: 'oona',
      on: '2026-10-10',
    },
    [
      'map',
      'tent',
      'prop',
      'strip',
      'cut',
      'rake',
      'taper',
      'prime',
      'core',
      'bedCore',
      'level',
      'plies.1',
      'plies.3',
      'fair',
      'fair',
      'primer',
      'paint',
    ],
  )
  write.follows(
    'beam',
    'sister-frame',
    { members: 1, lengthM: 1.9, butts: 0 },
    { keys: ['members', 'lengthM', 'butts'], by: 'piet', on: '2027-03-07' },
    ['clear', 'pattern', 'fasten', null],
  )
  write.follows(
    'chain-drain',
    'dry-local-core',
    { areaM2: 0.012, holes: 1, bolt: 20, skin: 9, core: 12, ring: 20, way: 'ring' },
    { keys: ['holes', 'skin', 'core'], by: 'piet', on: '2027-03-28' },
    ['open', 'fill', null, 'hose'],
  )
  write.follows(
    'transducer',
    'transducer',
    { deadrise: 18 },
    { keys: [], by: 'piet', on: '2027-03-20' },
    ['mark', null, 'bucket', 'bore', 'barrier', 'bed', 'connect'],
  )
  write.follows(
    'posts',
    'posts-and-rail',
    { lengthM: 9.62, longestM: 1.6, gateAtM: 3.4, gateM: 0.7, boltsEach: 4 },
    { keys: ['lengthM', 'gateAtM', 'gateM', 'boltsEach'], by: 'oona', on: '2027-03-20' },
    ['walk', 'plan', 'fabricate'],
  )
}
