import { createRandom } from '#core/random'

/** A drawn picture of the demo and where it belongs. Drawn, not photographed: nothing in it is real. */
export interface DrawnPicture {
  readonly svg: string
  readonly caption: string
  readonly moment: 'before' | 'open' | 'after' | 'found'
  readonly takenAt: string
  readonly jobId?: string
  readonly sheetId?: string
  readonly findingId?: string
  readonly spot?: string
}

const wide = 720
const high = 480
const ink = '#1c2430'
const [cream, wood, wet, glass, grey, bronze, pink] = [
  '#efe9d8',
  '#c9a06a',
  '#5c4630',
  '#a9bdb4',
  '#9aa3a8',
  '#b3853f',
  '#c9766a',
] as const

const rect = (x: number, y: number, w: number, h: number, fill: string, more = ''): string =>
  `<rect x="${x}" y="${y}" width="${w}" height="${h}" fill="${fill}" stroke="${ink}" stroke-width="3" ${more}/>`
const line = (d: string, more = ''): string =>
  `<path d="${d}" fill="none" stroke="${ink}" stroke-width="3" ${more}/>`
const circle = (x: number, y: number, r: number, fill: string): string =>
  `<circle cx="${x}" cy="${y}" r="${r}" fill="${fill}" stroke="${ink}" stroke-width="3"/>`
const words = (x: number, y: number, text: string, size = 24): string =>
  `<text x="${x}" y="${y}" font-family="sans-serif" font-size="${size}" fill="${ink}">${text}</text>`

/** A rule of 100 mm along the foot, as everybody lays one into the picture. */
const rule = (scale: number): string =>
  [
    rect(30, high - 46, scale * 10, 22, '#f7f3e6'),
    ...Array.from({ length: 11 }, (_, at) =>
      line(`M${30 + at * scale} ${high - 46}v${at % 5 === 0 ? 16 : 9}`),
    ),
    words(40 + scale * 10, high - 27, '100 mm', 20),
  ].join('')

function frame(ground: string, seed: number, body: string): string {
  const random = createRandom(seed)
  const specks = Array.from(
    { length: 260 },
    () =>
      `<circle cx="${Math.round(random() * wide)}" cy="${Math.round(random() * high)}" r="${(0.6 + random() * 1.8).toFixed(1)}" fill="${ink}" opacity="0.12"/>`,
  ).join('')
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${wide}" height="${high}" viewBox="0 0 ${wide} ${high}">${rect(0, 0, wide, high, ground)}${specks}${body}</svg>`
}

const weave = (x: number, y: number, w: number, h: number, step: number): string => {
  const strokes: string[] = []
  for (let at = -h; at < w; at += step)
    strokes.push(
      `<path d="M${x + Math.max(at, 0)} ${y + Math.max(-at, 0)}L${x + Math.min(at + h, w)} ${y + Math.min(h, w - at)}" stroke="#fff" stroke-width="3" opacity="0.6"/>`,
    )
  return rect(x, y, w, h, glass) + strokes.join('')
}

/** A deck patch seen from above, in four states. */
function patch(state: 'marked' | 'raked' | 'cored' | 'plied', seed: number): string {
  const hole = 'M150 90 L560 70 L590 340 L180 370Z'
  const fill = { marked: 'none', raked: wet, cored: wood, plied: 'none' }[state]
  const blocks =
    state === 'cored'
      ? Array.from({ length: 9 }, (_, at) => line(`M${180 + at * 45} 88l8 265`)).join('') +
        [140, 200, 260, 320].map((y) => line(`M165 ${y}l415 -8`)).join('')
      : ''
  const inside =
    state === 'marked'
      ? `<path d="M250 170q60 -50 130 -10q90 30 70 90q-60 70 -150 40q-90 -40 -50 -120Z" fill="${wet}" opacity="0.35"/>${words(280, 230, 'wet 22 %')}`
      : state === 'raked'
        ? [0, 1, 2, 3, 4, 5].map((at) => line(`M190 ${120 + at * 38}q180 -24 370 -6`)).join('')
        : state === 'plied'
          ? weave(110, 60, 500, 330, 22)
          : blocks
  return frame(
    cream,
    seed,
    `<path d="${hole}" fill="${fill}" stroke="${ink}" stroke-width="4" stroke-dasharray="${state === 'marked' ? '14 8' : '0'}"/>${inside}${rule(16)}`,
  )
}

