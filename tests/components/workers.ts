/** Workers without a browser: what a page asks of one goes over a channel, and is answered by the same sums. */
import { expose } from 'comlink'
import { vi } from 'vitest'
import { makePlanner } from '../../app/workers/plannerWork'
import type { Planner } from '../../app/workers/plannerWork'
import { searcher } from '../../app/workers/sumWork'
import type { SumSearcher } from '../../app/workers/sumWork'

let instead: Partial<Planner & SumSearcher> = {}
const work: Readonly<Record<string, () => object>> = {
  'planner.worker.ts': () => ({ ...makePlanner(), ...instead }),
  'sum.worker.ts': () => ({ ...searcher, ...instead }),
}

/** Said before each question. */
const between = ['callOff', 'take']

export class HomeWorker {
  static made: HomeWorker[] = []
  /** What was asked of all of them, in its order. */
  static asked: string[] = []
  isEnded = false
  private readonly channel = new MessageChannel()

  constructor(url: URL) {
    HomeWorker.made.push(this)
    const make = work[url.pathname.split('/').at(-1) ?? '']
    if (!make) throw new Error(`There is no work for ${url.pathname}.`)
    expose(make(), this.channel.port2)
    this.channel.port1.start()
  }
  postMessage(data: { readonly path?: readonly string[] }, transfer: Transferable[] = []): void {
    const name = data.path?.[0]
    if (name && !between.includes(name)) HomeWorker.asked.push(name)
    this.channel.port1.postMessage(data, transfer)
  }
  addEventListener(kind: string, hear: EventListener): void {
    if (kind === 'message') this.channel.port1.addEventListener('message', hear)
  }
  removeEventListener(kind: string, hear: EventListener): void {
    if (kind === 'message') this.channel.port1.removeEventListener('message', hear)
  }
  terminate(): void {
    this.isEnded = true
    this.channel.port1.close()
  }
}

/** Lets pages make workers that answer; `over`: what they answer otherwise. */
export function withWorkers(over: Partial<Planner & SumSearcher> = {}): void {
  instead = over
  HomeWorker.made = []
  HomeWorker.asked = []
  vi.stubGlobal('Worker', HomeWorker)
}
