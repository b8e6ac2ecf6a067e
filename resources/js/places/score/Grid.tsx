import { type ClipboardEvent, type KeyboardEvent, memo, useCallback, useEffect, useLayoutEffect, useRef, useState } from 'react';
import { useTranslation } from '../../messages';
import { type Around, around, type Column, shown, WIDTHS } from './columns';
import type { Row } from './edits';
import type { Refused } from './useScore';

export interface Place {
  row: number;
  column: number;
}

interface Props {
  rows: Row[];
  columns: readonly Column[];
  sections: Map<string, string>;
  refused: Refused;
  place: Place;
  onPlace: (place: Place) => void;
  onWrite: (row: Row, column: Column, text: string) => void;
  /** What stands in the cell that is open; null once it is left. */
  onTyping: (row: Row, column: Column, text: string | null) => void;
  onPaste: (text: string) => void;
  /** Keys that change rows; true when it was one. */
  onCommand: (event: KeyboardEvent) => boolean;
  hintId: string;
}

/** How a cell is left, and so where one goes next; away is to something outside the grid. */
type Leave = 'down' | 'up' | 'on' | 'back' | 'stay' | 'away';

/**
 * The entries as a grid, one cell in focus at a time. Writing stays in the cell until it is left, so that a keystroke
 * draws that cell and nothing else.
 */
