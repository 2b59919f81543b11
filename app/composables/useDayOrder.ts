import { computed, ref } from 'vue'
import type { Ref } from 'vue'
import type { ChangeItem } from '#core/model/changes'
import { patchOf } from '#core/model/removal'
import { stepChain } from '#core/plan/chain'
import { effectSentence } from '#core/plan/effect'
import { arcsOf } from '#core/plan/network'
import type { DayLine } from '#core/today/dayLine'
import { againstWaits, besides, inHandOrder, notAsAsked, onePlace } from '#core/today/dayOrder'
import type { PutBefore } from '#core/today/dayOrder'
import type { Consequence } from '~/workers/plannerQuestions'

/** What is asked for, and what of the plan with it shows that it came about; '': it did. */
interface Asked {
  readonly label: string
  readonly does: string
  readonly items: readonly ChangeItem[]
  readonly notSo: (answer: Consequence) => string
}

/**
 * The day in another order, or a step for somebody else. What costs nothing is done at once and can be taken back; what
 * makes a gate later, or puts work off from today, is shown first; what does not come about is said, and not done.
 */
export function useDayOrder(
  lines: Ref<readonly DayLine[]>,
  stepOrder: Ref<readonly string[]>,
  itemFor: (fields: Readonly<Record<string, unknown>>) => ChangeItem,
) {
  const store = useRefitStore()
  const planner = usePlannerStore()
  const toasts = useToastStore()
  const { undo } = useUndo()
  const proposals = useProposal()
  const asking = ref(false)
  const name = (stepId: string) =>
    `“${store.rows.step.find((one) => one.id === stepId)?.title ?? ''}”`
  const isByHand = computed(() => {
    const open = new Set(lines.value.flatMap(({ step }) => (step?.state === 'open' ? step.id : [])))
    return stepOrder.value.some((id) => open.has(id))
  })

  async function ask({ label, does, items, notSo }: Asked): Promise<void> {
    if (asking.value) return
    asking.value = true
    try {
      const answer = await planner.consequence(items)
      if (!answer) return toasts.say('Something else was asked meanwhile. Ask again.')
      const wrong = notSo(answer)
      if (wrong !== '') return toasts.say(wrong)
      const isWorse = answer.effects.some(
        (one) => one.after === null || (one.days !== null && one.days > 0),
      )
      if (isWorse || answer.leftOut !== '' || answer.pushed.length > 0)
        return await proposals.propose({ label, does, items }, answer)
      if (await planner.take(label, items))
        toasts.say(`${label}. ${effectSentence(answer.effects)}`, false, {
          label: 'Undo',
          run: undo,
        })
    } catch (error) {
      toasts.complain(error)
    } finally {
      asking.value = false
    }
  }
  /** Why a step cannot come before what is planned before it today, as far as the plan knows. */
  function notEarlier(stepId: string): string {
    const plan = store.accepted
    const [link] = plan ? stepChain(plan, store.rows, stepId, store.zone) : []
    const why =
      !link || link.binding.kind === 'people'
        ? 'The hours, the weather or other people do not let it.'
        : link.why
    return `Left as it was: ${name(stepId)} cannot be earlier today. ${why}`
  }
  /** True where a step stood before another one so far. */
  function movedLater(stepId: string, otherId: string): boolean {
    const from = (id: string) => lines.value.find(({ step }) => step?.id === id)?.from ?? 0
    return from(stepId) < from(otherId)
  }
  /** Puts a step before another one of the day, or after them all. */
  async function put(stepId: string, where: PutBefore): Promise<void> {
    const others = besides(lines.value, stepId)
    if (others.length === 0) return
    const order = inHandOrder(lines.value, stepId, where)
    const held = againstWaits(arcsOf(store.rows), order, stepId)
    if (held)
      return toasts.say(
        `${name(held.stepId)} waits for ${name(held.waitsForId)}: it cannot come before it.`,
      )
    const before = order.slice(0, order.indexOf(stepId)).findLast((id) => others.includes(id))
    const label =
      before !== undefined && movedLater(stepId, before)
        ? `${name(stepId)} after ${name(before)}`
        : `${name(stepId)} before ${name(where.beforeId ?? '')}`
    await ask({
      label,
      does: 'The work of today is done in this order, as far as hours, weather and people let it.',
      items: [itemFor({ stepOrder: order })],
      notSo: ({ today }) => {
        const other = notAsAsked(today, order, others, stepId)
        if (other === null) return ''
        const isBefore = order.indexOf(other) < order.indexOf(stepId)
        return notEarlier(isBefore ? other : stepId)
      },
    })
  }
  /** One place earlier or later among what its people do. */
  async function shift(stepId: string, way: 'earlier' | 'later'): Promise<void> {
    const where = onePlace(lines.value, stepId, way)
    if (where) await put(stepId, where)
  }
  /** Keeps a step for one person; null: for whoever can. */
  async function give(stepId: string, personId: string | null): Promise<void> {
    const step = store.rows.step.find((one) => one.id === stepId)
    if (!step || step.wantedPersonId === personId) return
    const who = store.rows.person.find((one) => one.id === personId)?.name ?? 'whoever can'
    await ask({
      label: `${name(stepId)} for ${who}`,
      does: 'It is kept for them, in the days to come as well if it is not finished today.',
      items: [patchOf('step', step, { wantedPersonId: personId })],
      notSo: ({ today }) => {
        const own = today.find((one) => one.stepId === stepId)
        if (personId === null || (own?.personIds.includes(personId) ?? false)) return ''
        return `Left as it was: ${who} does not come to ${name(stepId)} today, by skill, hours or what else is theirs.`
      },
    })
  }
  /** Back to the order of the plan. */
  const asPlanned = () => store.attempt('The order of the plan', [itemFor({ stepOrder: [] })])
  return { isByHand, asking, proposals, put, shift, give, asPlanned }
}
