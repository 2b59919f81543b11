/** What the materials of a recipe are when they are bought: a mix is its resin, its hardener and its powder. */
import { epoxyParts, mixGrams, mixWeightG } from '../laminate/mixFor'
import type { DraftMaterial } from './expand'

export interface MaterialToBuy extends DraftMaterial {
  /** Absent: nothing to say of it. */
  readonly specification?: string
}

const gramsOf: Partial<Record<DraftMaterial['unit'], number>> = { g: 1, kg: 1000 }
const millilitresOf: Partial<Record<DraftMaterial['unit'], number>> = { mL: 1, L: 1000 }

function totalGrams({ quantity, unit, mix }: DraftMaterial): number | null {
  if (mix === null) return null
  const [grams, millilitres] = [gramsOf[unit], millilitresOf[unit]]
  if (grams !== undefined) return quantity * grams
  return millilitres === undefined ? null : mixWeightG(quantity * millilitres, mix)
}

const kilograms = (grams: number): number => Number((grams / 1000).toFixed(3))

/** The material itself, or what it is mixed from, in kg; the resin keeps its key. */
export function toBuy(material: DraftMaterial): MaterialToBuy[] {
  const { key, mix, what } = material
  const total = totalGrams(material)
  if (mix === null || total === null) return [material]
  const { resinG, hardenerG, powderG } = mixGrams(total, mix)
  const { resin, hardener } = epoxyParts
  const of = (suffix: string, name: string, grams: number, said: string): MaterialToBuy => ({
    key: `${key}${suffix}`,
    what: name,
    unit: 'kg',
    quantity: kilograms(grams),
    pack: null,
    mix: null,
    specification: `${what}: ${said}`,
  })
  const ratio = `resin to hardener ${resin}:${hardener} by weight; its data sheet decides.`
  return [
    of('', 'Epoxy resin', resinG, ratio),
    of('h', 'Epoxy hardener', hardenerG, ratio),
    of('f', 'Thickening powder', powderG, 'stirred in last, until it stands as it should.'),
  ].filter((one) => one.quantity > 0)
}
