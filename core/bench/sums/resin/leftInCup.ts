import { accepted } from '../../../result'
import type { Values } from '../../ask'
import { amount, lines, pick, words } from '../../ask'
import type { Shape } from '../../drawing'
import { box, round, text } from '../../parts'
import { sum } from '../../sum'

export const leftInCup = sum({
  key: 'left-in-the-cup',
  title: 'Left in the cup',
  pocket: 'resin',
  about: 'What is left of a pot, and which prepared places take it before it goes off.',
  words: 'leftover epoxy cup remaining use up waste pot sleeve fillet',
  source: 'the trade’s rules',
  asks: [
    amount('left', 'Left', 'g', 80, [1, 5000], { doubt: 0.2 }),
    amount('minutes', 'Until it goes off', 'min', 12, [0, 600], { doubt: 0.2 }),
    pick('is', 'It is', 'thin', [
      { value: 'thin', label: 'thin, and can be thickened' },
      { value: 'thick', label: 'thick already' },
    ]),
    lines(
      'places',
      'Prepared places',
      'place',
      [
        words('name', 'Place', 'place', 40),
        amount('takes', 'Takes', 'g', 30, [0.5, 5000], { doubt: 0.2 }),
        amount('minutes', 'Minutes to get it in', 'min', 5, [0, 300]),
        pick('wants', 'Wants it', 'thick', [
          { value: 'thin', label: 'thin' },
          { value: 'thick', label: 'thick' },
        ]),
      ],
      [
        { name: 'bow sleeve 3', takes: 20, minutes: 3, wants: 'thick' },
        { name: 'old screw holes', takes: 25, minutes: 6, wants: 'thick' },
        { name: 'seal end grain', takes: 40, minutes: 5, wants: 'thin' },
      ],
      { most: 30 },
    ),
  ],
  // How much each takes, nobody has said: a guess, to be looked at.
  prepared: (steps): Values =>
    steps.length > 0
      ? { places: steps.map(({ name, wants }) => ({ name, wants, takes: 30, minutes: 5 })) }
      : {},
  work: ({ left, minutes, is, places }, { say }) => {
    const g = (value: number) => say(round(value, 0), 'g')
    const able = places.filter((one) => !(is === 'thick' && one.wants === 'thin'))
    // Which of them use most of it in the time: few places, so every set is tried.
    const shown = able.slice(0, 14)
    let best: { readonly set: readonly number[]; readonly used: number; readonly time: number } = {
      set: [],
      used: 0,
      time: 0,
    }
    for (let mask = 1; mask < 1 << shown.length; mask++) {
      let used = 0
      let time = 0
      const set: number[] = []
      for (let at = 0; at < shown.length; at++)
        if (mask & (1 << at)) {
          used += shown[at]?.takes ?? 0
          time += shown[at]?.minutes ?? 0
          set.push(at)
        }
      if (
        used <= left + 1e-9 &&
        time <= minutes + 1e-9 &&
        (used > best.used + 1e-9 || (used > best.used - 1e-9 && time < best.time))
      )
        best = { set, used, time }
    }
    // Thin first: what is thickened does not go back.
    const chosen = best.set
      .map((at) => shown[at] as (typeof places)[number])
      .sort((a, b) => (a.wants === b.wants ? 0 : a.wants === 'thin' ? -1 : 1))
    const over = left - best.used
    let y = 0
    const scale = 120 / left
    const shapes: Shape[] = [box(0, 0, 70, 120, { fill: 'paper' })]
    for (const one of chosen) {
      shapes.push(
        box(0, 120 - y - one.takes * scale, 70, one.takes * scale, { fill: 'resin' }),
        text([74, 120 - y - (one.takes * scale) / 2], ` ${one.name}, ${g(one.takes)}`),
      )
      y += one.takes * scale
    }
    if (over > 0.5) shapes.push(box(0, 0, 70, over * scale, { fill: 'waste' }))
    return accepted({
      says: chosen.length === 0 ? 'none takes it' : `${chosen.length} take ${g(best.used)}`,
      takes: chosen.map((one) => one.name).join(', '),
      heading:
        chosen.length === 0
          ? 'no prepared place takes it in that time'
          : `${chosen.map((one) => one.name).join(', then ')}; ${g(over)} over`,
      verdict: 'go',
      figures: [
        {
          label: 'Used',
          value: g(best.used),
          note: `in ${round(best.time)} of ${round(minutes)} minutes`,
        },
        {
          label: 'Over',
          value: g(over),
          note: 'spread thin on a scrap outdoors, not left in the cup',
        },
      ],
      working: [
        'Of every set of places that fits the grams and the minutes the one that uses most is taken; thin ones first.',
      ],
      distrust: [
        'A place is prepared when it is ground, clean, dry and taped, not when it is planned.',
      ],
      cautions: ['A cup that warms goes outdoors on concrete: it can burn.'],
      drawing: { shapes, said: `Of ${round(left)} grams ${round(best.used)} are used.` },
      puts: [],
    })
  },
})
