/** Every sum of the bench, pocket by pocket; a sum keeps its place, so that the hand learns it. */
import type { Sum } from '../sum'
import { barsAndPlanks } from './cutting/bars'
import { fromRoll } from './cutting/roll'
import { fromSheet } from './cutting/sheet'
import { loadsToBank } from './electrics/bank'
import { cableAndFuse } from './electrics/cable'
import { whichBattery } from './electrics/chemistry'
import { ifOneFails } from './electrics/ifFails'
import { inverterSize } from './electrics/inverter'
import { voltsRead } from './electrics/volts'
import { beddingAndBead } from './holes/bead'
import { beforeDrill } from './holes/beforeDrill'
import { boltInStack } from './holes/bolt'
import { fasteningsForList } from './holes/fittings'
import { loadAndPlate } from './holes/load'
import { metalsThatMeet } from './holes/metals'
import { sleevedHoles } from './holes/sleeve'
import { boltsByStretch } from './holes/stretch'
import { holesToDrill } from './holes/tapAndPilot'
import { lineUpToShims } from './hull/align'
import { deadrise } from './hull/deadrise'
import { liftSplitSum } from './hull/liftSplit'
import { shaftLine } from './hull/shaftLine'
import { wearAgainstWorst } from './hull/tipWear'
import { waterlineAshore } from './hull/waterlineAshore'
import { bendAndBracket } from './layout/bend'
import { bendMarksRound } from './layout/bendMarks'
import { doesItGoIn } from './layout/goesIn'
import { holeAndPassing } from './layout/holeEdge'
import { levelsToMeet } from './layout/levels'
import { spansAndPosts } from './layout/spans'
import { templateDiagonals } from './layout/template'
import { wedgeAndSpacer } from './layout/wedge'
import { antifoulArea } from './resin/antifoulArea'
import { catalystDrops } from './resin/catalyst'
import { coatsAndTins } from './resin/coats'
import { dewNow } from './resin/dewNow'
import { foamAndVents } from './resin/foam'
import { whichHardener } from './resin/hardener'
import { leftInCup } from './resin/leftInCup'
import { mixByWeightSum } from './resin/mix'
import { patchAndTaper } from './resin/patch'
import { pliesToLevelSum } from './resin/plies'
import { potsAndCups } from './resin/pots'
import { tabbingAndFillet } from './resin/tabbing'
import { asStiffAs } from './structure/asStiff'
import { whichCoreWay } from './structure/coreWay'
import { countTheBad } from './structure/countBad'
import { glueForJoint } from './structure/glueJoint'
import { scarfAndSister } from './structure/scarf'
import { stiffenersSum } from './structure/stiffeners'
import { willItBend } from './structure/willItBend'

export const sums: readonly Sum[] = [
  potsAndCups,
  mixByWeightSum,
  whichHardener,
  catalystDrops,
  pliesToLevelSum,
  patchAndTaper,
  tabbingAndFillet,
  coatsAndTins,
  antifoulArea,
  dewNow,
  foamAndVents,
  leftInCup,
  beforeDrill,
  holesToDrill,
  boltInStack,
  boltsByStretch,
  sleevedHoles,
  loadAndPlate,
  beddingAndBead,
  metalsThatMeet,
  fasteningsForList,
  spansAndPosts,
  levelsToMeet,
  wedgeAndSpacer,
  bendAndBracket,
  bendMarksRound,
  doesItGoIn,
  templateDiagonals,
  holeAndPassing,
  fromRoll,
  fromSheet,
  barsAndPlanks,
  loadsToBank,
  cableAndFuse,
  inverterSize,
  whichBattery,
  ifOneFails,
  voltsRead,
  deadrise,
  shaftLine,
  lineUpToShims,
  wearAgainstWorst,
  waterlineAshore,
  liftSplitSum,
  glueForJoint,
  scarfAndSister,
  countTheBad,
  whichCoreWay,
  willItBend,
  stiffenersSum,
  asStiffAs,
]

export const sumOf = (key: string): Sum | null => sums.find((one) => one.key === key) ?? null
