/** Which shop has a thing, and how far it is. */
import type { Row } from '../model/entities'
import { byId, placeOfKind } from '../model/refit'
import type { RefitRows } from '../model/refit'

type Place = Row<'place'>

/** The way between two places: the drive that is written down, else by home. Minutes. */
export function wayBetween(
  rows: Pick<RefitRows, 'drive'>,
  from: Place | null,
  to: Place | null,
): number {
  const drive = rows.drive.find(
    (one) =>
      (one.fromPlaceId === from?.id && one.toPlaceId === to?.id) ||
      (one.toPlaceId === from?.id && one.fromPlaceId === to?.id),
  )
  return drive?.minutes ?? (from?.travelMin ?? 0) + (to?.travelMin ?? 0)
}

/**
 * Finder of the shop for a line to bring or a part: the one it names, or its supplier's; the usual shop for what names
 * none. Null: it comes by post, or there is no shop.
 */
export function shopOf(
  rows: Pick<RefitRows, 'place' | 'supplier' | 'bringLine' | 'part'>,
): (thing: { readonly entity: string; readonly id: string }) => Place | null {
  const [places, suppliers] = [byId(rows.place), byId(rows.supplier)]
  const [lines, parts] = [byId(rows.bringLine), byId(rows.part)]
  const usual = placeOfKind(rows, 'shop')
  return ({ entity, id }) => {
    if (entity !== 'part') return places.get(lines.get(id)?.shopId ?? '') ?? usual
    const supplier = suppliers.get(parts.get(id)?.supplierId ?? '')
    return supplier ? (places.get(supplier.placeId ?? '') ?? null) : usual
  }
}
