/** What a count sheet says, in sentences that hold as they stand. */
import { counted } from '../units/counted'
import { formatGuess } from '../units/hours'
import type { SheetFigures } from './sheetFigures'

const of = (kind: string, many: number): string => `${kind}${many === 1 ? '' : 's'}`

/** The heading: what was seen, what is to be expected, and which way is the better. */
export function sheetHeading({ main, likelyBad, better }: SheetFigures): {
  readonly plain: string
  readonly expect: string
  readonly way: string
} {
  const { kind, all, seen, bad, unseen } = main
  if (seen === 0) return { plain: `None of ${all} ${of(kind, all)} seen yet`, expect: '', way: '' }
  const plain =
    bad === 0
      ? `${seen} of ${all} ${of(kind, all)} seen, none bad`
      : `${bad} of ${seen} ${of(kind, seen)} seen ${bad === 1 ? 'is' : 'are'} bad`
  return {
    plain,
    expect: unseen > 0 && (bad > 0 || likelyBad > 0) ? `expect ${likelyBad} of ${all}` : '',
    way: likelyBad === 0 ? '' : better === 'mend' ? 'Mend one by one' : 'Renew all',
  }
}

export function sheetSentence(figures: SheetFigures): {
  readonly plain: string
  readonly distrust: string
} {
  const { better, mendHours, renewHours, openHours, chanceRenew, main, lopsided, likelyBad } =
    figures
  if (main.seen === 0 || likelyBad === 0) return { plain: '', distrust: '' }
  const bays = openHours > 0 ? ` with ${formatGuess(openHours)} to open and shut the bays` : ''
  const chance = Math.round(chanceRenew * 100)
  return {
    plain: `${formatGuess(better === 'mend' ? mendHours : renewHours)}${bays}. From ${figures.renewFrom} bad, renew all: ${chance === 0 ? 'less than one chance in 100' : `${counted(chance, 'chance')} in 100`}.`,
    distrust: lopsided === null ? '' : `all the bad lie ${lopsided} of what nobody has seen.`,
  }
}

/** "7 to 12 in all", "6 in all". */
export const sayBand = (from: number, to: number): string =>
  from === to ? `${from} in all` : `${from} to ${to} in all`
