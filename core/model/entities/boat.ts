/** What she is made of, as far as work is sorted by it. */
import { choice, flag, maybe, real, text } from '../field'
import { kind } from '../kind'
import * as said from '../said'
import * as words from '../words'

export const system = kind(
  'system',
  {
    name: text('System'),
    kind: choice('Kind of system', words.systemKinds),
    order: text('Order', 80),
  },
  { planInput: true },
)

export const zone = kind(
  'place on the boat',
  {
    name: text('Place on the boat'),
    side: choice('Side', ['port', 'starboard', 'both', 'centre'], 'both'),
    belowWaterline: flag('Below the waterline', false),
    strake: choice('Strake', words.strakes, 'deck', said.strake),
    /** Share of the length, 0 the stern to 1 the bow. Null: not said, and drawn where there is room. */
    along: maybe(real('How far forward', { min: 0, max: 1 })),
    order: text('Order', 80),
  },
  { planInput: true },
)
