/** Whether she can go in: every line that this boat has something to say about. Source: handbook 6. */
import type { HullOpening, Job, ReadySign, Step } from '../model/entities'
import { byId, inOrder } from '../model/refit'
import { factsOf } from '../plan/facts'
import { provisionals } from '../steps/provisional'
import { counted } from '../units/counted'
import { inflowLMin, minutesToSole } from '../water/inflow'
import { lightsWanted, sayLights } from './lights'
import { LaunchWork } from './workLeft'
import type { WorkLeft } from './workLeft'
import type { ReadyFacts, ReadyItem } from './readyItem'

export interface Readiness {
  /** Bow to stern. */
  readonly openings: readonly ReadyItem[]
  readonly before: readonly ReadyItem[]
  /** Her whole launch signed for all the same. */
  readonly anyway: ReadySign | null
  /** When the last line that stops or runs is over, UTC ms; Infinity: one has no plan; null: nothing is left. */
  readonly readyAt: number | null
}

type Line = Omit<ReadyItem, 'sign'>

const aboutAnodes = /\banodes?\b/i
const aboutPump = /\b(bilge pump|float switch|pump and float)\b/i
const aboutPropeller = /\bpropellers?\b/i

/** Everything about one launch that has to be closed, tried or signed before she is lifted. */
export function readiness(facts: ReadyFacts): Readiness {
  const work = new LaunchWork(facts)
  const signs = new Map(
    facts.rows.readySign
      .filter((one) => one.haulOutId === facts.haulOut.id)
      .map((one) => [one.item, one]),
  )
  const settle = (line: Line): ReadyItem => signed(line, signs.get(line.key) ?? null, facts)
  const openings = [...openingLines(facts, work), ...openedByJobs(facts, work)].map(settle)
  const before = beforeLines(facts, work).map(settle)
  const left = [...openings, ...before].flatMap((one) => one.until ?? [])
  return {
    openings,
    before,
    anyway: signs.get('launch') ?? null,
    readyAt: left.length === 0 ? null : Math.max(...left),
  }
}

/** A signature on a line. One for proven does not stand against work that is open. */
function signed(line: Line, sign: ReadySign | null, { rows, date }: ReadyFacts): ReadyItem {
  if (!sign) return { ...line, sign: null }
  const name = rows.person.find((one) => one.id === sign.personId)?.name ?? ''
  const because = sign.because === '' ? '' : `: ${sign.because}`
  const said = `${name}, ${date(sign.at)}${because}`
  if (sign.as === 'proven') {
    if (line.state === 'stops' && line.stepIds.length > 0)
      return { ...line, evidence: `${line.evidence}; signed ${said}, and work is open`, sign }
    if (line.state === 'runs') return { ...line, sign }
    return { ...line, state: 'proven', until: null, evidence: said, sign }
  }
  const state = sign.as === 'notAboard' ? 'notAboard' : 'skipped'
  const evidence = state === 'skipped' && line.risk !== '' ? `${said}; ${line.risk} if wrong` : said
  return { ...line, state, until: null, evidence, sign }
}

/** How far forward an opening lies: its own word, else that of its place; 0 the stern to 1 the bow. */
export function alongOf(opening: HullOpening, zones: ReadyFacts['rows']['zone']): number | null {
  return opening.along ?? zones.find((one) => one.id === opening.zoneId)?.along ?? null
}

/** Openings from the bow aft, those without a place last. */
export const bowToStern = (rows: Pick<ReadyFacts['rows'], 'hullOpening' | 'zone'>): HullOpening[] =>
  inOrder(rows.hullOpening).sort(
    (a, b) => (alongOf(b, rows.zone) ?? -1) - (alongOf(a, rows.zone) ?? -1),
  )

