import { inject, provide, useId } from 'vue'

const key = Symbol('chart ids')
const within = (chart: string) => {
  const idOf = (name: string): string => `${chart}-${name}`
  return { idOf, urlOf: (name: string): string => `url(#${idOf(name)})` }
}

/** Names of hatchings and clips of one drawing: several stand in a page, and each has its own. */
export function provideChartIds() {
  const chart = useId()
  provide(key, chart)
  return within(chart)
}

/** Those of the drawing around. */
export const useChartIds = () => within(inject<string>(key, 'chart'))
