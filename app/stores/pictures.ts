import { defineStore } from 'pinia'
import { onScopeDispose, ref, watch } from 'vue'
import { isNoAnswer } from '~/sync/ports'
import type { WaitingPicture } from '~/utils/keptPictures'

/** What waits is tried again so often, also where somebody answers: a disk that was full has room some day. */
const againMs = 30_000

/** Whether a picture is at the server, or is kept here until it can take it. */
export type Sent = 'sent' | 'waits'

/** The one way in for pictures: kept in the browser first, then sent; what could not be sent goes when the program answers. */
export const usePictureStore = defineStore('pictures', () => {
  const store = useRefitStore()
  const time = useTimeStore()
  const toasts = useToastStore()
  const waiting = ref(0)
  let sending: Promise<unknown> = Promise.resolve()
  /** Those that are on their way from the hand of whoever took them. */
  const inHand = new Set<string>()

  let timer: ReturnType<typeof setTimeout> | null = null
  onScopeDispose(() => timer && clearTimeout(timer))

  /** Nobody answered, or it could not be taken just now: that is no fault of the picture. */
  function isForLater(error: unknown): boolean {
    if (!(error instanceof ProblemError)) return false
    const { status, message, problem } = error
    // Not our own words: something else answered in the program’s place.
    return problem.code === 'offline' || isNoAnswer({ status, message, code: problem.code })
  }
  function tryLater(): void {
    if (timer) clearTimeout(timer)
    timer = setTimeout(sendSoon, againMs)
  }

  async function send(refitId: string, picture: WaitingPicture): Promise<void> {
    if (!store.rows.picture.some((one) => one.id === picture.id)) {
      const kept = await storePicture(refitId, picture.file, time.now, store.derived.clock)
      const patch = { ...kept, ...picture.fields }
      await store.submit('A picture', [{ op: 'create', entity: 'picture', id: picture.id, patch }])
    }
    await dropPicture(refitId, picture.id)
  }

  /** Takes a picture in. `fields`: what it belongs to and which moment it shows. Throws when it is refused. */
  async function add(file: Blob, fields: Readonly<Record<string, unknown>>): Promise<Sent> {
    const { refitId } = store
    const picture = { id: newId(), fields, file }
    inHand.add(picture.id)
    const kept = await keepPicture(refitId, picture)
    try {
      await send(refitId, picture)
      // Somebody answers: what waited can go too.
      if (waiting.value > 0) sendSoon()
      return 'sent'
    } catch (error) {
      if (isForLater(error) && kept) {
        waiting.value += 1
        tryLater()
        // Why it is not taken by somebody who answers is for people to mend.
        if ((error as ProblemError).status > 0) toasts.complain(error)
        return 'waits'
      }
      await dropPicture(refitId, picture.id)
      throw error
    } finally {
      inHand.delete(picture.id)
    }
  }

  /** Sends what waits, one after the other. What is refused now is said and goes. */
  async function sendWaiting(): Promise<void> {
    const { refitId } = store
    const list = (await waitingPictures(refitId)).filter((one) => !inHand.has(one.id))
    waiting.value = list.length
    for (const picture of list) {
      try {
        await send(refitId, picture)
        waiting.value -= 1
      } catch (error) {
        if (isForLater(error)) return tryLater()
        await dropPicture(refitId, picture.id)
        waiting.value -= 1
        toasts.complain(error)
      }
    }
  }
  const sendSoon = (): void => {
    sending = sending.then(sendWaiting, sendWaiting)
  }
  watch(
    () => store.status === 'ready' && store.connected,
    (able) => able && sendSoon(),
    { immediate: true },
  )
  return { waiting, add }
})
