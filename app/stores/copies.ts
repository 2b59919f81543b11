import { defineStore } from 'pinia'
import { computed, ref } from 'vue'

/** A copy of the database in the data folder. */
export interface Copy {
  readonly name: string
  /** When it was taken, UTC ms. */
  readonly at: number
  readonly why: string
  readonly bytes: number
}

/** What copies there are, newest first, and the one that was due and could not be taken. */
interface Copies {
  readonly copies: readonly Copy[]
  readonly missed: { readonly at: number; readonly message: string } | null
}

/** One is due each day, and a miss of an hour or two is tried again by then. */
const lateMs = 26 * 3_600_000

/** Copies of the database, as they were when they were asked about last. */
export const useCopiesStore = defineStore('copies', () => {
  const found = ref<Copies | null>(null)
  /** Why they could not be asked about; '': they were. */
  const wrong = ref('')
  /** The one that was due could not be taken, and the newest there is is older than a day; `last` null: there is none. */
  const late = computed(() => {
    const missed = found.value?.missed
    const last = found.value?.copies[0]?.at ?? null
    if (!missed || (last !== null && missed.at - last < lateMs)) return null
    return { last, message: missed.message }
  })
  async function ask(): Promise<void> {
    try {
      found.value = await api<Copies>('/api/copies')
      wrong.value = ''
    } catch (error) {
      wrong.value = sentenceOf(error)
    }
  }
  return { found, wrong, late, ask }
})
