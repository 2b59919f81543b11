import { onBeforeUnmount } from 'vue'

/** Does what the key is for; false: it is not for this, and others may have it. */
type Act = (event: KeyboardEvent) => unknown
interface Scope {
  readonly acts: Partial<Readonly<Record<KeyId, Act>>>
  /** Keys that are not in the table because they depend on what is shown: views, placings. */
  readonly others?: (event: KeyboardEvent) => Act | undefined
}

/** Scopes on the screen, the innermost last: it is asked first. */
const scopes: Scope[] = []

/** What the table's keys do while the component is on the screen. */
export function useKeyScope(acts: Scope['acts'], others?: Scope['others']): void {
  const scope: Scope = { acts, others }
  scopes.push(scope)
  onBeforeUnmount(() => scopes.splice(scopes.indexOf(scope), 1))
}

const actsOf = ({ acts, others }: Scope, event: KeyboardEvent): Act[] => [
  ...[others?.(event)].filter((act) => act !== undefined),
  ...(Object.entries(acts) as [KeyId, Act][])
    .filter(([id]) => (keyTable[id].keys as readonly string[]).includes(event.key))
    .map(([, act]) => act),
]

/** Gives a key to the innermost scope that takes it. */
export function takeKey(event: KeyboardEvent): void {
  for (const scope of [...scopes].reverse())
    for (const act of actsOf(scope, event))
      if (act(event) !== false) {
        event.preventDefault()
        return
      }
}
