/** Fields that refused what was typed in them, by panel: an answer under them dies with its inputs. */
import { createContext, useCallback, useContext, useEffect, useMemo, useState, type ReactNode } from 'react';

interface Refusals {
  readonly any: boolean;
  readonly tell: (id: string, refused: boolean) => void;
}
const NONE: Refusals = { any: false, tell: () => undefined };
const Told = createContext<Refusals>(NONE);

export function RefusalsProvider({ children }: { readonly children: ReactNode }) {
  const [ids, setIds] = useState<ReadonlySet<string>>(() => new Set());
  // The same for as long as the panel stands, so that an answer to one field asks no other again.
  const tell = useCallback(
    (id: string, refused: boolean) =>
      setIds((was) => {
        if (was.has(id) === refused) return was;
        const now = new Set(was);
        if (refused) now.add(id);
        else now.delete(id);
        return now;
      }),
    [],
  );
  const of = useMemo((): Refusals => ({ any: ids.size > 0, tell }), [ids, tell]);
  return <Told.Provider value={of}>{children}</Told.Provider>;
}

/** Tells the panel of a field whether what stands in it was refused. */
export function useTellRefused(id: string, refused: boolean): void {
  const { tell } = useContext(Told);
  useEffect(() => {
    tell(id, refused);
    return () => tell(id, false);
  }, [tell, id, refused]);
}
/** A field of this panel refused what was typed: there is no answer. */
export const useRefused = (): boolean => useContext(Told).any;
