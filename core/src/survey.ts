/** What a survey needs and the first screen does without: kept out of the core's main face, so that it is loaded when it is wanted. */
export { assessArea, assessGroup, assessGroups, type AreaAssessment, type GroupAssessment } from './job/assess';
export { areaPlan, type AreaPlan } from './probe/area-plan';
export { samplePoints, type SamplePoint } from './probe/asbestos';
export { afterTest, KIT_ERRORS, leadChance, leadPrior, testOrAssume, type KitErrors, type TestOrAssume } from './probe/decide';
export { dustLoading, loadingOfChip, loadingOfFilm, massOfFilm } from './probe/film';
export { leadGroups, type LeadGroup } from './probe/lead-groups';
export { CAUSE_QUESTIONS, moldPicture, moldSize, type MoldPicture } from './probe/mold';
export { builtClass, drawDwellings, dwellingsToTest, missesAll, type BuiltClass } from './probe/multifamily';
export { BINDER_SURE, guessBinder, type BinderGuess } from './walk/binder';
export { siteDuties } from './walk/duties';
export { KIT_IDS, KITS, unfoldKit, type KitId, type RoomKit, type UnfoldedKit } from './walk/kits';