export function Grid({ rows, columns, sections, refused, place, onPlace, onWrite, onTyping, onPaste, onCommand, hintId }: Props) {
  const { t } = useTranslation();
  const box = useRef<HTMLDivElement>(null);
  const [begun, setWriting] = useState<{ key: string; start: string | null } | null>(null);
  const positions = new Map(rows.map((row, at) => [row.key, at + 1]));
  const at = {
    row: Math.min(place.row, rows.length - 1),
    column: Math.min(place.column, columns.length - 1),
  };
  const activeRow = rows[at.row];
  const activeColumn = columns[at.column];
  // What is written belongs to an entry; should that be gone meanwhile, no other takes it.
  const writing = begun !== null && begun.key === activeRow?.key ? begun : null;
  const wantsFocus = useRef(false);

  const go = useCallback(
    (row: number, column: number) => {
      wantsFocus.current = true;
      setWriting(null);
      onPlace({ row: Math.min(Math.max(row, 0), rows.length - 1), column: Math.min(Math.max(column, 0), columns.length - 1) });
    },
    [columns.length, onPlace, rows.length],
  );

  // The place is in sight wherever it was chosen, and only the grid scrolls for it.
  useLayoutEffect(() => {
    const cell = box.current?.querySelector<HTMLElement>('[data-active=true]');
    const row = cell?.parentElement;
    if (!box.current || !row) return;
    const head = box.current.querySelector('thead')?.clientHeight ?? 0;
    const { scrollTop, clientHeight } = box.current;
    if (row.offsetTop - head < scrollTop) box.current.scrollTop = row.offsetTop - head;
    else if (row.offsetTop + row.offsetHeight > scrollTop + clientHeight) {
      box.current.scrollTop = row.offsetTop + row.offsetHeight - clientHeight + 4;
    }
  }, [at.row]);
  // Focus follows the place, but only once the grid has it: opening the page takes it from nobody.
  useLayoutEffect(() => {
    if (writing !== null || !wantsFocus.current) return;
    box.current?.querySelector<HTMLElement>('[data-active=true]')?.focus({ preventScroll: false });
  }, [at.row, at.column, writing, rows]);

  const leaving = (text: string | null, how: Leave) => {
    setWriting(null);
    if (activeRow && activeColumn) onTyping(activeRow, activeColumn, null);
    if (text !== null && activeRow && activeColumn) {
      const kept = refused.get(`${activeRow.key}.${activeColumn}`);
      if (text !== (kept?.typed ?? shown(activeRow, activeColumn, around(activeRow, positions, sections))))
        onWrite(activeRow, activeColumn, text);
    }
    if (how === 'away') return;
    const [row, column] = { down: [1, 0], up: [-1, 0], on: [0, 1], back: [0, -1], stay: [0, 0] }[how] as [number, number];
    go(at.row + row, at.column + column);
  };
  // The rows are given the same function throughout, so that moving draws two of them and not all.
  const typing = (text: string) => {
    if (activeRow && activeColumn) onTyping(activeRow, activeColumn, text);
  };
  const latest = useRef({ leaving, typing });
  useLayoutEffect(() => {
    latest.current = { leaving, typing };
  });
  const leave = useCallback((text: string | null, how: Leave) => {
    latest.current.leaving(text, how);
  }, []);
  const type = useCallback((text: string) => {
    latest.current.typing(text);
  }, []);

  const begin = (start: string | null) => {
    if (activeRow) setWriting({ key: activeRow.key, start });
  };
  function onKey(event: KeyboardEvent) {
    if (writing !== null) return;
    wantsFocus.current = true;
    if (onCommand(event)) {
      event.preventDefault();
      return;
    }
    const isPlain = !event.ctrlKey && !event.metaKey && !event.altKey;
    const moves: Record<string, [number, number]> = {
      ArrowDown: [at.row + 1, at.column],
      ArrowUp: [at.row - 1, at.column],
      ArrowRight: [at.row, at.column + 1],
      ArrowLeft: [at.row, at.column - 1],
      PageDown: [at.row + 15, at.column],
      PageUp: [at.row - 15, at.column],
      Home: [event.ctrlKey ? 0 : at.row, 0],
      End: [event.ctrlKey ? rows.length - 1 : at.row, columns.length - 1],
    };
    const move = event.altKey ? undefined : moves[event.key];
    if (move) go(...move);
    else if (event.key === 'Tab' && isPlain) {
      // At either end Tab leaves the grid, as in any other control.
      const column = at.column + (event.shiftKey ? -1 : 1);
      if (column >= 0 && column < columns.length) go(at.row, column);
      else if (!event.shiftKey && at.row < rows.length - 1) go(at.row + 1, 0);
      else if (event.shiftKey && at.row > 0) go(at.row - 1, columns.length - 1);
      else return;
    } else if ((event.key === 'Enter' || event.key === 'F2') && isPlain) begin(null);
    else if ((event.key === 'Delete' || event.key === 'Backspace') && isPlain && activeRow && activeColumn) {
      if (activeColumn === 'title') begin('');
      else onWrite(activeRow, activeColumn, '');
    } else if (event.key.length === 1 && isPlain && event.key !== '?') begin(event.key);
    else return;
    event.preventDefault();
  }

  return (
    <div
      ref={box}
      className="relative max-h-[max(20rem,calc(100vh-27.5rem))] overflow-auto border-y border-line print:max-h-none"
      onPaste={(event: ClipboardEvent) => {
        if (writing !== null) return;
        event.preventDefault();
        onPaste(event.clipboardData.getData('text/plain'));
      }}
      onCopy={(event: ClipboardEvent) => {
        if (writing !== null || !activeRow || !activeColumn) return;
        event.preventDefault();
        event.clipboardData.setData('text/plain', shown(activeRow, activeColumn, around(activeRow, positions, sections)));
      }}
    >
      {}
      <table
        role="grid"
        aria-label={t('score.grid')}
        aria-rowcount={rows.length + 1}
        aria-describedby={hintId}
        className="table-fixed border-collapse text-[0.95rem]"
        style={{ width: `${String(columns.reduce((sum, column) => sum + WIDTHS[column], 2.25))}rem`, minWidth: '100%' }}
        onKeyDown={onKey}
      >
        {/* Fixed widths: what is typed in one cell moves no other. */}
        <colgroup>
          <col style={{ width: '2.25rem' }} />
          {columns.map((column) => (
            <col key={column} style={column === 'title' ? undefined : { width: `${String(WIDTHS[column])}rem` }} />
          ))}
        </colgroup>
        <thead className="sticky top-0 z-10 bg-paper">
          <tr role="row">
            <th scope="col" className="px-1 py-1 text-right text-sm font-normal text-soft">
              <span className="sr-only">{t('score.position')}</span>
            </th>
            {columns.map((column) => (
              <th
                key={column}
                scope="col"
                title={t(`score.hints.${column}`)}
                className={`border-l border-line px-2 py-1 text-left text-sm font-normal text-soft ${column === 'title' ? 'sticky left-0 z-20 bg-paper' : ''}`}
              >
                {t(`score.columns.${column}`)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row, n) => (
            <GridRow
              key={row.key}
              row={row}
              n={n}
              columns={columns}
              {...around(row, positions, sections)}
              active={n === at.row ? at.column : -1}
              writing={n === at.row ? writing : null}
              refused={hasRefused(refused, row.key) ? refused : null}
              onCell={go}
              onWriteAt={setWriting}
              onLeave={leave}
              onType={type}
            />
          ))}
        </tbody>
      </table>
    </div>
  );
}

function hasRefused(refused: Refused, key: string): boolean {
  for (const place of refused.keys()) if (place.startsWith(`${key}.`)) return true;
  return false;
}

interface RowProps extends Around {
  row: Row;
  n: number;
  columns: readonly Column[];
  active: number;
  writing: { start: string | null } | null;
  refused: Refused | null;
  onCell: (row: number, column: number) => void;
  onWriteAt: (writing: { key: string; start: string | null }) => void;
  onLeave: (text: string | null, how: Leave) => void;
  onType: (text: string) => void;
}

const GridRow = memo(function GridRow({
  row,
  n,
  columns,
  returns,
  mirrors,
  section,
  active,
  writing,
  refused,
  onCell,
  onWriteAt,
  onLeave,
  onType,
}: RowProps) {
  const { t } = useTranslation();
  return (
    <tr role="row" className={`border-t border-line ${active >= 0 ? 'bg-sheet' : ''}`}>
      <th scope="row" className="px-1 text-right text-sm font-normal text-soft">
        {n + 1}
      </th>
      {columns.map((column, at) => {
        const isActive = at === active;
        const wrong = refused?.get(`${row.key}.${column}`);
        const text = wrong?.typed ?? shown(row, column, { returns, mirrors, section });
        const label = `${t(`score.columns.${column}`)}, ${String(n + 1)}`;
        return (
          <td
            key={column}
            role="gridcell"
            aria-invalid={wrong ? true : undefined}
            title={wrong?.message}
            data-active={isActive}
            tabIndex={isActive ? 0 : -1}
            onMouseDown={(event) => {
              // A cell that has the focus already is written in; the first click only goes there.
              event.currentTarget.dataset.had = String(document.activeElement === event.currentTarget);
            }}
            onClick={(event) => {
              if (isActive && event.currentTarget.dataset.had === 'true') onWriteAt({ key: row.key, start: null });
              else onCell(n, at);
            }}
            className={`h-9 border-l border-line px-2 outline-offset-[-2px] ${column === 'title' ? 'sticky left-0 z-[1] bg-paper font-medium' : ''} ${
              wrong ? 'bg-straw-soft font-medium text-persimmon' : ''
            } ${isActive ? 'outline-2 outline-pine2' : ''} truncate`}
          >
            {isActive && writing ? (
              <CellInput
                label={label}
                start={writing.start ?? text}
                isReplacing={writing.start !== null}
                onLeave={onLeave}
                onType={onType}
              />
            ) : wrong ? (
              <>
                <span aria-hidden="true">! </span>
                {text}
              </>
            ) : (
              text
            )}
          </td>
        );
      })}
    </tr>
  );
});

interface CellInputProps {
  label: string;
  start: string;
  isReplacing: boolean;
  onLeave: (text: string | null, how: Leave) => void;
  onType: (text: string) => void;
}

function CellInput({ label, start, isReplacing, onLeave, onType }: CellInputProps) {
  const [text, setText] = useState(start);
  const ref = useRef<HTMLInputElement>(null);
  const isLeft = useRef(false);
  useEffect(() => {
    const input = ref.current;
    if (!input) return;
    input.focus();
    if (isReplacing) input.setSelectionRange(input.value.length, input.value.length);
    else input.select();
  }, [isReplacing]);
  const leave = (value: string | null, how: Leave) => {
    if (isLeft.current) return;
    isLeft.current = true;
    onLeave(value, how);
  };
  // Whoever goes to another page with the cell open has typed it all the same.
  const open = useRef(leave);
  const typed = useRef(text);
  useEffect(() => {
    open.current = leave;
    typed.current = text;
  });
  useEffect(
    () => () => {
      open.current(typed.current, 'away');
    },
    [],
  );
  return (
    <input
      ref={ref}
      aria-label={label}
      value={text}
      onChange={(event) => {
        setText(event.target.value);
        onType(event.target.value);
      }}
      onBlur={() => {
        leave(text, 'away');
      }}
      onKeyDown={(event) => {
        event.stopPropagation();
        if (event.key === 'Enter') leave(text, event.shiftKey ? 'up' : 'down');
        else if (event.key === 'Tab') leave(text, event.shiftKey ? 'back' : 'on');
        else if (event.key === 'Escape') leave(null, 'stay');
        else if (event.key === 'ArrowDown' && isReplacing) leave(text, 'down');
        else if (event.key === 'ArrowUp' && isReplacing) leave(text, 'up');
        else return;
        event.preventDefault();
      }}
      className="-mx-1 h-8 w-[calc(100%+0.5rem)] min-w-16 bg-sheet px-1 font-normal text-ink outline-none"
    />
  );
}
