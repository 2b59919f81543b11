import { usualFacts } from './facts'
import type { OwnFact, SaysFacts } from './facts'

/** In the order in which they are asked. */
export const ownFacts: readonly OwnFact[] = ['dusty', 'wet', 'opens', 'closes']

const words: Record<OwnFact, { readonly yes: string; readonly no: string }> = {
  dusty: { yes: 'throws dust', no: 'throws no dust' },
  wet: { yes: 'wet until touch-dry', no: 'not wet' },
  opens: { yes: 'leaves her open', no: 'opens nothing' },
  closes: { yes: 'closes what is open', no: 'closes nothing' },
}

/** In what a step differs from its operation, in words; a fact nobody names is as usual. */
export function factsSaid(step: Partial<SaysFacts> & Pick<SaysFacts, 'operation'>): string[] {
  const usual = usualFacts(step.operation)
  return ownFacts.flatMap((fact) => {
    const own = step[fact] ?? usual[fact]
    return own === usual[fact] ? [] : [own ? words[fact].yes : words[fact].no]
  })
}
