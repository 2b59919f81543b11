/** What the walk comes to, in sentences that hold as they stand. */
import { capital, counted, inWords } from '../units/counted'
import { formatGuess } from '../units/hours'
import type { WalkFigures } from './walkFigures'

/** The heading in three parts, so that dangers can be shown as such. */
export function walkHeading(of: WalkFigures): {
  readonly before: string
  readonly danger: string
  readonly after: string
} {
  if (of.all === 0) return { before: 'Nothing found yet', danger: '', after: '' }
  if (of.open === 0)
    return { before: `All ${of.all} found are mended or accepted`, danger: '', after: '' }
  const waits = `${of.toSettle === 1 ? 'waits' : 'wait'} for your word`
  return {
    before: `${of.open} of ${of.all} ${of.all === 1 ? 'stands' : 'stand'} open`,
    danger:
      of.dangers > 0 ? `: ${inWords(of.dangers)} ${of.dangers === 1 ? 'is' : 'are'} a danger` : '',
    after: of.toSettle > 0 ? `, ${of.toSettle} ${waits}` : '',
  }
}

/** The sentences under it; the first is how much work it is. */
export function walkSentences(of: WalkFigures): { readonly hours: string; readonly rest: string } {
  if (of.all === 0) return { hours: '', rest: lookedSentence(of) }
  const left = of.notGuessed > 0 ? `, ${inWords(of.notGuessed)} not guessed yet` : ''
  const hours =
    of.open === 0
      ? ''
      : of.hours > 0
        ? `${formatGuess(of.hours)} to put right${left}.`
        : `${capital(inWords(of.notGuessed))} without a guess of the hours.`
  return {
    hours,
    rest: [dangerSentence(of), causeSentence(of), lookedSentence(of)].filter(Boolean).join(' '),
  }
}

function dangerSentence({ dangers, dangersToSettle }: WalkFigures): string {
  if (dangers === 0) return ''
  if (dangersToSettle === 0)
    return dangers === 1
      ? 'The danger has its answer.'
      : `All ${inWords(dangers)} dangers have their answer.`
  return `${capital(counted(dangersToSettle, 'danger'))} ${dangersToSettle === 1 ? 'has' : 'have'} no answer yet.`
}

const causeSentence = ({ causes, explained }: WalkFigures): string =>
  causes === 0
    ? ''
    : `${capital(counted(causes, 'cause'))} ${causes === 1 ? 'explains' : 'explain'} ${inWords(explained)}.`

const lookedSentence = ({ notLooked }: WalkFigures): string =>
  notLooked.length === 0
    ? 'Every place was looked at.'
    : `${capital(counted(notLooked.length, 'place'))} not looked at.`
