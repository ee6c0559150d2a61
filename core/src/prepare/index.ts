/** The bench: what is mixed, thinned, neutralised, labelled and blown; with or without a job. Kept apart so that the first screen does without it. */
export {
  checkMix,
  course,
  finalL,
  PORTION_G_L,
  schedule,
  STRONGEST_G_L,
  USABLE_C,
  USUAL_CEILING_C,
  type CausticMix,
  type HeatPoint,
  type Schedule,
} from './caustic';
export { HEAT_DOUBT, heatOfSolutionKJ } from './heat';
export { VESSELS, type Vessel } from './vessel';
export { eventsOf, mixNow, mixOf, thermometer, type MixEvent, type MixNow, type MixStage } from './recipe';
export {
  ACID_IDS,
  acidFor,
  ACIDS,
  CARBONATE_IDS,
  carbonateFor,
  causticGL,
  HOLDS_BACK_L,
  phOnTheWay,
  proofOf,
  rinsesFor,
  type AcidId,
  type CarbonateId,
  type RinsedFace,
} from './neutralise';
export { BLEACH_OLD_DAYS, bottles, chlorineOf, pasteFor, POWDER, powderFor, thin, type Thin, type Thinned } from './dilute';
export {
  MEDIA,
  MEDIA_IDS,
  nozzle,
  NOZZLES_IN,
  PASSES,
  passesOver,
  TIMBER_PSI,
  TIMBER_SCHOOLS,
  type MediaId,
  type NozzleJob,
  type PassId,
  type TimberSchool,
} from './nozzle';
export { potLifeH, potNow, POTS, potStood, type Pot, type PotState } from './pot';
export { RINSE_HOLDS, rinseWaterFor, steamFor, type RinseHolds, type RinseWater, type Steam } from './site-water';
export { CEILING_GROUNDS, mistFor, SCRAPES, type CeilingGround, type Mist, type ScrapeId } from './mist';
export { CONTENT_IDS, CONTENTS, contentOf, hazardsOf, pictogramSvg, type BySheet, type ContentId } from './label';
export { Refused, type Refusal } from './refused';
export {
  amounts,
  benchWords,
  LANGUAGES,
  refusalSays,
  mistSays,
  passesSay,
  potSays,
  rinseSays,
  steamSays,
  timberSays,
  type Language,
} from './words';
export { LabelSheet, QUESTION_IDS, QUESTIONS, type QuestionId } from './questions';
export { AGENT_IDS, CHLORINE_PPM, gasOf, meetingsAmong, type AgentId } from '../catalogue';
