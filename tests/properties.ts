/**
 * Properties draw the same cases at every run, so that a red run is about the change and not the dice.
 * DICE=N draws others; the bench judges random plans by the thousand.
 */
import fc from 'fast-check'

fc.configureGlobal({ seed: Number(process.env.DICE ?? 20270416) })
