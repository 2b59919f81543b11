import type { Row } from '../model/entities'
import type { EvidenceKind } from '../model/words'

/** What a reading of each kind is counted in; '' for what has no unit, null for what is not measured by number. */
export const evidenceUnit: Readonly<Record<EvidenceKind, string | null>> = {
  tap: null,
  moisture: '',
  probe: 'mm',
  crack: 'mm',
  play: 'mm',
  leak: 'L a day',
  sample: null,
  sag: 'mm',
}
/** What a tap or a sample can be. */
export const soundsOf: Readonly<
  Partial<
    Record<EvidenceKind, readonly ('sharp' | 'dull' | 'sound' | 'parted' | 'wet' | 'powder')[]>
  >
> = {
  tap: ['sharp', 'dull'],
  sample: ['sound', 'parted', 'wet', 'powder'],
}
const names: Readonly<Record<EvidenceKind, string>> = {
  tap: 'Tap',
  moisture: 'Moisture',
  probe: 'Probe goes in',
  crack: 'Crack',
  play: 'Play',
  leak: 'Leak',
  sample: 'Sample',
  sag: 'Sag',
}

type Said = Pick<
  Row<'evidence'>,
  'kind' | 'value' | 'sounds' | 'scaleLow' | 'scaleHigh' | 'meter' | 'words'
>

/** "Moisture 23 of 0 to 35, pin meter", "Crack 120 mm", "Tap dull: a hand round the cleat". */
export function sayEvidence(one: Said): string {
  const unit = evidenceUnit[one.kind]
  const amount = one.value === null ? null : `${one.value}${unit ? ` ${unit}` : ''}`
  const scale =
    one.scaleLow !== null && one.scaleHigh !== null ? ` of ${one.scaleLow} to ${one.scaleHigh}` : ''
  const head = [names[one.kind], one.sounds, amount === null ? null : `${amount}${scale}`]
    .filter(Boolean)
    .join(' ')
  const meter = one.meter === '' ? '' : `, ${one.meter.toLowerCase()}`
  return `${head}${meter}${one.words === '' ? '' : `: ${one.words}`}`
}
