import { dayNumber } from '#core/time/civil'
import type { ZoneClock } from '#core/time/zone'

/** What the server says of a stored picture. */
interface Stored {
  readonly hash: string
  readonly mime: string
  readonly widthPx: number
  readonly heightPx: number
  /** On the camera's clock; null: it does not say. */
  readonly takenLocal: string | null
}
/** The fields of a picture's row that the file itself gives. */
export type StoredPicture = Omit<Stored, 'takenLocal'> & { readonly takenAt: number }

/**
 * Sends a picture file; its row is made by the caller. It was taken when its camera says, read on the yard's clock,
 * or else now. Throws ProblemError when it is not one.
 */
export async function storePicture(
  refitId: string,
  file: Blob,
  now: number,
  clock: ZoneClock,
): Promise<StoredPicture> {
  const { takenLocal, ...kept } = await api<Stored>(`/api/refits/${refitId}/pictures`, {
    bytes: file,
  })
  return { ...kept, takenAt: takenAt(takenLocal, now, clock) }
}

/** A camera whose clock runs ahead has taken nothing yet: then it is now. */
function takenAt(local: string | null, now: number, clock: ZoneClock): number {
  const [, day, hours, minutes] = /^(\d{4}-\d\d-\d\d)T(\d\d):(\d\d)/.exec(local ?? '') ?? []
  if (!day) return Math.round(now)
  const at = clock.at(dayNumber(day), Number(hours) * 60 + Number(minutes))
  return Math.round(Math.min(at, now))
}
