import { readSetting } from './dataFolder'

/** The demo's and the tests' clock, kept in clock.json of the data folder. */
interface ClockSetting {
  /** Added to the machine's time, ms. */
  readonly offsetMs?: number
  /** The time stands still here, UTC ms. */
  readonly fixedAt?: number
}

const setting = (readSetting('clock.json') ?? {}) as ClockSetting

/** The one clock of the server, UTC ms. */
export const now = (): number => setting.fixedAt ?? Date.now() + (setting.offsetMs ?? 0)

/** What a client needs to keep the same time. */
export const clockForClients = (): { now: number; fixed: boolean } => ({
  now: now(),
  fixed: setting.fixedAt !== undefined,
})
