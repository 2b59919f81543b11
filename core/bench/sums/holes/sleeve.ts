import { mixGrams, mixWeightG } from '../../../laminate/mixFor'
import { sleeveMl } from '../../../laminate/sleeve'
import { accepted } from '../../../result'
import { amount, count } from '../../ask'
import type { Shape } from '../../drawing'
import { mixParts, box, length, name, round, text, threadAt, threadPick } from '../../parts'
import type { Beside } from '../../sum'
import { sum } from '../../sum'

/** Hours of one hole: filling it, and drilling it again. Starting values. */
const fillH = 0.1
const cureH = 16

export const sleevedHoles = sum({
  key: 'sleeved-holes',
  title: 'Sleeved holes',
  pocket: 'holes',
  about:
    'Thick mix for holes that are drilled over size, dug back in the core, filled and drilled again, so that no water reaches the core.',
  words: 'sleeve holes balsa core epoxy fill undercut over drill fitting deck',
  source: 'the trade’s rules',
  asks: [
    count('holes', 'Holes', 4, 500),
    threadPick('bolt', 'Thread', 8),
    amount('overDrill', 'Drilled larger by', 'mm', 8, [2, 100], {
      help: 'Leaves a wall of filling round the bolt: half of it on each side.',
    }),
    amount('undercut', 'Core dug back beyond the hole', 'mm', 6, [0, 100], { doubt: 0.25 }),
    amount('outer', 'Outer skin', 'mm', 6, [0.5, 50], { doubt: 0.2 }),
    amount('core', 'Core', 'mm', 12, [1, 120], { doubt: 0.15 }),
    amount('inner', 'Inner skin, left whole', 'mm', 3, [0, 50]),
  ],
  beside: ({ bolt, outer, core, inner }): readonly Beside[] => [
    {
      sum: 'before-you-drill',
      gives: { hole: threadAt(bolt).clearanceMm, thick: outer + core + inner },
      isEnough: true,
    },
    { sum: 'bolt-in-a-stack', gives: { bolt } },
  ],
  wantedBy: ['sleeve-and-bed', 'posts-and-rail', 'solar-on-arch', 'small-fittings'].map(
    (recipe) => ({
      recipe,
      steps: recipe === 'small-fittings' ? ['fill', 'drill'] : ['fill', 'overDrill'],
      fill: {
        holes: 'holes',
        bolt: 'bolt',
        overDrill: 'overDrill',
        undercut: 'undercut',
        outer: 'skin',
        core: 'core',
      },
    }),
  ),
  work: ({ holes, bolt, overDrill, undercut, outer, core, inner }, { say }) => {
    const thread = threadAt(bolt)
    const over = thread.sizeMm + overDrill
    const depth = outer + core
    const each = sleeveMl({ diameterMm: over, depthMm: depth, undercutMm: undercut, coreMm: core })
    const all = holes * each
    const mix = mixGrams(mixWeightG(all, 'fill'), 'fill')
    const wide = over + 2 * undercut + 60
    const [r, u] = [over / 2, over / 2 + undercut]
    const half = wide / 2
    const shapes: Shape[] = [
      box(-half, 0, half - r, outer, { fill: 'glass', field: 'outer' }),
      box(r, 0, half - r, outer, { fill: 'glass', field: 'outer' }),
      box(-half, outer, half - u, core, { fill: 'core', field: 'core' }),
      box(u, outer, half - u, core, { fill: 'core', field: 'core' }),
      {
        is: 'shape',
        fill: 'resin',
        corners: [
          [-r, 0],
          [r, 0],
          [r, outer],
          [u, outer],
          [u, depth],
          [-u, depth],
          [-u, outer],
          [-r, outer],
        ],
      },
      box(-half, depth, wide, Math.max(inner, 0.2), { fill: 'glass', field: 'inner' }),
      box(-thread.clearanceMm / 2, 0, thread.clearanceMm, depth + inner, {
        fill: 'paper',
        dashed: true,
      }),
      length([-r, 0], [r, 0], `over-drill ${say(over, 'mm')}`, { off: -0.6, field: 'overDrill' }),
      length([r, depth + inner], [u, depth + inner], say(undercut, 'mm'), {
        off: 0.6,
        field: 'undercut',
      }),
      text([0, depth / 2], `${say(thread.clearanceMm, 'mm')}`, { anchor: 'middle' }),
      name([half, outer / 2], `skin ${say(outer, 'mm')}`, 'right', { field: 'outer' }),
      name([half, outer + core / 2], `core ${say(core, 'mm')}`, 'right', { field: 'core' }),
      name([half, depth + inner / 2], `left whole ${say(inner, 'mm')}`, 'right', {
        field: 'inner',
      }),
    ]
    const amountSaid = say(round(all, 0), 'mL')
    return accepted({
      says: `${amountSaid} for ${holes}`,
      heading: `${amountSaid} of thick mix for ${holes}; cast one, drill it, then the others`,
      verdict: 'go',
      figures: [
        {
          label: 'Thick mix',
          value: amountSaid,
          note: `${say(round(each), 'mL')} a hole, a quarter lost in it`,
        },
        { label: 'Over-drill', value: say(over, 'mm'), note: `to ${say(depth, 'mm')} deep` },
        { label: 'Drill again', value: say(thread.clearanceMm, 'mm') },
        { label: 'Resin', value: say(round(mix.resinG, 0), 'g') },
        { label: 'Hardener', value: say(round(mix.hardenerG, 0), 'g') },
        { label: 'Powder', value: say(round(mix.powderG, 0), 'g') },
      ],
      working: [
        `Bore: π/4 × ${round(over)}² × ${round(depth)} = ${round(((Math.PI / 4) * over ** 2 * depth) / 1000, 2)} mL.`,
        `Ring in the core: π × (${round(u)}² − ${round(r)}²) × ${round(core)} = ${round((Math.PI * (u ** 2 - r ** 2) * core) / 1000, 2)} mL.`,
        `Together and a quarter for cup, stick and sand-off: ${round(each, 2)} mL a hole, times ${holes}.`,
        'By weight 100 of resin to 33 of hardener, powder stirred in last.',
      ],
      distrust: [
        'The undercut is as deep as the bent nail reached: look in with a light and a mirror.',
        'Soft core found beyond it takes more, and is a finding of its own.',
      ],
      cautions: [
        'Wet out thin first, fill thick after: thick mix on dry core starves.',
        'A cup of thick mix warms as it stands: small cups, outdoors.',
      ],
      drawing: {
        shapes,
        inMm: true,
        said: `A hole over-drilled to ${round(over)} mm, the core dug back ${round(undercut)} mm and filled, the inner skin left whole.`,
      },
      puts: [
        ...mixParts(mix),
        {
          is: 'step',
          key: 'fill',
          title: `Fill ${holes} sleeved holes, ${amountSaid} of thick mix`,
          operation: 'fill',
          hours: round(holes * fillH, 2),
          wait: { kind: 'chem', hours: cureH, minC: 10 },
          units: { name: 'holes', count: holes },
        },
        {
          is: 'bring',
          key: 'bit',
          what: `Drill bit ${say(over, 'mm')} with a depth stop at ${say(depth, 'mm')}`,
          amount: '1',
          kind: 'tool',
        },
        {
          is: 'asBuilt',
          key: 'sleeve',
          kind: 'size',
          what: 'Sleeved holes',
          value: `${holes} of ${say(over, 'mm')}, ${say(depth, 'mm')} deep, core dug back ${say(undercut, 'mm')}`,
        },
      ],
    })
  },
})
