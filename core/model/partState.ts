import type { Row } from './entities'

/** True for a part that nobody has ordered or got yet: from 'ordered' on it is somebody's promise. */
export const isStillToBuy = ({ state }: Pick<Row<'part'>, 'state'>): boolean =>
  state === 'wanted' || state === 'specified' || state === 'quoted'
