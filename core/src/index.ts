/** What others may use of the reckoning. Nobody reaches past this file. */
export { type Range } from './units/range';
export { offsetMinutes, shiftIso, parseDinnerTime } from './units/time';
export { CUTS, cutById, cutTitle, FORMS, SPECIES, type Cut, type Form, type Species } from './catalog/cuts';
export { LIQUIDS, liquidById, liquidWord, type Liquid } from './catalog/liquids';
export { AROMATICS, aromaticKind } from './catalog/aromatics';
export { VEGETABLES, vegetableById, type Vegetable } from './catalog/vegetables';
export { GRAINS, grainById, type Grain } from './catalog/grains';
export * from './plan/plan';
export * from './catalog/tender-cuts';
export { fallsByItself } from './pot/pressure-run';
export * from './plan/plan-error';
export * from './plan/limits';
export { COOK_AHEAD, readyAt } from './plan/cook-ahead';
export * from './plan/defaults';
export { planFromV1, type PlanV1 } from './plan/from-v1';
export { portionsOf, type Portion, type PortionId, type PortionKind } from './plan/portions';
export { isHotKind, isHotPlace, stageOf, withStage } from './plan/stage-settings';
export { LEAST_GRAMS, type Piece } from './meat/piece';
export { againstTarget, leastGrade, GRADES, TARGET_BAND, type Grade } from './meat/tenderness';
export type { LedgerEntry } from './pot/ledger';
export { workingTemperatureC, kitchenAirKPa, heaterEfficiency } from './pot/cooker';
export type { Phase } from './pot/pot-model';
export { batchLayouts } from './stations/sear';
export { placeName, placeShort } from './words/place-words';
export { bowlsOf, prepSteps } from './words/prep-list';
export { textureWord } from './stations/doneness';
export type { Place, Stage, StagedItem } from './stations/stages';
export { THICKENER_KINDS, thickenerById, type Thickener } from './catalog/thickeners';
export { cutSubstitutes, herbSwap, liquidSubstitutes } from './stations/substitutes';
export type { ScheduledTask } from './clock/schedule';
export { isMovable } from './clock/tasks';
export { spareOf, withSpare } from './clock/spare';
export * from './clock/cook-events';
export * from './clock/guide-step';
export { guideFromV1, SECTIONS_V1, type GuideV1 } from './clock/guide-from-v1';
export * from './clock/cook-state';
export { isSlicedToServe, meatsOf } from './plan/meats';
export { soFar, underPressure, type SoFar } from './clock/so-far';
export { delaysOf, driftCauses, runTimesOf, type Delay, type DelayCause, type RunTimes } from './clock/delays';
export { asCooked, type AsCooked } from './braise/forecast/as-cooked';
export { catchUp, type CatchUp } from './braise/guide/catch-up';
export { SIDES, type SideDish } from './plan/sides';
export type { AtThePot } from './braise/rescue/rescue-from';
export { clashesOf, type Clash } from './clock/clashes';
export { timeSavers, type TimeSaver } from './braise/forecast/time-savers';
export { afterBusyPot, type AfterBusyPot } from './clock/busy-pot';
export { scheduleTogether, type ScheduledBraise, type BraiseToSchedule } from './clock/schedule-together';
export { guideOf } from './braise/guide/guide';
export { SECTION_WORDS, sectionName } from './words/section-words';
export { moveOf, portionsIn, type Move, type MoveKind } from './method/moves';
export type { Block, Method as BraiseMethod, Step as MethodStep, Work } from './method/step';
export { type Whereabouts } from './method/whereabouts';
export { forecast } from './braise/forecast/forecast';
export type { CurvePoint } from './braise/forecast/curve';
export type { CutForecast, Forecast, Reason } from './braise/forecast/forecast-document';
export type { LidInWords } from './braise/forecast/lid-remedies';
export {
  METHODS,
  USUAL_OVEN_C,
  withoutPressure,
  type Method,
  type WithoutPressure,
} from './braise/forecast/other-methods';
export * from './braise/forecast/texture-minutes';
export * from './braise/forecast/what-if';
export { additionalMinutes, type AdditionalMinutes } from './braise/guide/additional-minutes';
export * from './braise/forecast/times';
export { COOKER_SETS, type CookerSet } from './plan/cooker-sets';
export { waterTest, type WaterTest } from './pot/water-test';
export type { Chance } from './braise/forecast/chance';
export { chanceBy, dinnerOdds, type Beginning, type Cause, type DinnerOdds } from './braise/odds/dinner-odds';
export { dinnerNow, type DinnerNow } from './braise/odds/dinner-now';
export { inTen, TARGET_WORDS } from './words/odds-words';
export type { Remedy } from './braise/forecast/remedies';
export { sectionsOf, type Section, type SectionStage } from './braise/forecast/section';
export * from './braise/rescue/rescue';
export { rescale, type Rescaled } from './braise/forecast/servings';
export type { Caution, Step } from './braise/forecast/cautions';
export {
  BURNER_SHARE,
  SAUTE_SHARE,
  TOLD_BY_COOKER,
  type BurnerLevel,
  type CookerCommand,
  type CookerMode,
  type Refusal,
  type SauteLevel,
  type Signal,
} from './simulated/cooker-device';
export { canBeThrownIn, FAULTS, FAULT_WORDS, type FaultId } from './simulated/faults';
export { potMinute, SimulatedCook, type Frame, type HandAct, type SimulatedSetup } from './simulated/simulated-cook';
export type { MeatPlace, Plant } from './simulated/kitchen';
export { steadyHand } from './simulated/steady-hand';
export { debriefOf, type Debrief, type DebriefLine } from './simulated/debrief';
export { EXERCISES, EXERCISE_LIST, exerciseById, markOf, type ExerciseId, type Mark } from './simulated/exercises';
export { sectionNow } from './simulated/section-now';
export { LIKELY_K } from './pot/base-temperature';
export {
  FACTORS,
  summary,
  unknown,
  WEIGHTS,
  areWeights,
  withEvidence,
  type Evidence,
  type FactorKind,
  type FactorSummary,
  type Posterior,
} from './learning/posterior';
export { observe, observeByHand, type Observation } from './learning/observe';
export { subjectOf, withCalibration, type Calibration, type CalibrationRow } from './learning/calibration';
export { cookedAt, partAhead, withAheadDone, withPartOver } from './clock/ahead-done';
export { aheadOf, lateOnes, type AheadKind, type AheadTask, type Late, type Missed } from './clock/ahead';
export { KEPT_PLACES, GONE, keptUntil, keptTasks, type KeptPlace, type Kept } from './clock/kept';
export { aheadCaution, aheadText, keptCaution, missedText } from './words/ahead-words';
export { meatFor } from './stations/plate';
export { roundTo, wholeMinutes } from './units/round';
export { TENTH } from './physics/normal';
export { AISLES, shoppingList, type Aisle, type ShoppingLine } from './plan/shopping';
export { COOLS } from './stations/cooling';
export { thawMinutes } from './meat/thaw-time';
export { shareInterval } from './physics/share-interval';
export { seeded, type Random } from './physics/random';
