import type { Row } from '../model/entities'

export interface OutlookFigures {
  readonly outlook: Row<'outlook'>
  /** Minor units: worth afterwards − worth as she lies − money still to spend. */
  readonly gainMinor: number
  /** Minor units an own hour; null where no hours are asked. */
  readonly perHourMinor: number | null
}

/** What each way leaves over selling her as she lies. Sailing her is not in it. */
export const outlookFigures = (
  outlooks: readonly Row<'outlook'>[],
  worthNowMinor: number,
): OutlookFigures[] =>
  outlooks.map((outlook) => {
    const gainMinor = outlook.worthMinor - worthNowMinor - outlook.spendMinor
    return {
      outlook,
      gainMinor,
      perHourMinor: outlook.ownHours > 0 ? Math.round(gainMinor / outlook.ownHours) : null,
    }
  })

/** The best way when every worth afterwards is a share lower: what an hour of it would then leave. */
export function lessWorth(
  { outlook }: OutlookFigures,
  worthNowMinor: number,
  share: number,
): OutlookFigures {
  const worthMinor = Math.round(outlook.worthMinor * (1 - share))
  return outlookFigures([{ ...outlook, worthMinor }], worthNowMinor)[0] as OutlookFigures
}
