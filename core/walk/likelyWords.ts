/** What is most often found at a kind of place: six to tap instead of typing with gloves on. */
import type { Zone } from '../model/entities'

const deck = [
  'Fitting moves',
  'Soft underfoot',
  'Weeps below',
  'Rust streak',
  'Crack',
  'Sealant let go',
]
const rig = [
  'Broken strand',
  'Pin without ring',
  'Rust at the end fitting',
  'Crack',
  'Chafe',
  'Halyard worn',
]
const below = [
  'Wet',
  'Soft wood',
  'Hose perished',
  'Clip rusted through',
  'Wire chafed',
  'Smells of fuel',
]
const engine = [
  'Oil leak',
  'Hose perished',
  'Belt worn',
  'Clip rusted through',
  'Mount has sunk',
  'Wire chafed',
]
const under = [
  'Valve is stuck',
  'Anode is gone',
  'Play',
  'Blisters',
  'Hairline',
  'Clip rusted through',
]
const anywhere = ['Leaks', 'Cracked', 'Loose', 'Corroded', 'Missing', 'Worn']

/** Six likely words for a place. Null: place not said. */
export function likelyWords(
  zone: Pick<Zone, 'strake' | 'belowWaterline' | 'name'> | null,
): readonly string[] {
  if (!zone) return anywhere
  if (zone.belowWaterline || zone.strake === 'underwater') return under
  if (zone.strake === 'rig') return rig
  if (zone.strake === 'below') return /engine|motor/i.test(zone.name) ? engine : below
  return zone.strake === 'deck' ? deck : anywhere
}
