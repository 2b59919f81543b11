/** A refit of the server that the files of a worker share: the demo, untouched by the other files. */
import { TestServer } from './server'

/** The server of this worker that nobody kills, and the refits nobody has had yet. */
export class SharedServer {
  private readonly server = new TestServer()
  private readonly left = (process.env.DEMO_IDS ?? '').split(',')
  private isBegun = false

  async nextRefit(): Promise<{ readonly url: string; readonly refitId: string }> {
    if (!this.isBegun) await this.server.startOn(process.env.DEMOS_FOLDER ?? '')
    // A file with a server of its own came in between.
    else if (!this.server.isUp) await this.server.start()
    this.isBegun = true
    const refitId = this.left.shift()
    if (!refitId) throw new Error('More files share a server than refits were made for.')
    return { url: this.server.url, refitId }
  }

  end = (): Promise<void> => this.server.end()
}

/** The refit of a file, as one of a server of its own would be. */
export class SharedDemo {
  private given = { url: '', refitId: '' }

  async begin(shared: SharedServer): Promise<void> {
    this.given = await shared.nextRefit()
  }

  get url(): string {
    return this.given.url
  }

  refitId = (): Promise<string> => Promise.resolve(this.given.refitId)
}
