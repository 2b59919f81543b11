import type { Step } from '../model/entities'
import type { Mend } from '../model/stored'
import { formatHours } from '../units/hours'
import { roundHours } from './planned'

/** Share of the laminating that laying peel ply takes, and its least, in person-hours. Assumed. */
const peelShare = 0.1
const leastPeelHours = 0.25
/** Share of a coat that washing, keying and wiping before it takes, and its least. Assumed. */
const keyingShare = 0.25
const leastKeyingHours = 0.5

/** Peel ply over a laminate whose next step comes after its bond window: its person-hours. */
export const peelPlyHours = (laminate: Pick<Step, 'hoursLikely' | 'access'>): number =>
  Math.max(leastPeelHours, peelShare * roundHours(laminate))

/** Washing, keying and wiping before a step that comes after the bond window: its person-hours. */
export const keyingHours = (next: Pick<Step, 'hoursLikely' | 'access'>): number =>
  Math.max(leastKeyingHours, keyingShare * roundHours(next))

/** What helps when a step comes after the bond window of the one before. Source: handbook 8 rule 10, 11. */
export const mendKind = (from: Pick<Step, 'operation' | 'state'>): Mend['kind'] =>
  from.operation === 'laminate' && from.state !== 'done' ? 'peelPly' : 'keying'

/** What a shut window asks for before the next step. Source: handbook 8 rule 10, handbook-2 C4. */
export const shutMend = (from: Pick<Step, 'windowKind'> | undefined): Mend['kind'] =>
  from?.windowKind === 'bareMetal' ? 'etching' : 'keying'

/** A mend for reading: what is done, and how long it takes. */
export const sayMend = (mend: Mend): string => sayKind[mend.kind](taking(mend))

const sayKind: Readonly<Record<Mend['kind'], (taking: string) => string>> = {
  peelPly: (taking) =>
    `Lay peel ply over it${taking}: nobody is here before its bond window shuts.`,
  keying: (taking) => `Wash, key and wipe first${taking}: the bond window is shut by then.`,
  etching: (taking) =>
    `Etch, rinse and dry it again first${taking}: bare metal has gone off by then.`,
}

const taking = (mend: Mend): string => (mend.hours > 0 ? ` (${formatHours(mend.hours)})` : '')
