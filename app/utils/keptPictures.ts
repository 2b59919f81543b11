/** Pictures that wait to be sent, in the browser's own store: they outlive a cut line and a closed tab. */

export interface WaitingPicture {
  readonly id: string
  /** Fields of its row but those that the file gives. */
  readonly fields: Readonly<Record<string, unknown>>
  readonly file: Blob
}

const storeName = 'inch-ahead-pictures'
const header = 'x-picture-fields'
/** The browser's own store; null: it is shut, as in private windows, or there is none for a page that is not of
 * this machine. */
const openStore = async (): Promise<Cache | null> => {
  try {
    return await caches.open(storeName)
  } catch {
    return null
  }
}
const pathOf = (refitId: string, id: string): string => `/waiting-picture/${refitId}/${id}`

/** False when the browser keeps nothing: the picture is then sent at once or not at all. */
export async function keepPicture(refitId: string, picture: WaitingPicture): Promise<boolean> {
  const store = await openStore()
  if (!store) return false
  try {
    const headers = { [header]: encodeURIComponent(JSON.stringify(picture.fields)) }
    await store.put(pathOf(refitId, picture.id), new Response(picture.file, { headers }))
    return true
  } catch {
    // It is full.
    return false
  }
}

export async function dropPicture(refitId: string, id: string): Promise<void> {
  const store = await openStore()
  await store?.delete(pathOf(refitId, id))
}

/** What waits for a refit, the oldest first. */
export async function waitingPictures(refitId: string): Promise<WaitingPicture[]> {
  const store = await openStore()
  const requests = (await store?.keys()) ?? []
  const start = pathOf(refitId, '')
  const found: WaitingPicture[] = []
  for (const request of requests) {
    const { pathname } = new URL(request.url)
    const kept = pathname.startsWith(start) ? await store?.match(request) : undefined
    if (!kept) continue
    const fields = JSON.parse(decodeURIComponent(kept.headers.get(header) ?? '%7B%7D')) as Record<
      string,
      unknown
    >
    found.push({ id: pathname.slice(start.length), fields, file: await kept.blob() })
  }
  return found
}
