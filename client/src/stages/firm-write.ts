/** Writes records of the firm, and keeps what is wrong with them, to be said beside what was done. */
import { useState } from 'react';
import { commitToFirm, useAppDispatch, type Draft } from '../store';

export function useFirmWrite() {
  const dispatch = useAppDispatch();
  const [wrong, setWrong] = useState<string>();
  /** @returns whether all of it was taken; else nothing was */
  const write = (...drafts: Draft[]): boolean => {
    const problems = dispatch(commitToFirm(drafts));
    setWrong(problems[0]?.message);
    return problems.length === 0;
  };
  return { write, wrong, setWrong };
}
