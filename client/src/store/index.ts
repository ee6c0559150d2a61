export { boot } from './boot';
export { api, type InstrumentLine, type JobLine } from './api';
export { add, changeSettings, commit, newId, remove, set, undo, type Draft } from './changes';
export { findSurface, useDigest, useJob, useSettings, useSurfacePlan } from './hooks';
export { keepPicture, sendPictures, waitingPicture } from './pictures';
export { LARGE } from './large';
export { noticeSlice, sessionSlice, type UndoStep } from './slices';
export { makeStore, useAppDispatch, useAppSelector, type Store } from './store';
export { flush, loadList, loadOtherJobs } from './sync';
