/** What the server says of a stored picture. */
export interface StoredPicture {
  readonly hash: string
  readonly mime: string
  readonly widthPx: number
  readonly heightPx: number
}

/** Sends a picture file; its row is made by the caller. Throws ProblemError when it is not one. */
export const storePicture = (refitId: string, file: Blob): Promise<StoredPicture> =>
  api<StoredPicture>(`/api/refits/${refitId}/pictures`, { bytes: file })
