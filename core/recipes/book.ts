/** All recipes that come with the program, in the order of the book. */
import { anodes } from './book/anodes'
import { bareMetal } from './book/bareMetal'
import { crackInLaminate } from './book/crackInLaminate'
import { deepClean } from './book/deepClean'
import { dryLocalCore } from './book/dryLocalCore'
import { electricalSystem } from './book/electricalSystem'
import { engineRecommission } from './book/engineRecommission'
import { findLeak } from './book/findLeak'
import { hullDeckJoint } from './book/hullDeckJoint'
import { injectPanel } from './book/injectPanel'
import { lockerLid } from './book/lockerLid'
import { newShaftLine } from './book/newShaftLine'
import { outToTrade } from './book/outToTrade'
import { paintSurface } from './book/paintSurface'
import { postsAndRail } from './book/postsAndRail'
import { postThroughDeck } from './book/postThroughDeck'
import { rebedTrim } from './book/rebedTrim'
import { recoreAbove } from './book/recoreAbove'
import { recoreBelow } from './book/recoreBelow'
import { recoverLining } from './book/recoverLining'
import { renewStructure } from './book/renewStructure'
import { seams } from './book/seams'
import { seaValve } from './book/seaValve'
import { shaftAndGland } from './book/shaftAndGland'
import { sisterFrame } from './book/sisterFrame'
import { sleeveAndBed } from './book/sleeveAndBed'
import { smallFittings } from './book/smallFittings'
import { solarOnArch } from './book/solarOnArch'
import { stripBarrierAntifoul } from './book/stripBarrierAntifoul'
import { stripOut } from './book/stripOut'
import { tank } from './book/tank'
import { throughHull } from './book/throughHull'
import { transducer } from './book/transducer'
import { varnishWood } from './book/varnishWood'
import { waterLip } from './book/waterLip'
import { winterLayUp } from './book/winterLayUp'
import type { Recipe } from './recipe'

export const recipeBook: readonly Recipe[] = [
  sleeveAndBed,
  findLeak,
  dryLocalCore,
  recoreAbove,
  recoreBelow,
  injectPanel,
  throughHull,
  seaValve,
  transducer,
  stripBarrierAntifoul,
  anodes,
  shaftAndGland,
  postsAndRail,
  rebedTrim,
  lockerLid,
  postThroughDeck,
  hullDeckJoint,
  sisterFrame,
  electricalSystem,
  solarOnArch,
  recoverLining,
  varnishWood,
  outToTrade,
  engineRecommission,
  stripOut,
  deepClean,
  winterLayUp,
  waterLip,
  paintSurface,
  bareMetal,
  seams,
  crackInLaminate,
  renewStructure,
  tank,
  smallFittings,
  newShaftLine,
]
