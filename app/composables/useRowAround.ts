import { inject, provide } from 'vue'
import type { InjectionKey, Ref } from 'vue'
import type { EntityName } from '#core/model/entities'

/** The row that the fields of a panel are about, and how they save. */
interface RowAround {
  readonly entity: EntityName
  readonly row: Readonly<Ref<{ readonly id: string; readonly version: number } | null | undefined>>
  readonly edit: (patch: Record<string, unknown>) => void
}
const key: InjectionKey<RowAround> = Symbol('row around')

/** Says it for all fields beneath. */
export const provideRow = (around: RowAround): void => provide(key, around)
export const useRowAround = (): RowAround | undefined => inject(key, undefined)