/** "145 L a minute, 8 min to the sole": what comes in through it open; '': its bore is not known, or it lies dry. */
export function riskOf(
  opening: HullOpening,
  refit: ReadyFacts['rows']['refit'][number] | undefined,
): string {
  if (opening.boreMm === null || opening.heightM >= 0) return ''
  const inLMin = inflowLMin(opening.boreMm, -opening.heightM)
  const litres = `${Math.round(inLMin)} L a minute`
  if (!refit || refit.litresToSole === null) return litres
  // A pump lifts about half of what its plate says. Source: handbook-2 H4.
  const minutes = minutesToSole(inLMin, (refit.pumpLMin ?? 0) / 2, refit.litresToSole)
  return minutes === null
    ? `${litres}, the pump holds it`
    : `${litres}, ${Math.ceil(minutes)} min to the sole`
}

const nothingShown = 'no work, no test, no signature'

function lineOf(key: string, title: string, left: WorkLeft | null, more: Partial<Line>): Line {
  return {
    key,
    title,
    opening: null,
    state: left?.state ?? 'stops',
    until: left ? left.until : Infinity,
    evidence: left?.evidence ?? nothingShown,
    risk: '',
    jobIds: [],
    stepIds: left?.stepIds ?? [],
    ...more,
  }
}

function openingLines(facts: ReadyFacts, work: LaunchWork): Line[] {
  const stops = facts.found.filter((one) => one.rule === 3)
  const noBucket = facts.found.filter((one) => one.rule === 17)
  return bowToStern(facts.rows).map((opening) => {
    const left = work.left(opening.jobIds)
    const isOf = (one: { readonly jobIds: readonly string[] }) =>
      one.jobIds.some((id) => opening.jobIds.includes(id))
    const line = lineOf(`opening ${opening.id}`, opening.title, left, {
      opening,
      risk: riskOf(opening, facts.rows.refit[0]),
      jobIds: opening.jobIds,
    })
    const later = left
      ? undefined
      : opening.jobIds.filter((id) => work.isOpenLater(id)).map((id) => work.jobs.get(id))[0]
    if (later)
      return {
        ...line,
        state: 'look',
        until: null,
        evidence: `“${later.title}” comes only after this launch`,
      }
    const stop = stops.find(isOf)
    if (stop && line.state !== 'stops')
      return {
        ...line,
        state: 'stops',
        until: Infinity,
        evidence: 'open when she goes in by the plan',
      }
    if (noBucket.some(isOf))
      return { ...line, evidence: `${line.evidence}; no bucket test, wrong means another lift` }
    return line
  })
}

/** Jobs that open the hull under water and that no opening of the list names: they are lines of their own. */
function openedByJobs(facts: ReadyFacts, work: LaunchWork): Line[] {
  const zones = byId(facts.rows.zone)
  const named = new Set(facts.rows.hullOpening.flatMap((one) => one.jobIds))
  const opensHull = (step: Step) =>
    step.placeNeed === 'boat' && (factsOf(step).opens || step.operation === 'bed')
  return facts.rows.job.flatMap((job): Line[] => {
    if (named.has(job.id) || job.decision !== 'plan') return []
    if (!zones.get(job.zoneId ?? '')?.belowWaterline) return []
    const own = work.stepsOf(job.id)
    if (!own.some((one) => one.operation === 'drill' || one.operation === 'cut' || one.opens))
      return []
    if (!own.some(opensHull)) return []
    const left = work.left([job.id])
    if (!left || left.state === 'look') return []
    return [lineOf(`job ${job.id}`, job.title, left, { jobIds: [job.id] })]
  })
}

function beforeLines(facts: ReadyFacts, work: LaunchWork): Line[] {
  const { rows } = facts
  const hasShaft = rows.hullOpening.some((one) => one.kind === 'shaft')
  return [
    patches(facts, work),
    antifoul(facts, work),
    about(facts, work, 'anodes', 'Anodes', aboutAnodes, [5], true),
    about(facts, work, 'pump', 'Bilge pump and switch', aboutPump),
    ...(hasShaft ? [about(facts, work, 'propeller', 'Propeller locked', aboutPropeller)] : []),
    ...plugs(facts),
    slings(facts),
    ...lights(facts),
    ...forNow(facts),
    onTheDay(facts),
  ].map((line) => withOpenWork(line, work))
}

