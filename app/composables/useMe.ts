import { toRef } from 'vue'
import type { Ref } from 'vue'

/** Who said they are at this device, of the people of the open refit; '': nobody, or nobody who is still with it. */
export const useMe = (): Ref<string> => toRef(useRefitStore(), 'me')
