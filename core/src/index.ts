/** What others may use of the reckoning. Nobody reaches past this file. */
export * from './units/range';
export * from './units/quantity';
export * from './units/time';
export { CUTS, cutById, cutTitle, FORMS, SPECIES, type Cut, type Form, type Species } from './larder/cuts';
export { LIQUIDS, liquidById, type Liquid } from './larder/liquids';
export { AROMATICS, aromaticKind, type AromaticKind } from './larder/aromatics';
export { VEGETABLES, vegetableById, type Vegetable } from './larder/vegetables';
export { GRAINS, grainById, type Grain } from './larder/grains';
export * from './plan/plan';
export * from './plan/plan-error';
export * from './plan/limits';
export * from './plan/defaults';
export { pieceOf, largestThicknessCm, type Piece } from './meat/piece';
export { GRADES, GRADE_FROM, TARGET_BAND, gradeOf, type Grade } from './meat/tenderness';
export { chargesOf, type Charge } from './pot/charge';
export { contentsOf, type Contents } from './pot/contents';
export { fillOf, type Fill } from './pot/fill';
export { ledgerOf, type Ledger, type LedgerEntry } from './pot/ledger';
export {
  baseTemperatureC,
  burnLevel,
  burnVerdict,
  stickingOf,
  type BurnCauseId,
  type BurnLevel,
  type Sticking,
} from './pot/base-temperature';
export { LIQUID_SCHOOLS, liquidSchools, type LiquidSchool, type SchoolAmount } from './pot/liquid-schools';
export { potBuild } from './pot/cooker';
export { workingTemperatureC, kitchenAirKPa, heaterEfficiency } from './pot/cooker';
export type { Phase } from './pot/pot-model';
export { batchLayouts, searAsDone, searPlan, wetSurface, type SearPlan } from './stations/sear';
export { layBatch, type BatchLayout, type Placed } from './stations/batch-layout';
export { aromaticMinutes, aromaticSteps, type AromaticStep } from './stations/aromatics';
export { apartTasks, bowlsOf, prepSteps, type Bowl, type PrepStep } from './stations/prep';
export * from './stations/doneness';
export { stageVegetables, type Place, type Stage, type StagedItem, type Staging } from './stations/stages';
export { finishSauce, reductionMlPerMinute, starchFor, type Finish, type FinishStep } from './stations/sauce';
export { coolStew, leftovers, type Leftovers } from './stations/leftovers';
export { yieldOf, type Yield } from './stations/plate';
export { THICKENER_KINDS, thickenerById, type Body, type Thickener } from './larder/thickeners';
export { cutSubstitutes, herbSwap, liquidSubstitutes, type Substitute } from './stations/substitutes';
export { bonelessGrams, fatMl, juiceMl } from './meat/yield';
export type { ScheduledTask } from './clock/schedule';
export { forecast } from './braise/forecast';
export type { CurvePoint, Forecast, Reason } from './braise/forecast-document';
export * from './braise/other-methods';
export * from './braise/what-if';
export * from './braise/still-tough';
export * from './braise/times';
export { COOKER_SETS, type CookerSet } from './plan/cooker-sets';
export { waterTest, type WaterTest } from './pot/water-test';
export type { Chance } from './braise/chance';
export { inTen, PLACE_WORDS, TARGET_WORDS } from './braise/reasons';
export { cautionsFor } from './braise/cautions';
export type { Burn, CauseInWords, Remedy } from './braise/remedies';
export type { Saute, SearTrouble } from './braise/saute';
export { SECTION_STAGES, sectionsOf, type Section, type SectionStage } from './braise/section';
export * from './braise/rescue';
export { rescale, type Rescaled } from './braise/servings';
export type { Caution, Step } from './braise/cautions';
