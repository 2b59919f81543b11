/** Rules of what was seen and measured: findings, readings, panels and their maps, members, ways in. */
import { topological } from '../../graph'
import { polygonArea, crossesItself } from '../../geometry/polygon'
import { readingTrouble } from '../../panel/scale'
import { mendWhen, when } from './rule'
import type { RuleContext, Rules } from './rule'

/** Ways in that lead through themselves, all at once. */
function ownThroughs({ rows }: RuleContext): ReadonlySet<string> {
  const through = new Map(rows.wayIn.map((one) => [one.id, one.throughId]))
  const ids = [...through.keys()]
  const fine = new Set(
    topological(ids, (id) => {
      const before = through.get(id)
      return before ? [before] : []
    }),
  )
  return new Set(ids.filter((id) => !fine.has(id)))
}

/** Smallest panel that can be mapped, m²; and smallest place on the map, in shares of the length. */
const leastPanelM2 = 0.001
const leastZone = 0.0004

export const walkRules: Rules = {
  finding: (row) =>
    mendWhen(
      (row.state === 'watch' || row.state === 'accepted') &&
        (row.reason.trim() === '' || row.lookAgainOn === null),
      'reason',
      'To watch or accept it, say why and when to look again.',
    ),
  evidence: (row) => [
    ...when(
      row.scaleLow !== null && row.scaleHigh !== null && row.scaleHigh <= row.scaleLow,
      'scaleHigh',
      'The scale of the meter ends where it begins. Give its highest number.',
    ),
    ...readingTrouble(row.value, row.scaleLow, row.scaleHigh).map((message) => ({
      field: 'value',
      message,
      mendable: true,
    })),
  ],
  wayIn: (row, context) =>
    when(
      row.throughId !== null && context.once('ownThroughs', () => ownThroughs(context)).has(row.id),
      'throughId',
      'A way in cannot lead through itself. Pick the one that has to be opened before it.',
    ),
  zone: (row) =>
    row.shape === null
      ? []
      : [
          ...when(
            polygonArea(row.shape.corners) < leastZone,
            'shape',
            `“${row.name}” was dragged to nothing. Give it some room on the boat.`,
          ),
          ...when(
            crossesItself(row.shape.corners),
            'shape',
            `The outline of “${row.name}” crosses itself. Drag the corner back.`,
          ),
        ],
  panel: (row) => [
    ...when(
      polygonArea(row.outline) < leastPanelM2,
      'outline',
      'A panel needs a size: give its length and width, or its corners.',
    ),
    ...when(
      crossesItself(row.outline),
      'outline',
      'The outline crosses itself. Give the corners one after the other, going round.',
    ),
    ...when(
      row.dampFrom >= row.wetFrom,
      'dampFrom',
      `Damp begins below wet: under ${row.wetFrom}.`,
    ),
    ...when(
      row.dryReading !== null && row.dryReading >= row.dampFrom,
      'dryReading',
      `A dry reference is under damp, ${row.dampFrom}. Read it again where the core is sound.`,
    ),
  ],
  coreMap: (row) => [
    ...when(
      row.scaleHigh <= row.scaleLow,
      'scaleHigh',
      'The scale of the meter ends where it begins. Give its highest number.',
    ),
    ...Object.values(row.cells)
      .flatMap((cell) => readingTrouble(cell.meter ?? null, row.scaleLow, row.scaleHigh))
      .slice(0, 1)
      .map((message) => ({ field: 'cells', message, mendable: true })),
  ],
  member: (row) => when(row.to < row.from, 'to', 'The bad stretch ends before it begins.'),
}