/** A cut through the deck: skins, core, and a bolt once it is bedded. */
function section(state: 'before' | 'open' | 'after', seed: number): string {
  const core = state === 'before' ? wet : state === 'open' ? cream : wood
  const bolt =
    state === 'after'
      ? rect(330, 120, 60, 22, grey) + rect(352, 142, 16, 196, grey) + rect(334, 320, 52, 18, grey)
      : ''
  return frame(
    '#dfe5e2',
    seed,
    `${state === 'open' ? '' : rect(60, 160, 600, 34, glass)}${rect(60, 194, 600, 84, core, state === 'open' ? 'stroke-dasharray="10 8"' : '')}${rect(60, 278, 600, 24, glass)}${state === 'after' ? `<path d="M322 160h76v142h-76z" fill="#d8c28a" stroke="${ink}" stroke-width="2"/>` : ''}${bolt}${words(70, 90, { before: 'core brown, runs water', open: 'top skin off, core out', after: 'sleeved, bolt dry in butyl' }[state])}${rule(20)}`,
  )
}

/** A sea valve, sound bronze or gone pink. */
const valve = (sound: boolean, seed: number): string =>
  frame(
    '#cfd8d6',
    seed,
    `${rect(300, 60, 90, 90, sound ? bronze : pink)}${rect(250, 150, 190, 130, sound ? bronze : pink)}${rect(300, 280, 90, 90, sound ? bronze : pink)}${rect(440, 190, 170, 30, grey)}${circle(345, 215, 46, sound ? '#c99c55' : '#d89086')}${sound ? rect(290, 80, 110, 14, grey) + rect(290, 112, 110, 14, grey) : line('M270 170l40 30l-20 30l50 30')}${rule(14)}`,
  )

/** The block under the mast. */
const step = (sound: boolean, seed: number): string =>
  frame(
    '#d9d2c2',
    seed,
    `${rect(130, 240, 460, 120, sound ? wood : wet)}${rect(250, 90, 220, 150, grey)}${line('M130 300h460')}${sound ? [180, 260, 440, 530].map((x) => circle(x, 268, 14, grey)).join('') : line('M150 250q60 60 30 100M400 250q-50 60 40 104')}${rule(12)}`,
  )

/** Numbered bags on a shelf. */
const bags = (seed: number): string =>
  frame(
    '#e6dfcd',
    seed,
    Array.from({ length: 10 }, (_, at) => {
      const [x, y] = [50 + (at % 5) * 130, 80 + Math.floor(at / 5) * 160]
      return `${rect(x, y, 100, 110, '#f4f6f4', 'rx="12"')}${rect(x + 18, y + 34, 64, 36, cream)}${words(x + 28, y + 61, `B${String(at + 1).padStart(2, '0')}`, 22)}`
    }).join('') + line('M30 200h660M30 360h660'),
  )

/** A hose with two clips on its tail. */
const hose = (seed: number): string =>
  frame(
    '#d5dad9',
    seed,
    `<path d="M80 360q40 -220 260 -220h160" fill="none" stroke="${ink}" stroke-width="86"/><path d="M80 360q40 -220 260 -220h160" fill="none" stroke="#59656b" stroke-width="78"/>${rect(380, 92, 22, 98, grey)}${rect(430, 92, 22, 98, grey)}${rect(500, 116, 120, 50, bronze)}${rule(14)}`,
  )

/** A worn shaft in the rings of a gauge. */
const shaft = (seed: number): string =>
  frame(
    '#cdd4d8',
    seed,
    `${rect(40, 170, 640, 110, '#b8bfc2')}<path d="M300 170q40 14 110 0v110q-60 -12 -110 0z" fill="#8b9498" stroke="${ink}" stroke-width="2"/>${line('M355 90v80M355 280v80')}${words(375, 120, '0.15 mm')}${rule(14)}`,
  )

/** A crack, a switch, a base: what the eye catches on the way. */
const crack = (seed: number, label: string): string =>
  frame(
    '#b9c7cc',
    seed,
    `${line('M140 110q80 60 150 50q110 -10 140 90q30 60 120 70', 'stroke-linecap="round"')}${line('M290 160l-20 60')}${words(150, 90, label)}${rule(16)}`,
  )
