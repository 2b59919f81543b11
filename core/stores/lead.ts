/** How long a part takes from ordering until it is here. */
import type { Row } from '../model/entities'

type Part = Row<'part'>
type Supplier = Row<'supplier'>

/** Whole days round the clock. */
export interface Lead {
  /** As a rule, and when it goes badly. */
  readonly days: number
  readonly lateDays: number
  /** Where that is known from; 'assumed': nobody said. */
  readonly from: 'part' | 'supplier' | 'assumed'
}

/** Assumed where neither the part nor its supplier says: ask. */
const assumedLead: Lead = { days: 7, lateDays: 14, from: 'assumed' }
/** The same of what a recipe lists: tape, sealant, bolts, resin. Most shops for boats have it. */
const shopLead: Lead = { days: 2, lateDays: 7, from: 'assumed' }
/** A bad case that nobody gave is half as long again. */
const badly = 1.5

/** The lead of a part: its own, else its supplier's, else assumed. */
export function leadOf(
  part: Pick<Part, 'leadDays' | 'leadLateDays' | 'recipePart'>,
  supplier: Pick<Supplier, 'leadDays' | 'leadLateDays'> | null,
): Lead {
  if (part.leadDays !== null)
    return {
      days: part.leadDays,
      lateDays: part.leadLateDays ?? Math.ceil(part.leadDays * badly),
      from: 'part',
    }
  if (!supplier) return part.recipePart === '' ? assumedLead : shopLead
  return {
    days: supplier.leadDays,
    lateDays: supplier.leadLateDays ?? Math.ceil(supplier.leadDays * badly),
    from: 'supplier',
  }
}

/** Days kept between the likely arrival and the need: five, or a fifth of the lead. Source: handbook 8. */
export const spareDays = (leadDays: number): number => Math.max(5, Math.ceil(0.2 * leadDays))

/** Spread of a lead about its median, of the natural logarithm. Source: mockups/stores-money, "Late". */
const leadSpread = 0.35

/**
 * Chance that what is ordered today is not here after `daysLeft` days: lognormal, the lead its median. 0 to 1; with no
 * lead it is here at once.
 */
export function chanceLate(leadDays: number, daysLeft: number): number {
  if (leadDays <= 0) return daysLeft < 0 ? 1 : 0
  if (daysLeft <= 0) return 1
  return 1 - normalShare(Math.log(daysLeft / leadDays) / leadSpread)
}

/**
 * Share of a standard normal below z, to 1.5e-7. Source: Abramowitz and Stegun, Handbook of Mathematical Functions,
 * 7.1.26, for the error function.
 */
function normalShare(z: number): number {
  const x = Math.abs(z) / Math.SQRT2
  const t = 1 / (1 + 0.3275911 * x)
  const poly =
    t *
    (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))))
  const erf = 1 - poly * Math.exp(-x * x)
  return z >= 0 ? (1 + erf) / 2 : (1 - erf) / 2
}
