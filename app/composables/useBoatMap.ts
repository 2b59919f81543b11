import { computed } from 'vue'
import type { Ref } from 'vue'
import type { Zone } from '#core/model/entities'
import type { ZoneShape } from '#core/model/entities/boat'
import { placeBoxes } from '#core/boatMap/boxes'
import type { Box } from '#core/boatMap/boxes'
import { mapFrame } from '#core/boatMap/frame'
import { hullLines } from '#core/boatMap/hull'
import type { BoatSizes } from '#core/boatMap/hull'
import { middleOf, zoneRegions } from '#core/boatMap/regions'
import type { Fill } from '#core/walk/marks'

/** Something that stands at a place on the map. */
export type MapItem =
  | { readonly is: 'mark'; readonly severity: number; readonly fill: Fill; readonly many: number }
  | { readonly is: 'count'; readonly many: number; readonly severe: boolean }
  | { readonly is: 'drop'; readonly letter: string }
  | { readonly is: 'lid' }

export interface MapPlace {
  readonly zone: Zone
  readonly items: readonly MapItem[]
  readonly shape: ZoneShape
  /** Upper left corner and size of its label with what stands there; null: it has neither. */
  readonly box: PlacedLabel | null
}
interface PlacedLabel {
  readonly x: number
  readonly y: number
  readonly width: number
  readonly height: number
  /** Middle of the place, where the label had to move away from it; null: it lies there. */
  readonly leads: readonly [number, number] | null
}

const unknownBoat: BoatSizes = {
  loaM: 10,
  lwlM: null,
  beamM: null,
  draughtM: null,
  boatType: 'sail',
  keel: 'fin',
  pilothouse: false,
}
/** Room for a letter of a label, a mark, and a line. */
const [letter, lineHigh, itemHigh] = [6.9, 18, 28]
export const itemWide = (item: MapItem): number =>
  item.is === 'mark' || item.is === 'count'
    ? 32 + (item.many > 1 ? String(item.many).length * 8 : 0)
    : item.is === 'drop'
      ? 24
      : 28
/** A place's name as it stands on the map. */
export const mapName = ({ name }: Pick<Zone, 'name'>): string =>
  name.replace(/\bstarboard\b/, 'stbd')
/** A label is led to its place by a line when it lies farther off. */
const ledFrom = 46

/** Lays the boat out: her lines, her places, and a label with its marks at each, none on another while there is room. */
export function useBoatMap(
  zones: Ref<readonly Zone[]>,
  items: Ref<ReadonlyMap<string, readonly MapItem[]>>,
  width: Ref<number>,
  named: Ref<ReadonlySet<string>>,
  /** Small drawings go without names: the list has them. */
  nameless: Ref<boolean>,
) {
  const store = useRefitStore()
  const lines = computed(() => hullLines(store.refit ?? unknownBoat))
  const frame = computed(() => mapFrame(lines.value, Math.max(240, width.value)))
  const regions = computed(() => zoneRegions(zones.value, lines.value))
  const places = computed<readonly MapPlace[]>(() => {
    const all = [...regions.value].map(([zone, shape]) => ({
      zone,
      shape,
      items: items.value.get(zone.id) ?? [],
    }))
    const boxes = all.flatMap(({ zone, shape, items: own }): Box[] => {
      if (own.length === 0 && !named.value.has(zone.id)) return []
      const [x, y] = frame.value.at(shape.view, middleOf(shape))
      const plan = shape.view === 'plan'
      // Names of what lies under water stand beneath her: her bottom is narrow.
      const under = !plan && shape.corners.every(([, height]) => height <= 0)
      return [
        {
          id: zone.id,
          width: Math.max(
            nameless.value ? 0 : mapName(zone).length * letter + 6,
            own.reduce((sum, one) => sum + itemWide(one), 0),
          ),
          height: (nameless.value ? 3 : lineHigh) + (own.length > 0 ? itemHigh : 0),
          x,
          // And as low as they can, so that there is room for a second row over them.
          y: under ? frame.value.ground : y,
          top: plan ? frame.value.planTop : under ? frame.value.water + 6 : 0,
          bottom: plan ? frame.value.height : frame.value.ground,
        },
      ]
    })
    const placed = new Map(placeBoxes(boxes, frame.value.width).map((one) => [one.id, one]))
    const sizes = new Map(boxes.map((one) => [one.id, one]))
    return all.map((place): MapPlace => {
      const [at, size] = [placed.get(place.zone.id), sizes.get(place.zone.id)]
      if (!at || !size) return { ...place, box: null }
      return {
        ...place,
        box: {
          x: at.x - size.width / 2,
          y: at.y - size.height / 2,
          width: size.width,
          height: size.height,
          leads: at.moved > ledFrom ? [size.x, size.y] : null,
        },
      }
    })
  })
  return { lines, frame, places }
}
