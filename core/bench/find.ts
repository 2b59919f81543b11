/** Finds a sum by words of the yard, and what is said of sizes and stuff with it. */
import MiniSearch from 'minisearch'
import { threads } from '../fastening/threads'
import type { Ask, Scalar } from './ask'
import type { Sum } from './sum'
import { sums } from './sums'

export interface SumHit {
  readonly sum: Sum
  /** Figures that the words say, by path: "M12 holes in balsa" says the thread and what is under it. */
  readonly filled: Readonly<Record<string, Scalar>>
}

let built: MiniSearch | null = null
function index(): MiniSearch {
  if (built) return built
  built = new MiniSearch({ idField: 'key', fields: ['title', 'words', 'about', 'stuff'] })
  built.addAll(
    sums.map(({ key, title, words, about, asks }) => ({
      key,
      title,
      words,
      about,
      // What can be chosen in it is a word it is found by.
      stuff: asks
        .flatMap((ask) => (ask.is === 'lines' ? ask.of : [ask]))
        .flatMap((ask) => (ask.is === 'pick' ? ask.options.map((one) => one.label) : [ask.label]))
        .join(' '),
    })),
  )
  return built
}

const isThreads = (ask: Ask): boolean => ask.is === 'pick' && ask.options.length === threads.length

/** 'M12' and '5/16"' name a thread; other words one of the things to choose from. */
function saidOf(sum: Sum, words: readonly string[]): Record<string, Scalar> {
  const filled: Record<string, Scalar> = {}
  const thread = threads.find((one) => words.includes(one.name.toLowerCase()))
  for (const ask of sum.asks) {
    if (ask.is !== 'pick') continue
    if (isThreads(ask)) {
      if (thread) filled[ask.key] = String(thread.sizeMm)
      continue
    }
    const found = ask.options.find((one) => {
      const label = one.label.toLowerCase().split(/[^\p{L}\d]+/u)
      return words.some((word) => word.length > 3 && label.includes(word))
    })
    if (found && found.value !== ask.initial) filled[ask.key] = found.value
  }
  return filled
}

/** Sums that have the words or their like, the best first, at most eight. */
export function findSums(said: string): SumHit[] {
  const words = said.toLowerCase().trim().split(/\s+/).filter(Boolean)
  if (words.length === 0) return []
  // A size finds nothing by itself: it fills a field of what the other words find.
  const text = words.filter((word) => !threads.some((one) => one.name.toLowerCase() === word))
  const asked = text.length > 0 ? text.join(' ') : 'bolt'
  return index()
    .search(asked, { prefix: true, fuzzy: 0.2, boost: { title: 4, words: 2, stuff: 0.5 } })
    .slice(0, 8)
    .flatMap((hit) => {
      const sum = sums.find((one) => one.key === hit.id)
      return sum ? [{ sum, filled: saidOf(sum, words) }] : []
    })
}
