export { boot, letGo, readEarly } from './boot';
export { api, type InstrumentLine } from './api';
export {
  add,
  atPhone,
  beginFrom,
  changeSettings,
  commit,
  commitToFirm,
  keepAgain,
  remove,
  sendMended,
  set,
  undo,
  type Draft,
} from './changes';
export { newId } from './ids';
export { findSurface, useFirm, useJob, useJobFacts, useSettings, useSettingsAsOpened } from './hooks';
export { keepPicture, sendPictures, waitingPicture } from './pictures';
export type { Aside } from './shelf';
export { noticeSlice, outboxSlice, sessionSlice, type UndoStep } from './slices';
export { makeStore, useAppDispatch, useAppSelector, type Store } from './store';
export { flush, loadFirm, loadList, loadOtherJobs } from './sync';
