import { keysAfter } from '#core/model/order'
import type { Writer } from '../write'

/** Code, what it is, place it came from, where it is ('' nobody knows), step that wants it back, state. */
type Line = readonly [string, string, string, string, string | null, ('fitted' | 'lost')?]

const bags: readonly Line[] = [
  ['B01', 'Saloon lamp, port', 'saloon', 'Home shed, shelf 1', null],
  ['B02', 'Saloon lamp, starboard', 'saloon', 'Home shed, shelf 1', null],
  ['B03', 'Sole board clips, 24', 'saloon', 'Home shed, shelf 1', 'move-1'],
  ['B04', 'Table leg bolts and sockets', 'saloon', 'Home shed, shelf 1', 'move-1'],
  ['B05', 'Bookshelf fiddles and screws', 'saloon', 'Home shed, shelf 2', null],
  ['B06', 'Window curtain track, port', 'saloon', 'Home shed, shelf 2', null],
  ['B07', 'Window curtain track, starboard', 'saloon', 'Home shed, shelf 2', null],
  ['B08', 'Heater ducts, saloon end', 'saloon', 'Home shed, floor', null],
  ['B09', 'Speaker pair', 'saloon', 'Home shed, shelf 2', 'panel-rest-1'],
  ['B10', 'Barometer and clock', 'saloon', 'At home, hall', null],
  ['B11', 'Forecabin lamp', 'forecabin', 'Home shed, shelf 1', 'forecabin-lining-3'],
  ['B12', 'Lining battens, numbered', 'forecabin', 'Home shed, wall', 'forecabin-lining-1'],
  ['B13', 'Bunk board catches', 'forecabin', 'Home shed, shelf 1', 'forecabin-lining-3'],
  ['B14', 'Chain locker drain flange, bronze', 'bow-and-anchor-gear', '', 'chain-drain-3'],
  ['B15', 'Foredeck cleats, pair, old bolts', 'foredeck-starboard', 'Home shed, shelf 3', 'bitt-5'],
  ['B16', 'Bow roller pin and cheeks', 'bow-and-anchor-gear', 'Home shed, shelf 3', 'bitt-5'],
  ['B17', 'Windlass foot switch', 'bow-and-anchor-gear', 'Home shed, shelf 3', 'windlass-2'],
  ['B18', 'Chart table instruments', 'chart-table', 'At home, desk', 'panel-rest-1'],
  ['B19', 'Old panel, breakers 1 to 12', 'chart-table', 'Home shed, shelf 4', 'panel-3'],
  ['B20', 'Radio and its lead', 'chart-table', 'At home, desk', 'nav-lights-2'],
  ['B21', 'Galley tap and foot pump', 'galley', 'Home shed, shelf 4', 'galley-valve-4'],
  ['B22', 'Stove gimbals', 'galley', 'Home shed, floor', 'gas-2'],
  ['B23', 'Heads bowl seals, old', 'heads', 'Home shed, shelf 4', 'heads-1'],
  ['B24', 'Heads vent fitting', 'heads', '', 'heads-3', 'lost'],
  ['B25', 'Aft cabin reading lamps', 'aft-cabin', 'Home shed, shelf 1', 'aft-lining-5'],
  ['B26', 'Aft cabin window trim screws', 'aft-cabin', 'Home shed, shelf 2', 'aft-window-3'],
  ['B27', 'Stanchions, port, four', 'side-deck-port', 'Aboard', null, 'fitted'],
  ['B28', 'Genoa track bolts', 'side-deck-port', 'Aboard', null, 'fitted'],
  ['B29', 'Mast boot and clamp', 'mast-and-rigging', 'Home shed, floor', 'rig-tune-1'],
  ['B30', 'Deck light and plug', 'mast-and-rigging', 'Home shed, shelf 4', 'rig-3'],
  ['B31', 'Engine space lamp and fan', 'engine-space', 'Home shed, shelf 4', 'engine-2'],
]

const wires: readonly (readonly [string, string, string, string, string])[] = [
  ['B01', 'Breaker 4', 'Lamp +', 'red', 'L4'],
  ['B01', 'Busbar', 'Lamp −', 'black', 'N4'],
  ['B11', 'Breaker 5', 'Lamp +', 'red', 'L5'],
  ['B11', 'Busbar', 'Lamp −', 'black', 'N5'],
  ['B17', 'Windlass relay', 'Switch 1', 'yellow', 'W1'],
  ['B17', 'Windlass relay', 'Switch 2', 'yellow, one stripe', 'W2'],
  ['B18', 'Breaker 9', 'Echo sounder', 'red', 'E9'],
  ['B18', 'Log impeller', 'Log head', 'grey, four cores', 'LG'],
  ['B30', 'Breaker 7', 'Deck light', 'red', 'D7'],
]

export function writeBags(write: Writer): void {
  const steps = new Set(write.rows.step.map((step) => step.id))
  const orders = keysAfter(null, bags.length)
  bags.forEach(([code, what, zone, storedAt, wanted, state], index) => {
    if (wanted !== null && !steps.has(wanted)) throw new Error(`bag ${code}: no step ${wanted}`)
    write.add('bag', code.toLowerCase(), {
      code,
      what,
      fromZoneId: `zone-${zone}`,
      jobId: zone === 'saloon' || zone === 'forecabin' ? 'strip-out' : null,
      storedAt,
      lastSeenOn: storedAt === '' ? null : write.date('2026-04-11'),
      wantedByStepId: wanted,
      state: state ?? 'stored',
      worth: code === 'B23' ? 'broken' : 'notLooked',
      order: orders[index] as string,
    })
  })
  const wireOrders = keysAfter(null, wires.length)
  wires.forEach(([code, from, to, colour, label], index) =>
    write.add('bagWire', `wire-${index + 1}`, {
      bagId: code.toLowerCase(),
      from,
      to,
      colour,
      label,
      order: wireOrders[index] as string,
    }),
  )
}
