import type { CureStage } from '../../model/words'

/**
 * Why a step is not earlier: the one thing that holds it, typed so that screens can say it and act
 * on it. `until` is UTC ms.
 */
export type Binding =
  /** It can start at once, or already runs. */
  | { readonly kind: 'now' }
  /** Follows the step. */
  | { readonly kind: 'after'; readonly stepId: string }
  /** The step before it cures, dries or is delivered. */
  | {
      readonly kind: 'wait'
      readonly stepId: string
      readonly until: number
      /** How far it has to be; absent: it has had its whole wait. */
      readonly once?: CureStage
    }
  /** Somebody it needs is busy with the step; `among`: with other work as well, none of which alone holds it. */
  | {
      readonly kind: 'people'
      readonly stepId: string
      readonly personIds: readonly string[]
      readonly among?: true
    }
  /** Nobody who can do it comes to that place before. */
  | { readonly kind: 'calendar'; readonly until: number }
  /** Not in its months, or not warm enough out of doors before. */
  | { readonly kind: 'season'; readonly until: number }
  | { readonly kind: 'liftOut'; readonly haulOutId: string }
  | { readonly kind: 'launch'; readonly haulOutId: string }
  /** The launch keeps its aimed or booked date though all is ready. */
  | { readonly kind: 'aim'; readonly haulOutId: string }
  /** The yard does not lift before. */
  /** `aimed`: the aimed day itself is none, and it is the first after it. `people`: the first that suits those for the slings. */
  | {
      readonly kind: 'liftDay'
      readonly haulOutId: string
      readonly aimed?: true
      readonly people?: true
    }
  /** Held back, so that the step follows within its bond window. */
  | { readonly kind: 'bondWindow'; readonly stepId: string; readonly after: string | null }
  /** More than a week ahead a step that needs weather is given what the month's days ask for. */
  | {
      readonly kind: 'weather'
      readonly share: number
      readonly ms: number
      readonly after: string | null
    }
  /** The hours of the forecast do not suit it before: without them it would be done from `from`. */
  | {
      readonly kind: 'forecast'
      readonly from: number
      readonly until: number
      readonly after: string | null
    }
  /** Its dust would lie on what is wet there until then, or its wet work catch the dust of the step. */
  | { readonly kind: 'air'; readonly stepId: string; readonly until: number }
  /** The yard does it in its working hours. */
  | { readonly kind: 'yardHours'; readonly after: string | null }
  | { readonly kind: 'notBefore'; readonly on: string }
  /** Somebody wants it begun on that day. */
  | { readonly kind: 'pin'; readonly on: string }
  /** She is wanted whole until then, and it opens her. */
  | { readonly kind: 'wanted'; readonly until: number }
  | { readonly kind: 'trade'; readonly bookingId: string }
  | { readonly kind: 'part'; readonly partId: string }

/** Every kind of binding, for the border. */
export const bindingKinds = [
  'now',
  'after',
  'wait',
  'people',
  'calendar',
  'season',
  'liftOut',
  'launch',
  'aim',
  'liftDay',
  'bondWindow',
  'weather',
  'forecast',
  'air',
  'yardHours',
  'notBefore',
  'pin',
  'wanted',
  'trade',
  'part',
] as const satisfies readonly Binding['kind'][]
