/** Over four hundred findings: the list folds to what wants a word and what is dangerous. */
import { expect, it } from 'vitest'
import { add, emptyRefit } from '#core/testing/build'
import { press } from './byName'
import { onPage } from './page'

/** One place with a danger, one with something to settle, one where all is watched, each with a third of them. */
function withFindings(many: number) {
  const rows = emptyRefit()
  for (const [index, name] of ['Mast step', 'Side deck', 'Coamings'].entries())
    add(rows, 'zone', name, { name, strake: 'deck', order: `${index}`, along: 0.3 * (index + 1) })
  for (let at = 0; at < many; at++) {
    const zoneId = ['Mast step', 'Side deck', 'Coamings'][at % 3] as string
    add(rows, 'finding', `f${at}`, {
      title: `Found ${at}`,
      zoneId,
      severity: at === 0 ? 4 : 2,
      state: at === 1 ? 'new' : 'watch',
      foundAt: Date.UTC(2027, 2, 1),
    })
  }
  return rows
}
const placesListed = (wrapper: Awaited<ReturnType<typeof onPage>>['wrapper']) =>
  wrapper.findAll('[data-place]').map((one) => one.attributes('data-place'))

it('folds what is settled, never a danger or what wants a word, and opens it', async () => {
  const { wrapper } = await onPage('walk', withFindings(401))
  expect(placesListed(wrapper).sort()).toEqual(['Mast step', 'Side deck'])
  await press('Deck and rig: one place more, all settled')
  expect(placesListed(wrapper)).toHaveLength(3)
})

it('folds nothing of four hundred', async () => {
  const { wrapper } = await onPage('walk', withFindings(400))
  expect(placesListed(wrapper)).toHaveLength(3)
})
