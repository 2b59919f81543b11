import type { Step } from '../model/entities'
import { usualFacts } from './facts'
import type { OwnFact, SaysFacts } from './facts'

/** In the order in which they are asked. */
export const ownFacts: readonly OwnFact[] = ['dusty', 'wet', 'opens', 'closes']

const words: Record<OwnFact | 'splittable', { readonly yes: string; readonly no: string }> = {
  dusty: { yes: 'throws dust', no: 'throws no dust' },
  wet: { yes: 'wet until touch-dry', no: 'not wet' },
  opens: { yes: 'leaves her open', no: 'opens nothing' },
  closes: { yes: 'closes what is open', no: 'closes nothing' },
  splittable: { yes: 'may be left half done', no: 'in one go' },
}

type Says = Partial<SaysFacts & Pick<Step, 'splittable'>> & Pick<Step, 'operation'>

/** What holds of a step where it says nothing itself. */
function usually(operation: Step['operation'], fact: keyof typeof words): boolean {
  const usual = usualFacts(operation)
  return fact === 'splittable' ? !usual.inOneGo : usual[fact]
}

/** The same as the choice of a field. */
export const asUsual = (operation: Step['operation'], fact: keyof typeof words): string =>
  `As usual: ${usually(operation, fact) ? 'yes' : 'no'}`

/** In what a step differs from its operation, in words; a fact nobody names is as usual. */
export const factsSaid = (step: Says): string[] =>
  [...ownFacts, 'splittable' as const].flatMap((fact) => {
    const own = step[fact] ?? null
    if (own === null || own === usually(step.operation, fact)) return []
    return [own ? words[fact].yes : words[fact].no]
  })