const base = (seed: number): string =>
  frame(
    cream,
    seed,
    `${rect(240, 220, 240, 60, grey)}${rect(330, 50, 60, 170, grey)}${[270, 450].map((x) => circle(x, 250, 12, '#cfd3d5')).join('')}<path d="M230 284q130 40 260 0" fill="none" stroke="${wet}" stroke-width="14" opacity="0.5"/>${rule(14)}`,
  )

/** All drawn pictures of the demo. */
export const drawnPictures: readonly DrawnPicture[] = [
  {
    svg: patch('marked', 1),
    caption: 'Foredeck before: tap test and meter marked',
    moment: 'before',
    takenAt: '2026-10-10 09:40',
    jobId: 'foredeck',
    spot: 'Windlass to hatch',
  },
  {
    svg: patch('raked', 2),
    caption: 'Skin off, core raked out',
    moment: 'open',
    takenAt: '2026-12-12 15:05',
    jobId: 'foredeck',
    spot: 'Windlass to hatch',
  },
  {
    svg: patch('cored', 3),
    caption: 'New core bedded, before fairing',
    moment: 'open',
    takenAt: '2027-04-03 14:10',
    jobId: 'foredeck',
    spot: 'Windlass to hatch',
  },
  {
    svg: patch('plied', 4),
    caption: 'Plies 1 to 4 on, peel ply over all',
    moment: 'after',
    takenAt: '2027-04-15 18:40',
    jobId: 'foredeck',
    spot: 'Windlass to hatch',
  },
  ...(['before', 'open', 'after'] as const).map((moment, index): DrawnPicture => ({
    svg: section(moment, 5 + index),
    caption: [
      'Side deck before: wet core round the stanchions',
      'Core out, lower skin drying',
      'Bedded stanchion base, sleeved',
    ][index] as string,
    moment,
    takenAt: ['2025-11-08 10:30', '2025-12-06 15:25', '2026-04-26 15:50'][index] as string,
    jobId: 'side-deck',
    spot: 'Side deck, cut through',
    sheetId: 'sheet-side-deck',
  })),
  {
    svg: valve(false, 8),
    caption: 'Old tail: pink where it was scratched',
    moment: 'before',
    takenAt: '2026-01-17 13:40',
    jobId: 'valves-one',
    spot: 'Valve tail',
    sheetId: 'sheet-valves-one',
  },
  {
    svg: valve(true, 9),
    caption: 'Lapped, greased, two clips',
    moment: 'after',
    takenAt: '2026-02-14 12:10',
    jobId: 'valves-one',
    spot: 'Valve tail',
    sheetId: 'sheet-valves-one',
  },
  {
    svg: step(false, 10),
    caption: 'Mast step before: crushed and soft',
    moment: 'before',
    takenAt: '2026-01-24 12:00',
    jobId: 'mast-step',
    spot: 'Mast step from starboard',
    sheetId: 'sheet-mast-step',
  },
  {
    svg: step(true, 11),
    caption: 'New block bolted',
    moment: 'after',
    takenAt: '2026-03-21 14:40',
    jobId: 'mast-step',
    spot: 'Mast step from starboard',
    sheetId: 'sheet-mast-step',
  },
  {
    svg: bags(12),
    caption: 'Bags 1 to 10 on the shelf',
    moment: 'after',
    takenAt: '2025-10-26 15:20',
    jobId: 'strip-out',
    sheetId: 'sheet-strip-out',
  },
  {
    svg: hose(13),
    caption: 'New hose, two clips on the tail',
    moment: 'after',
    takenAt: '2026-11-14 13:40',
    jobId: 'galley-hose',
    sheetId: 'sheet-galley-hose',
  },
  {
    svg: shaft(14),
    caption: 'Wear at the gland',
    moment: 'open',
    takenAt: '2027-03-27 12:00',
    jobId: 'shaft',
    sheetId: 'sheet-shaft',
  },
  {
    svg: crack(15, 'skeg, 120 mm'),
    caption: 'Hairline in the skeg fairing',
    moment: 'found',
    takenAt: '2027-04-10 11:00',
    findingId: 'found-4',
  },
  {
    svg: base(16),
    caption: 'Stanchion 4 lifts on the lean',
    moment: 'found',
    takenAt: '2027-04-11 10:30',
    findingId: 'found-12',
  },
]
