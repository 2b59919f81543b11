/** How many more are bad among those that nobody has seen. */

export interface Expected {
  /** Share that is likely bad, 0 to 1. */
  readonly rate: number
  /** More to expect among the unseen. */
  readonly more: number
  /** In all, with four chances in five. */
  readonly from: number
  readonly to: number
  /** Chance of each number among the unseen, from none to all. */
  readonly chances: readonly number[]
}

/**
 * Jeffreys' prior: the share bad is Beta(bad + ½, sound + ½), so the number among the unseen is beta-binomial.
 * Its chances follow one from the other:
 * P(0) = Π (β + i)/(α + β + i); P(k+1)/P(k) = (m − k)(α + k) / ((k + 1)(β + m − k − 1)).
 * The band leaves at most one chance in ten on either side.
 * @param bad seen and bad. @param sound seen and sound. @param unseen nobody has looked.
 */
export function expectedBad(bad: number, sound: number, unseen: number): Expected {
  const [alpha, beta] = [bad + 0.5, sound + 0.5]
  const rate = alpha / (alpha + beta)
  let chance = 1
  for (let i = 0; i < unseen; i++) chance *= (beta + i) / (alpha + beta + i)
  const chances = [chance]
  for (let k = 0; k < unseen; k++) {
    chance *= ((unseen - k) * (alpha + k)) / ((k + 1) * (beta + unseen - k - 1))
    chances.push(chance)
  }
  const reaching = (share: number): number => {
    let sum = 0
    const at = chances.findIndex((one) => (sum += one) >= share - 1e-12)
    return at < 0 ? unseen : at
  }
  return {
    rate,
    more: unseen * rate,
    from: bad + reaching(0.1),
    to: bad + reaching(0.9),
    chances,
  }
}

/** Number of bad ones from which renewing all is cheaper in hours: n* = ⌈renew ÷ mend⌉. Opening stands on both sides. */
export const renewFrom = (renewHours: number, mendHours: number): number =>
  Math.ceil(renewHours / mendHours - 1e-9)

/** Chance that at least `most` are bad in all. */
export const chanceOf = ({ chances }: Expected, bad: number, least: number): number =>
  chances.reduce((sum, chance, more) => (bad + more >= least ? sum + chance : sum), 0)
