/** What was stripped out and put away. */
import { choice, date, maybe, note, ref, states, text } from '../field'
import { kind } from '../kind'
import * as said from '../said'
import * as words from '../words'

/** Something stripped out and put away until a step wants it back. */
export const bag = kind('bag', {
  code: text('Code', 20),
  what: text('What is in it', 300),
  contents: note('Contents'),
  fromZoneId: maybe(ref('Came from', 'zone')),
  jobId: maybe(ref('Stripped out for', 'job')),
  wantedByStepId: maybe(ref('Wanted back by', 'step')),
  /** '' when nobody knows: it is warned about as its step nears. */
  storedAt: note('Where it is', 200),
  lastSeenOn: maybe(date('Last seen on')),
  worth: choice('Used again', words.bagWorths, 'notLooked', said.bagWorths),
  state: states(
    words.bagStates,
    'stored',
    {
      stored: ['fitted', 'lost'],
      lost: ['stored', 'fitted'],
      fitted: ['stored'],
    },
    said.bagState,
  ),
  order: text('Order', 80),
})

export const bagWire = kind('wire', {
  bagId: ref('Bag', 'bag', { onDelete: 'goes' }),
  from: text('From', 120),
  to: note('To', 120),
  colour: note('Colour', 60),
  label: note('Label', 60),
  order: text('Order', 80),
})
