import type { Writer } from '../write'

/** What stands over her: a tent on the foredeck, and a small heater in the forecabin that may run alone. */
export function writeCovers(write: Writer): void {
  write.add('cover', 'foredeck-tent', {
    title: 'Foredeck tent',
    kind: 'tent',
    zoneIds: ['zone-foredeck-starboard'],
    upOn: write.date('2027-04-03'),
    downOn: write.date('2027-05-18'),
    addsC: 1,
    perDayMinor: 0,
  })
  write.add('cover', 'forecabin-heater', {
    title: 'Dryer in the forecabin',
    kind: 'heat',
    zoneIds: ['zone-forecabin'],
    upOn: write.date('2027-04-10'),
    downOn: write.date('2027-05-01'),
    addsC: 4,
    perDayMinor: 120,
  })
}
