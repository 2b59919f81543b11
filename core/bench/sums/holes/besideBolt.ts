/** What a bolt in its stack says to the sums about the same hole. */
import type { LineValues, Values } from '../../ask'
import { threadAt } from '../../parts'
import type { Beside } from '../../sum'

interface Stacked {
  readonly bolt: string
  readonly bolts: number
  readonly layers: readonly {
    readonly what: string
    readonly mm: number
    readonly of: string
    readonly there: string
  }[]
}

/** A large washer is three threads across, near enough. Source: ISO 7093. */
const largeWasher = 3
/** What a bit goes through. */
const drilled: ReadonlySet<string> = new Set(['wood', 'glass', 'core', 'plug'])

const thick = (layers: readonly { readonly mm: number }[]): number =>
  Number(layers.reduce((all, one) => all + one.mm, 0).toFixed(3))

/** Skins and core, where there is a core; the skins are whole or none. */
function cored({ layers }: Stacked): Values | null {
  const at = layers.findIndex((one) => one.of === 'core' || one.of === 'plug')
  const core = layers[at]
  if (!core) return null
  const skin = (side: Stacked['layers']): number =>
    thick(side.filter((one) => one.of === 'glass' && one.there === 'there'))
  const [outer, inner] = [skin(layers.slice(0, at)), skin(layers.slice(at + 1))]
  return { core: core.mm, inner, ...(outer > 0 ? { outer } : {}) }
}

/** Sleeve, drill, load and metals of the same bolts. */
export function besideBolt(stack: Stacked): readonly Beside[] {
  const { bolt, bolts, layers } = stack
  const thread = threadAt(bolt)
  const through = thick(layers.filter((one) => drilled.has(one.of) && one.there === 'there'))
  const plies = cored(stack)
  return [
    ...(plies === null
      ? []
      : [
          {
            sum: 'sleeved-holes',
            gives: { holes: bolts, bolt, ...plies },
            isEnough: true as const,
          },
        ]),
    ...(through > 0
      ? [
          {
            sum: 'before-you-drill',
            gives: { hole: thread.clearanceMm, thick: through },
            begins: { plate: Math.round(largeWasher * thread.sizeMm) },
            isEnough: true as const,
          },
        ]
      : []),
    { sum: 'load-and-plate', gives: { bolt, bolts } },
    { sum: 'metals-that-meet', gives: {}, begins: { touch: pairs(layers) } },
  ]
}

/** A line for each thing of metal that the bolt touches; which metals they are nobody has said yet. */
const pairs = (layers: Stacked['layers']): readonly LineValues[] => {
  const metal = layers.filter((one) => one.of === 'metal')
  return (metal.length > 0 ? metal : [{ what: 'fitting' }]).map((one) => ({
    name: `bolt in ${one.what}`.slice(0, 40),
    first: 'stainlessActive',
    second: 'aluminium',
    wet: 'wet',
    anode: 'no',
  }))
}
