import { configureStore, type ThunkAction, type UnknownAction } from '@reduxjs/toolkit';
import { useDispatch, useSelector } from 'react-redux';
import { spawnDeriveWorker } from '../workers/spawn';
import { largeJobs } from './large';
import { jobsSlice, noticeSlice, outboxSlice, sessionSlice } from './slices';

export function makeStore(spawn: () => Worker = spawnDeriveWorker) {
  return configureStore({
    reducer: { jobs: jobsSlice.reducer, outbox: outboxSlice.reducer, notice: noticeSlice.reducer, session: sessionSlice.reducer },
    // Facts are large and are replaced, never written into: walking them at every tap would cost more than it guards.
    middleware: (getDefault) => getDefault({ immutableCheck: false, serializableCheck: false }).concat(largeJobs(spawn)),
  });
}

export type Store = ReturnType<typeof makeStore>;
export type RootState = ReturnType<Store['getState']>;
export type Dispatch = Store['dispatch'];
export type Thunk<R = void> = ThunkAction<R, RootState, undefined, UnknownAction>;

export const useAppDispatch = useDispatch.withTypes<Dispatch>();
export const useAppSelector = useSelector.withTypes<RootState>();
