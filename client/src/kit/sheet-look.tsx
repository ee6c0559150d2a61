/** How tables of the desk look: rows of 36 px, 48 under a finger, a head and a first column that stay. */
import type { ReactNode } from 'react';

/** A pointer hits a low row; a thumb wants its 48 px. */
export const ROW_PX = typeof matchMedia === 'function' && matchMedia('(pointer: coarse)').matches ? 48 : 36;

/** Text of a cell that is only read: on one line, however long. */
export const Plain = ({ strong, children }: { readonly strong?: boolean; readonly children: ReactNode }) => (
  <span
    style={{
      fontFamily: strong ? 'HyperlegibleBold, sans-serif' : 'Hyperlegible, sans-serif',
      fontSize: '0.875rem',
      color: 'rgb(var(--soot))',
      whiteSpace: 'nowrap',
    }}
  >
    {children}
  </span>
);

export const CELL = {
  height: ROW_PX - 2,
  width: '100%',
  boxSizing: 'border-box',
  border: '2px solid transparent',
  background: 'transparent',
  fontFamily: 'Hyperlegible, sans-serif',
  fontSize: '0.9375rem',
  padding: '0 6px',
  borderRadius: 0,
  whiteSpace: 'nowrap',
  overflow: 'hidden',
  textOverflow: 'ellipsis',
  cursor: 'text',
  display: 'block',
} as const;
export const FIELD = { background: 'rgb(var(--panel))', color: 'rgb(var(--soot))', outline: 'none' } as const;
export const TD = {
  height: ROW_PX,
  padding: '0 4px',
  borderBottom: '1px solid rgb(var(--line))',
  whiteSpace: 'nowrap',
  maxWidth: '13rem',
} as const;
/** A box to tick: as large as a thumb wants where there is one. */
export const TICK = {
  ...(ROW_PX < 48 ? { width: 24, height: 24, margin: '0 8px' } : { width: 48, height: 48, margin: 0 }),
  accentColor: 'rgb(var(--soot))',
} as const;
export const RIGHT = { ...TD, textAlign: 'right' } as const;
/** The name stays in sight when the table is moved sideways. */
export const STUCK = { position: 'sticky', left: 0, background: 'rgb(var(--limewash))', zIndex: 1 } as const;
export const HEAD = {
  position: 'sticky',
  top: 0,
  zIndex: 2,
  background: 'rgb(var(--shelf))',
  padding: '6px',
  textAlign: 'left',
  whiteSpace: 'nowrap',
  borderBottom: '2px solid rgb(var(--soot))',
} as const;
export const FOOT = { ...HEAD, top: undefined, bottom: 0, borderBottom: undefined, borderTop: '2px solid rgb(var(--soot))' } as const;