/** A line that nothing shows, where a job about it stands open all the same: it is named rather than denied. */
function withOpenWork(line: Line, work: LaunchWork): Line {
  if (line.evidence !== nothingShown) return line
  const open = line.jobIds.find((id) => work.isOpenLater(id))
  const job = open === undefined ? undefined : work.jobs.get(open)
  return job ? { ...line, evidence: `“${job.title}” stands open` } : line
}

const isUnder = ({ rows }: ReadyFacts, job: Job | undefined): boolean =>
  rows.zone.some((one) => one.id === job?.zoneId && one.belowWaterline)

/** A line about all jobs, and steps of others, that speak of a thing. */
function about(
  facts: ReadyFacts,
  work: LaunchWork,
  key: string,
  title: string,
  words: RegExp,
  rules: readonly number[] = [],
  underOnly = false,
): Line {
  const jobs = facts.rows.job.filter((job) => words.test(job.title) && job.decision === 'plan')
  const own = new Set(jobs.map((job) => job.id))
  const stepsOf = facts.rows.step.filter(
    (step) =>
      words.test(step.title) &&
      step.state !== 'dropped' &&
      !own.has(step.jobId) &&
      (!underOnly || isUnder(facts, work.jobs.get(step.jobId))),
  )
  const ids = [...own, ...stepsOf.map((step) => step.jobId)]
  const isIn = (step: Step) => jobs.some((job) => job.id === step.jobId) || words.test(step.title)
  const jobIds = [...new Set(ids)]
  const line = lineOf(key, title, work.left(jobIds, isIn), { jobIds })
  const wrong = facts.found.find(
    (one) => rules.includes(one.rule) && one.jobIds.some((id) => jobIds.includes(id)),
  )
  return wrong && line.state !== 'stops'
    ? {
        ...line,
        state: 'stops',
        until: Infinity,
        evidence: 'painted over, or no check of its bond',
      }
    : line
}

const isMove = (step: Step) => step.operation === 'move' && step.placeNeed === 'boat'

/** Steps of a job from the one that moves her on her stands. */
function fromTheMove(work: LaunchWork, jobId: string): readonly Step[] {
  const steps = work.stepsOf(jobId)
  const move = steps.findIndex(isMove)
  return move < 0 ? [] : steps.slice(move)
}

/** She was moved on her stands, and what they bared has its coats. Source: handbook 6, rule 6. */
function patches(facts: ReadyFacts, work: LaunchWork): Line {
  const jobIds = [...new Set(facts.rows.step.filter(isMove).map((step) => step.jobId))]
  const chosen = new Set(jobIds.flatMap((id) => fromTheMove(work, id)).map((step) => step.id))
  const left = work.left(jobIds, (step) => chosen.has(step.id))
  const line = lineOf('patches', 'Patches under stands', left, { jobIds })
  const bare = facts.found.find((one) => one.rule === 6)
  return bare && line.state !== 'stops'
    ? {
        ...line,
        state: 'stops',
        until: Infinity,
        evidence: 'the stands are moved, and nothing coats what they bared',
      }
    : line
}

/** Antifouling, dry long enough and not too long. Source: handbook 6, rule 4. */
function antifoul(facts: ReadyFacts, work: LaunchWork): Line {
  const coats = facts.rows.step.filter(
    (step) => step.operation === 'antifoul' && step.state !== 'dropped',
  )
  const jobIds = [...new Set(coats.map((step) => step.jobId))]
  const later = new Set(jobIds.flatMap((id) => fromTheMove(work, id)).map((step) => step.id))
  const isCoat = (step: Step) => step.operation === 'antifoul' && !later.has(step.id)
  const line = lineOf('antifoul', 'Antifouling', work.left(jobIds, isCoat), { jobIds })
  const outside = facts.found.find((one) => one.rule === 4)
  if (outside)
    return {
      ...line,
      state: 'stops',
      until: line.until ?? Infinity,
      evidence: 'outside the time its sheet gives it before it gets wet',
    }
  // A coat that is done and dry is what is asked of it; nobody tries it.
  return line.state === 'ready' ? { ...line, state: 'proven' } : line
}

