/** What runs by itself: pots, cures, windows. */
import { choice, instant, maybe, real, ref, text } from '../field'
import { kind } from '../kind'
import * as words from '../words'

/** A running pot, cure, overcoat or immersion window: a start and a snapshot of the data sheet. */
export const clock = kind(
  'clock',
  {
    title: text('Clock'),
    kind: choice('Kind of clock', words.clockKinds),
    stepId: maybe(ref('Step', 'step')),
    startedAt: instant('Started at'),
    endedAt: maybe(instant('Ended at')),
    refC: real('Reference temperature in °C', { min: -20, max: 60, unit: '°C' }, 20),
    minC: maybe(real('No cure below °C', { min: -20, max: 60, unit: '°C' })),
    maxC: maybe(real('Credit capped at °C', { min: -20, max: 80, unit: '°C' })),
    /** Hours at refC until it opens: cured, coatable, immersible. Null for a pot. */
    opensH: maybe(real('Opens after hours', { min: 0, max: 9000, unit: 'hRound' })),
    /** Hours at refC until it closes: pot goes off, bond window shuts. Null: never. */
    closesH: maybe(real('Closes after hours', { min: 0.01, max: 20_000, unit: 'hRound' })),
    /** Grams in the cup and the mass the pot life is given for; null: not a pot. */
    massG: maybe(real('Grams in the cup', { min: 1, max: 100_000, unit: 'g' })),
    refMassG: maybe(real('Pot life is for grams', { min: 1, max: 100_000, unit: 'g' })),
    /** Air assumed where no reading was taken, °C. */
    assumedC: real('Assumed temperature in °C', { min: -20, max: 60, unit: '°C' }, 15),
  },
  { planInput: true },
)

export const clockReading = kind(
  'temperature reading',
  {
    clockId: ref('Clock', 'clock', { onDelete: 'goes' }),
    at: instant('At'),
    tempC: real('Temperature in °C', { min: -30, max: 70, unit: '°C' }),
  },
  { planInput: true },
)
