/** A table of the desk: many things alike, one line each. A cell that can be changed is kept on leaving it, as it was typed. */
import { Fragment, useId, useState, type KeyboardEvent, type ReactNode } from 'react';
import { CELL, FIELD, HEAD, Plain, STUCK, TD } from './sheet-look';
import { Words } from './Words';

export interface SheetColumn<R> {
  readonly head: string;
  readonly right?: boolean;
  /** In rem; else as wide as what is in it. */
  readonly width?: number;
  readonly cell: (row: R) => ReactNode;
}

interface SheetProps<R> {
  readonly label: string;
  readonly columns: readonly SheetColumn<R>[];
  readonly rows: readonly R[];
  readonly keyOf: (row: R) => string;
  /** Rows with the same group stand under its name. */
  readonly groupOf?: (row: R) => string;
  /** What is unfolded under a row; null: it is not. */
  readonly detailOf?: (row: R) => ReactNode | null;
  readonly testID?: string;
}

/** The first column is the name of the row and stays in sight. */
export function Sheet<R>({ label, columns, rows, keyOf, groupOf, detailOf, testID }: SheetProps<R>) {
  const groups: { name: string | null; rows: R[] }[] = [];
  for (const r of rows) {
    const name = groupOf?.(r) ?? null;
    const last = groups.at(-1);
    if (last && last.name === name) last.rows.push(r);
    else groups.push({ name, rows: [r] });
  }
  return (
    <div data-testid={testID} style={{ overflowX: 'auto', border: '2px solid rgb(var(--line))' }}>
      <table aria-label={label} style={{ borderCollapse: 'separate', borderSpacing: 0, width: '100%', fontVariantNumeric: 'tabular-nums' }}>
        <thead>
          <tr>
            {columns.map((c, i) => (
              <th
                key={c.head}
                scope="col"
                style={{
                  ...HEAD,
                  ...(i === 0 ? { ...STUCK, zIndex: 3, background: 'rgb(var(--shelf))' } : {}),
                  textAlign: c.right ? 'right' : 'left',
                }}
              >
                <Words look="label">{c.head}</Words>
              </th>
            ))}
          </tr>
        </thead>
        {groups.map((g, at) => (
          <tbody key={g.name ?? at}>
            {g.name === null ? null : (
              <tr>
                <th scope="rowgroup" colSpan={columns.length} style={{ ...TD, textAlign: 'left', background: 'rgb(var(--shelf))' }}>
                  <Plain strong>{g.name}</Plain>
                </th>
              </tr>
            )}
            {g.rows.map((r) => {
              const detail = detailOf?.(r) ?? null;
              return (
                <Fragment key={keyOf(r)}>
                  <tr>
                    {columns.map((c, i) => {
                      const style = {
                        ...TD,
                        maxWidth: undefined,
                        textAlign: c.right ? ('right' as const) : ('left' as const),
                        ...(c.width ? { width: `${c.width}rem` } : {}),
                      };
                      return i === 0 ? (
                        <th key={c.head} scope="row" style={{ ...style, ...STUCK, fontWeight: 'normal' }}>
                          {c.cell(r)}
                        </th>
                      ) : (
                        <td key={c.head} style={style}>
                          {c.cell(r)}
                        </td>
                      );
                    })}
                  </tr>
                  {detail === null ? null : (
                    <tr>
                      <td colSpan={columns.length} style={{ ...TD, maxWidth: undefined, whiteSpace: 'normal', padding: '4px 12px 12px' }}>
                        {detail}
                      </td>
                    </tr>
                  )}
                </Fragment>
              );
            })}
          </tbody>
        ))}
      </table>
    </div>
  );
}

interface SheetInputProps {
  readonly label: string;
  readonly value: string;
  /** @returns what is wrong with it; undefined: it is kept */
  readonly onCommit: (text: string) => string | undefined;
  readonly right?: boolean;
  /** It is the firm's own, not the usual one. */
  readonly own?: boolean;
  readonly testID?: string;
}

/** The same column of the row above or below. */
function neighbour(from: HTMLElement, by: 1 | -1): HTMLElement | undefined {
  const cell = from.closest('td');
  const rows = [...(from.closest('table')?.querySelectorAll('tbody tr') ?? [])];
  const at = rows.indexOf(from.closest('tr')!);
  for (let i = at + by; i >= 0 && i < rows.length; i += by) {
    const input = (rows[i] as HTMLTableRowElement).cells[cell?.cellIndex ?? 0]?.querySelector('input');
    if (input) return input;
  }
  return undefined;
}

export function SheetInput({ label, value, onCommit, right, own, testID }: SheetInputProps) {
  const id = useId();
  const [typed, setTyped] = useState<string | null>(null);
  const [problem, setProblem] = useState<string>();
  const leave = () => {
    if (typed === null) return;
    const said = typed.trim() === value ? undefined : onCommit(typed.trim());
    setProblem(said);
    // What is refused stays as it was typed.
    if (said === undefined) setTyped(null);
  };
  const press = (e: KeyboardEvent<HTMLInputElement>) => {
    if (e.key === 'Escape') {
      setTyped(null);
      setProblem(undefined);
      return;
    }
    const by = e.key === 'ArrowDown' || e.key === 'Enter' ? 1 : e.key === 'ArrowUp' ? -1 : null;
    if (by === null) return;
    e.preventDefault();
    const next = neighbour(e.currentTarget, by);
    if (next) next.focus();
    else leave();
  };
  return (
    <>
      <input
        aria-label={label}
        aria-invalid={problem !== undefined}
        aria-describedby={problem ? id : undefined}
        data-testid={testID}
        inputMode="decimal"
        value={typed ?? value}
        onChange={(e) => setTyped(e.target.value)}
        onFocus={(e) => e.target.select()}
        onBlur={leave}
        onKeyDown={press}
        style={{
          ...CELL,
          ...FIELD,
          outline: undefined,
          textAlign: right ? 'right' : 'left',
          fontFamily: own ? 'HyperlegibleBold, sans-serif' : CELL.fontFamily,
          borderColor: `rgb(var(--${problem ? 'oxide' : 'line'}))`,
        }}
      />
      {problem ? (
        <span
          id={id}
          role="alert"
          style={{ display: 'block', color: 'rgb(var(--oxide))', fontSize: '0.875rem', whiteSpace: 'normal', maxWidth: '12rem' }}
        >
          {problem}
        </span>
      ) : null}
    </>
  );
}

/** The name of a row that unfolds what stands behind it. */
export const SheetName = ({
  label,
  says,
  open,
  onPress,
}: {
  readonly label: string;
  readonly says: string;
  readonly open: boolean;
  readonly onPress: () => void;
}) => (
  <button
    type="button"
    aria-expanded={open}
    aria-label={says}
    onClick={onPress}
    style={{
      ...CELL,
      cursor: 'pointer',
      textAlign: 'left',
      color: 'rgb(var(--slate))',
      textDecoration: 'underline 3px rgb(var(--line))',
      textUnderlineOffset: 4,
      fontFamily: 'HyperlegibleBold, sans-serif',
    }}
  >
    {label}
  </button>
);
