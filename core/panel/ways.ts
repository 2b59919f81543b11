/** The ways to put a wet panel right, each with when it fits and what its recipe asks. */
import type { Panel } from '../model/entities'
import { recipeBook } from '../recipes/book'
import { draftHours } from '../recipes/draftHours'
import { expand } from '../recipes/expand'
import type { Draft, DraftMaterial } from '../recipes/expand'
import { initialInputs } from '../recipes/ofBoat'
import type { Recipe, RecipeInputs } from '../recipes/recipe'
import type { Drying } from './drying'
import type { MapFigures } from './reading'

const wayKeys = ['recore-above', 'recore-below', 'dry-local-core', 'inject-panel'] as const
export type WayKey = (typeof wayKeys)[number]

/** 'fits': what the trade would do; 'offered': also done, the second choice; 'not': not advised here. */
type Fit = 'fits' | 'offered' | 'not'

/** What is known of a panel when a way is chosen. */
export interface PanelCase {
  readonly panel: Pick<Panel, 'carriesLoad' | 'coreMm' | 'fittings' | 'dampFrom'>
  readonly figures: MapFigures
  /** Wet area grew, or came anew, since the map before. */
  readonly spreading: boolean
  /** A sample said that skin and core had parted. */
  readonly parted: boolean
  /** A sample of powder: the core is gone, and dry. */
  readonly powder: boolean
  /** A sample that ran water. */
  readonly wetSample: boolean
  readonly drying: Drying
  /** Days from today until the core is likely dry; null: not known. */
  readonly daysToDry: number | null
  /** Hours to take the lining out and put it back; null: nobody said what hangs under it. */
  readonly liningHours: number | null
  /** Fittings whose place is opened. */
  readonly fittingsInIt: number
  /** All round what is opened, metres. */
  readonly edgeM: number
  /** Skin over the core, mm; null: not measured. */
  readonly outerMm: number | null
}

export interface CoreWay {
  readonly key: WayKey
  readonly recipe: Recipe
  readonly fit: Fit
  /** When it fits, and whether this panel is such a one. */
  readonly because: string
  readonly inputs: RecipeInputs
  /** Null: its recipe does not reach to this size. */
  readonly draft: Draft | null
  /** Person-hours, waits in days at 20 °C one after the other, and materials alike added up. */
  readonly hours: number
  readonly waitDays: number
  readonly materials: readonly DraftMaterial[]
}

/** Areas between which the trade fills from the hole, offers both, and re-cores, m². */
const fillUpTo = 0.05
const recoreFrom = 0.1

/** Days the bare skin dries once the wet core is out. A guess, as the recipe's own. */
const bareSkinDays = 7
const plyMmOf450 = 0.65

const upTo = (value: number, min: number, max: number): number =>
  Math.min(max, Math.max(min, value))
const hundredths = (value: number): number => Math.ceil(value * 100 - 1e-9) / 100

interface Judged {
  readonly fit: Fit
  readonly because: string
}

const judges: Readonly<Record<WayKey, (about: PanelCase) => Judged>> = {
  'recore-above': ({ panel, figures: { openM2 }, spreading }) => {
    if (spreading) return { fit: 'fits', because: 'For core that goes on spreading: it did.' }
    if (openM2 <= fillUpTo)
      return { fit: 'not', because: 'More than 0.05 m² round one fitting asks for.' }
    if (openM2 <= recoreFrom)
      return { fit: 'offered', because: 'From 0.05 to 0.1 m² either way is done.' }
    return panel.carriesLoad
      ? { fit: 'fits', because: 'For a deck that carries load, over 0.1 m².' }
      : { fit: 'offered', because: 'Over 0.1 m², though nothing pulls here.' }
  },
  'recore-below': ({ figures: { openM2 }, spreading, liningHours }) => {
    if (openM2 <= fillUpTo && !spreading)
      return { fit: 'not', because: 'More than 0.05 m² round one fitting asks for.' }
    return liningHours === null
      ? {
          fit: 'offered',
          because:
            'Keeps the non-skid, but overhead. Say what hangs under it: its hours are left out.',
        }
      : {
          fit: 'fits',
          because: 'For good non-skid above: it stays. Overhead; the lining is counted.',
        }
  },
  'dry-local-core': ({ figures: { openM2 }, spreading, parted, drying }) => {
    if (drying.is === 'notFalling')
      return { fit: 'not', because: 'The readings do not fall: water still gets in.' }
    if (parted) return { fit: 'not', because: 'For sound skins; a sample had parted.' }
    if (spreading) return { fit: 'not', because: 'For core that stays as it is; this spread.' }
    if (openM2 <= fillUpTo) return { fit: 'fits', because: 'For up to 0.05 m² round one fitting.' }
    return openM2 <= recoreFrom
      ? { fit: 'offered', because: 'From 0.05 to 0.1 m² either way is done.' }
      : {
          fit: 'not',
          because: `For 0.05 m² round one fitting; this is ${(openM2 / fillUpTo).toFixed(1)} times it.`,
        }
  },
  'inject-panel': ({ panel, powder, wetSample, spreading }) => {
    const wants = 'For panels nobody stands on, core gone to powder'
    if (panel.carriesLoad) return { fit: 'not', because: `${wants}; this one carries load.` }
    if (wetSample) return { fit: 'not', because: `${wants}; a sample here is wet.` }
    if (spreading) return { fit: 'not', because: `${wants}; this still spreads.` }
    return powder
      ? { fit: 'fits', because: `${wants}: so it is. Some see it as a stop-gap.` }
      : { fit: 'offered', because: `${wants}; no sample said so yet.` }
  },
}

