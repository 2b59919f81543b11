import { useMediaQuery } from '@vueuse/core'

/** True on a phone. */
export const useNarrow = () => useMediaQuery('(max-width: 640px)')