/** Every opening has its plug. */
function plugs({ rows }: ReadyFacts): Line[] {
  if (rows.hullOpening.length === 0) return []
  const wanted = rows.hullOpening.filter((one) => one.kind !== 'rudder')
  const missing = wanted.filter((one) => one.plug === 'none')
  const bores = missing.flatMap((one) => one.plugMm ?? one.boreMm ?? [])
  const sizes = bores.length > 0 ? `: ${bores.map((mm) => `${Math.round(mm)} mm`).join(', ')}` : ''
  return [
    {
      key: 'plugs',
      title: 'Plugs and hammer',
      opening: null,
      // What is written down is not yet seen, and the hammer is nowhere written.
      state: missing.length > 0 ? 'stops' : 'look',
      until: missing.length > 0 ? Infinity : null,
      evidence:
        missing.length > 0
          ? `${missing.length} of ${wanted.length} without a plug${sizes}`
          : `${counted(wanted.length, 'plug')} written down; look that they and the hammer are there`,
      risk: '',
      jobIds: [],
      stepIds: [],
    },
  ]
}

/** The crane firm knows what she weighs now and where the slings go. Source: handbook 6, rule 26. */
function slings({ rows, haulOut, found, date }: ReadyFacts): Line {
  const sheet = rows.liftSheet.find((one) => one.haulOutId === haulOut.id)
  const moved = found.find((one) => one.rule === 26)
  const cause = rows.step.find((one) => one.id === moved?.stepIds[0])
  const asked = sheet?.askedOn ?? null
  const [, month, day] = (asked ?? '--').split('-').map(Number)
  const askedSaid =
    asked === null ? '' : date(Date.UTC(Number(asked.slice(0, 4)), (month ?? 1) - 1, day ?? 1, 12))
  const told = sheet?.askedT ? `, told ${sheet.askedT} t` : ''
  return {
    key: 'slings',
    title: 'Crane firm asked',
    opening: null,
    state: moved ? 'stops' : asked === null ? 'look' : 'proven',
    until: moved ? Infinity : null,
    evidence: moved
      ? `${cause ? `“${cause.title}” changes` : 'work changes'} what she weighs: ask again before the lift`
      : asked === null
        ? 'not asked yet; their lift plan decides'
        : `asked ${askedSaid}${told}; their lift plan decides`,
    risk: '',
    jobIds: [],
    stepIds: moved?.stepIds ?? [],
  }
}

/** What is only for the time being and should be right by this launch. */
function forNow({ rows, haulOut }: ReadyFacts): Line[] {
  const gate = rows.gate.find((one) => one.kind === 'launch' && one.haulOutId === haulOut.id)
  return provisionals(rows).flatMap(({ step, job, gate: by }): Line[] =>
    gate && by?.id === gate.id
      ? [
          {
            key: `now ${step.id}`,
            title: `For the time being: ${step.title}`,
            opening: null,
            state: 'look',
            until: null,
            evidence: `${step.provisionalFor}${step.provisionalNot === '' ? '' : `; not to be trusted with ${step.provisionalNot}`}`,
            risk: '',
            jobIds: job ? [job.id] : [],
            stepIds: [step.id],
          },
        ]
      : [],
  )
}

/** What she has to show by night, asked after once a launch. It stops nothing: by day she goes without. */
function lights({
  rows: {
    refit: [refit],
  },
}: ReadyFacts): Line[] {
  if (!refit) return []
  return [
    {
      key: 'lights',
      title: 'Lights burn, arcs free',
      opening: null,
      state: 'look',
      until: null,
      evidence: sayLights(lightsWanted(refit)),
      risk: '',
      jobIds: [],
      stepIds: [],
    },
  ]
}

const onTheDay = ({ rows }: ReadyFacts): Line => ({
  key: 'day',
  title: 'Bungs in, ladder off',
  opening: null,
  state: 'onDay',
  until: null,
  evidence: `nobody aboard; two torches; the driver agrees to ${rows.hullOpening.length > 0 ? `${counted(rows.hullOpening.length, 'look')} with the slings slack` : 'a look with the slings slack'}`,
  risk: '',
  jobIds: [],
  stepIds: [],
})
