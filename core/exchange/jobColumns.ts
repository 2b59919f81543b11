/** What the columns of a list of work may hold, and how their headings are known. */
export const jobColumns = [
  'skip',
  'title',
  'hours',
  'operation',
  'zone',
  'system',
  'purpose',
  'severity',
  'priority',
  'gate',
  'after',
  'status',
  'person',
  'cost',
  'detail',
] as const
export type JobColumn = (typeof jobColumns)[number]

export const columnName: Readonly<Record<JobColumn, string>> = {
  skip: 'Leave out',
  title: 'Job',
  hours: 'Hours',
  operation: 'Kind of work',
  zone: 'Place on the boat',
  system: 'System',
  purpose: 'Purpose',
  severity: 'How bad, 1 to 4',
  priority: 'Priority',
  gate: 'Gate',
  after: 'Comes after (another job)',
  status: 'Done or open',
  person: 'Who',
  cost: 'Cost',
  detail: 'Notes',
}

type Head = Exclude<JobColumn, 'skip'>
/** Headings known at once, then those that only contain the word. In order: the first kind that fits wins. */
const heads: Readonly<Record<Head, readonly [RegExp, RegExp]>> = {
  title: [
    /^(job|task|work|title|what|item|to-?do|to do|description)s?$/i,
    /\b(job|task|item|description)\b/i,
  ],
  hours: [
    /^(hours?|hrs?|h|time|estimate|duration|likely)$/i,
    /\b(hours?|hrs?|estimate|duration)\b/i,
  ],
  operation: [/^(kind of work|operation)$/i, /\boperation\b/i],
  zone: [/^(place|zone|where|location|area|room)/i, /\b(place|location|area)\b/i],
  system: [/^(system|category|group|type)/i, /\bsystem\b/i],
  purpose: [/^(purpose|why)\b/i, /\bpurpose\b/i],
  priority: [/^(priority|prio|urgency|importance|rank)\b/i, /\bprio(rity)?\b/i],
  severity: [/^(severity|how bad|bad|grade)/i, /\bseverity\b/i],
  person: [
    /^(who|person|owner|assigned( to)?|by whom|responsible|crew)\b/i,
    /\b(assigned|responsible|person)\b/i,
  ],
  status: [/^(status|state|done\??|progress|completed?)$/i, /\bstatus\b/i],
  cost: [/^(costs?|price|budget|amount|eur|gbp|usd|[€£$])/i, /\b(cost|price)\b/i],
  gate: [/^(gate|before|deadline|milestone|finish(ed)? before)\b/i, /\b(deadline|milestone)\b/i],
  after: [/^(after|depends|needs|waits|predecessor|comes after)/i, /\bafter\b/i],
  detail: [/^(notes?|details?|comments?|remarks?)/i, /\b(note|comment|remark)s?\b/i],
}

/** Guesses what each column holds from its heading: plain headings first, then looser ones. */
export function guessColumns(header: readonly string[]): JobColumn[] {
  const guess: JobColumn[] = header.map(() => 'skip')
  const taken = new Set<JobColumn>()
  for (const pass of [0, 1] as const)
    header.forEach((cell, at) => {
      if (guess[at] !== 'skip') return
      const found = (Object.keys(heads) as Head[]).find(
        (column) => !taken.has(column) && heads[column][pass].test(cell.trim()),
      )
      if (!found) return
      taken.add(found)
      guess[at] = found
    })
  if (!taken.has('title') && guess.length > 0) {
    const free = guess.indexOf('skip')
    guess[free === -1 ? 0 : free] = 'title'
  }
  return guess
}

/** True when a row looks like headings: a cell is one, and none begins with a number. */
export const looksLikeHeader = (row: readonly string[]): boolean =>
  row.some((cell) => Object.values(heads).some(([head]) => head.test(cell.trim()))) &&
  !row.some((cell) => /^\s*\d/.test(cell))
