import { expectedBad, renewFrom } from '../../../members/expected'
import { accepted, refused } from '../../../result'
import { amount, count } from '../../ask'
import type { Shape } from '../../drawing'
import { box, round, text } from '../../parts'
import { sum } from '../../sum'

export const countTheBad = sum({
  key: 'count-the-bad',
  title: 'Count the bad',
  pocket: 'structure',
  about:
    'From the members that were seen, how many bad ones to expect among all, the hours they take, and from when renewing all is less.',
  words: 'frames floors members count rotten cracked estimate survey hours structure renew',
  source: 'the trade’s rules: rate with Jeffreys’ prior, four chances in five',
  asks: [
    count('all', 'Members in all', 30, 2000),
    count('seen', 'Seen', 12, 2000, { min: 0 }),
    count('bad', 'Bad of those', 3, 2000, { min: 0 }),
    amount('mend', 'Hours to mend one', 'h', 6, [0.1, 500], { doubt: 0.25 }),
    amount('open', 'Hours to get at one that is hidden', 'h', 1, [0, 200], { doubt: 0.3 }),
    amount('renew', 'Hours to renew all', 'h', 120, [0.1, 50_000], { doubt: 0.25 }),
  ],
  wantedBy: [{ recipe: 'sister-frame', steps: ['clear', 'pattern'], fill: { bad: 'members' } }],
  work: ({ all, seen, bad, mend, open, renew }, { say }) => {
    if (seen > all)
      return refused('More were seen than there are.', [
        { field: 'seen', message: `There are ${all}.` },
      ])
    if (bad > seen)
      return refused('More are bad than were seen.', [
        { field: 'bad', message: `${seen} were seen.` },
      ])
    const found = expectedBad(bad, seen - bad, all - seen)
    const likely = bad + found.more
    const hours = likely * mend + (all - seen) * open
    const from = renewFrom(renew, mend)
    const h = (value: number) => say(round(value, 0), 'h')
    const worth = likely >= from
    const perRow = 20
    const shapes: Shape[] = Array.from({ length: Math.min(all, 200) }, (_, at): Shape => {
      const is = at < bad ? 'bad' : at < seen ? 'sound' : 'unseen'
      return box(
        (at % perRow) * 14,
        Math.floor(at / perRow) * 34,
        9,
        27,
        is === 'bad'
          ? { fill: 'short', edge: 'red' }
          : is === 'sound'
            ? { fill: 'wood' }
            : { fill: 'paper', dashed: true },
      )
    })
    shapes.push(
      text(
        [0, (Math.floor((Math.min(all, 200) - 1) / perRow) + 1) * 34],
        'hatched bad · solid sound · dashed not seen',
        { down: 0.6, tone: 'soft', size: 'small' },
      ),
    )
    return accepted({
      says: `${round(likely)} of ${all}, ${h(hours)}`,
      takes: worth ? 'renew all' : 'mend one by one',
      heading: worth
        ? `about ${round(likely)} of ${all}: renewing all is less`
        : `about ${round(likely)} of ${all}, ${found.from} to ${found.to}: mend them one by one`,
      verdict: 'go',
      figures: [
        {
          label: 'Bad in all, likely',
          value: String(round(likely)),
          note: `${found.from} to ${found.to}, four chances in five`,
        },
        { label: 'Share that is bad', value: `${Math.round(found.rate * 100)} %` },
        { label: 'Hours, mended', value: h(hours), note: 'opening what is hidden in it' },
        {
          label: 'Hours, all renewed',
          value: h(renew),
          note: `less from ${from} bad ones on`,
          tone: worth ? 'good' : undefined,
        },
      ],
      working: [
        `(${bad} + ½) ÷ (${seen} + 1) = ${round(found.rate * 100)} % of the ${all - seen} unseen, ${round(found.more)} more.`,
        `${round(likely)} × ${round(mend)} h and ${all - seen} × ${round(open)} h to look.`,
        `${round(renew)} ÷ ${round(mend)} = ${from}.`,
      ],
      distrust: [
        'What is easy to see is not like what is hidden: the bilge is worse.',
        'A pattern (one leak, one bay) makes neighbours alike: look there next.',
      ],
      cautions: ['Keel and floors: she stands on them. Chocked, a surveyor asked.'],
      drawing: {
        shapes,
        said: `${bad} bad and ${seen - bad} sound of ${all}, ${all - seen} not seen.`,
      },
      puts: [
        {
          is: 'asBuilt',
          key: 'count',
          kind: 'note',
          what: 'Members',
          value: `${bad} bad of ${seen} seen, ${all} in all`,
        },
      ],
    })
  },
})