/** Dimensions of each recipe from the panel, metric as recipes count. */
const inputsOf: Readonly<Record<WayKey, (about: PanelCase) => RecipeInputs>> = {
  'recore-above': (about) => ({
    areaM2: upTo(hundredths(about.figures.openM2), 0.1, 30),
    edgeM: upTo(hundredths(about.edgeM), 1, 80),
    fittings: about.fittingsInIt,
    ...(about.panel.coreMm === null ? {} : { core: upTo(about.panel.coreMm, 5, 60) }),
    ...pliesFor(about.outerMm),
    dryDays: bareSkinDays,
  }),
  'recore-below': (about) => ({
    areaM2: upTo(hundredths(about.figures.openM2), 0.1, 30),
    edgeM: upTo(hundredths(about.edgeM), 1, 80),
    liningH: about.liningHours ?? 0,
    ...(about.panel.coreMm === null ? {} : { core: upTo(about.panel.coreMm, 5, 60) }),
    dryDays: bareSkinDays,
  }),
  'dry-local-core': (about) => ({
    areaM2: upTo(hundredths(about.figures.openM2), 0.001, 0.1),
    ...(about.panel.coreMm === null ? {} : { core: upTo(about.panel.coreMm, 5, 80) }),
    ...(about.daysToDry === null ? {} : { dryDays: upTo(about.daysToDry, 5, 400) }),
  }),
  'inject-panel': (about) => ({
    areaM2: upTo(hundredths(about.figures.openM2), 0.05, 10),
    ...(about.panel.coreMm === null ? {} : { voidMm: upTo(about.panel.coreMm, 3, 100) }),
  }),
}
const pliesFor = (outerMm: number | null): RecipeInputs =>
  outerMm === null ? {} : { plies: upTo(Math.ceil(outerMm / plyMmOf450 - 1e-9), 1, 16) }

/** Materials of the same name and unit become one line. */
export function addedUp(draft: Draft): DraftMaterial[] {
  const lines = new Map<string, DraftMaterial>()
  for (const one of draft.steps.flatMap((step) => step.materials)) {
    const key = `${one.what} ${one.unit}`
    const was = lines.get(key)
    lines.set(key, was ? { ...was, quantity: was.quantity + one.quantity } : one)
  }
  return [...lines.values()]
}

/** The four ways with what each asks of this panel, in the order of the trade's list. */
export const coreWays = (about: PanelCase): CoreWay[] =>
  wayKeys.map((key): CoreWay => {
    const recipe = recipeBook.find((one) => one.key === key)
    if (!recipe) throw new RangeError(`coreWays: no recipe ${key}`)
    const inputs = { ...initialInputs(recipe), ...inputsOf[key](about) }
    const worked = expand(recipe, inputs)
    const draft = worked.ok ? worked.value : null
    return {
      key,
      recipe,
      ...judges[key](about),
      inputs,
      draft,
      hours: draft ? draftHours(draft) : 0,
      waitDays:
        (draft?.steps ?? []).reduce((sum, step) => sum + (step.fields.waitHours ?? 0), 0) / 24,
      materials: draft ? addedUp(draft) : [],
    }
  })

/** Days by which a way moves the gate; null: not worked out, Infinity: it cannot be planned. */
export type Delays = ReadonlyMap<WayKey, number | null>
const fitRank = { fits: 0, offered: 1, not: 2 } as const

/** Best first: whether it fits, then what it does to the gate, then hours. */
export const rankedWays = (ways: readonly CoreWay[], delays: Delays): CoreWay[] =>
  [...ways].sort((a, b) => {
    const delay = (way: CoreWay) => Math.max(0, delays.get(way.key) ?? 0)
    return (
      fitRank[a.fit] - fitRank[b.fit] ||
      (delay(a) === delay(b) ? 0 : delay(a) < delay(b) ? -1 : 1) ||
      a.hours - b.hours
    )
  })

/** Why a way ranks under the one above it. */
export function whyLower(way: CoreWay, above: CoreWay, delays: Delays): string {
  if (fitRank[way.fit] > fitRank[above.fit])
    return way.fit === 'not' ? 'Not advised here.' : 'Second choice here.'
  const [later, sooner] = [delays.get(way.key) ?? 0, delays.get(above.key) ?? 0]
  if (later > sooner) return 'It holds the gate longer.'
  return `${Math.round((way.hours - above.hours) * 10) / 10} h more.`
}
