import { defaultRangeExtractor, useVirtualizer } from '@tanstack/react-virtual';
import {
  type ClipboardEvent,
  type KeyboardEvent,
  memo,
  useCallback,
  useEffect,
  useLayoutEffect,
  useRef,
  useState,
  Fragment,
} from 'react';
import { tip } from './tip';
import { usePrinting } from './usePrinting';

export interface Place {
  row: number;
  column: number;
}

export interface DataColumn {
  id: string;
  label: string;
  hint: string;
  /** In rem; the main column takes what is left. */
  width: number;
  /** Names the row: it stays in sight, and is not emptied by a key. */
  isMain?: boolean;
}

/** What was typed into a cell and could not be taken, and why. */
export interface WrongCell {
  typed: string;
  message: string;
}

interface Props<R extends { key: string }> {
  label: string;
  /** What the numbers of the rows are called. */
  rowLabel: string;
  rows: R[];
  /** The same list for as long as they are the same. */
  columns: readonly DataColumn[];
  /** What a cell shows. */
  read: (row: R, column: string) => string;
  /** By the key of the row, a dot, and the column. */
  wrong: ReadonlyMap<string, WrongCell>;
  place: Place;
  onPlace: (place: Place) => void;
  onWrite: (row: R, column: string, text: string) => void;
  /** What stands in the cell that is open; null once it is left. */
  onTyping: (row: R, column: string, text: string | null) => void;
  onPaste: (text: string) => void;
  /** Keys that change rows; true when it was one. */
  onCommand: (event: KeyboardEvent) => boolean;
  hintId: string;
  /** How high it may be. */
  className: string;
}

/** How a cell is left, and so where one goes next: Tab fills rows, one after the other; away is to something outside the grid. */
type Leave = 'down' | 'up' | 'right' | 'left' | 'on' | 'back' | 'stay' | 'away';
/** How a cell was opened: by typing, which takes the place of what is there; all of it chosen; or to mend it, the caret behind it. */
type Begun = { start: string } | 'whole' | 'end';

/** A row at a desk, pixels; on a screen that is touched it is as high as a finger is wide. */
const ROW = 33;
const TOUCHED_ROW = 45;
const HEAD = 31;
const rowHeight = (): number => (window.matchMedia('(pointer: coarse)').matches ? TOUCHED_ROW : ROW);

/**
 * Rows and columns that are written in, one cell in focus at a time. Only the rows that are near what is seen are there, and the one in
 * focus. Writing stays in the cell until it is left, so that a keystroke draws that cell and nothing else.
 */
export function DataGrid<R extends { key: string }>({
  label,
  rowLabel,
  rows,
  columns,
  read,
  wrong,
  place,
  onPlace,
  onWrite,
  onTyping,
  onPaste,
  onCommand,
  hintId,
  className,
}: Props<R>) {
  const box = useRef<HTMLDivElement>(null);
  const [begun, setWriting] = useState<{ key: string; how: Begun } | null>(null);
  const at = {
    row: Math.min(place.row, rows.length - 1),
    column: Math.min(place.column, columns.length - 1),
  };
  const activeRow = rows[at.row];
  const activeColumn = columns[at.column];
  // What is written belongs to an entry; should that be gone meanwhile, no other takes it.
  const writing = begun !== null && begun.key === activeRow?.key ? begun : null;
  const wantsFocus = useRef(false);
  const isPrinting = usePrinting();
  const [height] = useState(rowHeight);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => box.current,
    estimateSize: () => height,
    overscan: 8,
    // The names of the columns stay over the rows.
    scrollPaddingEnd: HEAD,
    initialRect: { width: 1000, height: 640 },
    getItemKey: (index) => rows[index]?.key ?? index,
    rangeExtractor: (range) =>
      isPrinting ? rows.map((_, n) => n) : [...new Set([...defaultRangeExtractor(range), at.row])].sort((a, b) => a - b),
  });

  const go = useCallback(
    (row: number, column: number) => {
      wantsFocus.current = true;
      setWriting(null);
      onPlace({ row: Math.min(Math.max(row, 0), rows.length - 1), column: Math.min(Math.max(column, 0), columns.length - 1) });
    },
    [columns.length, onPlace, rows.length],
  );

  // The place is in sight wherever it was chosen, and only the grid scrolls for it.
  const { scrollToIndex } = virtual;
  useLayoutEffect(() => {
    scrollToIndex(at.row, { align: 'auto' });
  }, [at.row, scrollToIndex]);
  // Focus follows the place, but only once the grid has it: opening the page takes it from nobody.
  useLayoutEffect(() => {
    if (writing !== null || !wantsFocus.current) return;
    box.current?.querySelector<HTMLElement>('[data-active=true]')?.focus({ preventScroll: false });
  }, [at.row, at.column, writing, rows]);

  const leaving = (text: string | null, how: Leave) => {
    setWriting(null);
    if (activeRow && activeColumn) onTyping(activeRow, activeColumn.id, null);
    if (text !== null && activeRow && activeColumn) {
      const kept = wrong.get(`${activeRow.key}.${activeColumn.id}`);
      if (text !== (kept?.typed ?? read(activeRow, activeColumn.id))) onWrite(activeRow, activeColumn.id, text);
    }
    if (how === 'away') return;
    const last = columns.length - 1;
    const to: Record<Exclude<Leave, 'away'>, [number, number]> = {
      down: [at.row + 1, at.column],
      up: [at.row - 1, at.column],
      right: [at.row, at.column + 1],
      left: [at.row, at.column - 1],
      on: at.column < last ? [at.row, at.column + 1] : [at.row + 1, at.row < rows.length - 1 ? 0 : last],
      back: at.column > 0 ? [at.row, at.column - 1] : [at.row - 1, at.row > 0 ? last : 0],
      stay: [at.row, at.column],
    };
    go(...to[how]);
  };
  // The rows are given the same function throughout, so that moving draws two of them and not all.
  const typing = (text: string) => {
    if (activeRow && activeColumn) onTyping(activeRow, activeColumn.id, text);
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

  const begin = (how: Begun) => {
    if (activeRow) setWriting({ key: activeRow.key, how });
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
    } else if (event.key === 'Enter' && isPlain) begin('whole');
    else if (event.key === 'F2' && isPlain) begin('end');
    else if ((event.key === 'Delete' || event.key === 'Backspace') && isPlain && activeRow && activeColumn) {
      if (activeColumn.isMain) begin({ start: '' });
      else onWrite(activeRow, activeColumn.id, '');
    } else if (event.key.length === 1 && isPlain && event.key !== '?') begin({ start: event.key });
    else return;
    event.preventDefault();
  }

  const drawn = virtual.getVirtualItems();
  const below = virtual.getTotalSize() - (drawn.at(-1)?.end ?? 0);
  return (
    <div
      ref={box}
      className={`relative overflow-auto border-y border-line ${className}`}
      onPaste={(event: ClipboardEvent) => {
        if (writing !== null) return;
        event.preventDefault();
        onPaste(event.clipboardData.getData('text/plain'));
      }}
      onCopy={(event: ClipboardEvent) => {
        if (writing !== null || !activeRow || !activeColumn) return;
        event.preventDefault();
        event.clipboardData.setData('text/plain', read(activeRow, activeColumn.id));
      }}
    >
      <table
        role="grid"
        aria-label={label}
        aria-rowcount={rows.length + 1}
        aria-describedby={hintId}
        className="table-fixed border-collapse text-[0.95rem]"
        style={{ width: `${String(columns.reduce((sum, column) => sum + column.width, 2.25))}rem`, minWidth: '100%' }}
        onKeyDown={onKey}
      >
        {/* Fixed widths: what is typed in one cell moves no other. */}
        <colgroup>
          <col style={{ width: '2.25rem' }} />
          {columns.map((column) => (
            <col key={column.id} style={column.isMain ? undefined : { width: `${String(column.width)}rem` }} />
          ))}
        </colgroup>
        <thead className="sticky top-0 z-10 bg-paper">
          <tr role="row">
            <th scope="col" className="px-1 py-1 text-right text-sm font-normal text-soft">
              <span className="sr-only">{rowLabel}</span>
            </th>
            {columns.map((column) => (
              <th
                key={column.id}
                scope="col"
                {...tip(column.hint)}
                className={`border-l border-line px-2 py-1 text-left text-sm font-normal text-soft ${column.isMain ? 'sticky left-0 z-20 bg-paper' : ''}`}
              >
                {column.label}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {drawn.map((item, nth) => {
            const n = item.index;
            const row = rows[n];
            if (row === undefined) return null;
            const above = item.start - (drawn[nth - 1]?.end ?? 0);
            return (
              <Fragment key={row.key}>
                {above > 0 ? <Gap height={above} columns={columns.length + 1} /> : null}
                <GridRow
                  rowKey={row.key}
                  n={n}
                  columns={columns}
                  texts={columns.map((column) => read(row, column.id))}
                  active={n === at.row ? at.column : -1}
                  writing={n === at.row ? (writing?.how ?? null) : null}
                  wrong={hasWrong(wrong, row.key) ? wrong : null}
                  onCell={go}
                  onWriteAt={setWriting}
                  onLeave={leave}
                  onType={type}
                />
              </Fragment>
            );
          })}
          {below > 0 ? <Gap height={below} columns={columns.length + 1} /> : null}
        </tbody>
      </table>
    </div>
  );
}

function hasWrong(wrong: ReadonlyMap<string, WrongCell>, key: string): boolean {
  for (const place of wrong.keys()) if (place.startsWith(`${key}.`)) return true;
  return false;
}

/** The room of rows that are out of sight. */
function Gap({ height, columns }: { height: number; columns: number }) {
  return (
    <tr aria-hidden="true">
      <td colSpan={columns} style={{ height, padding: 0 }} />
    </tr>
  );
}

interface RowProps {
  rowKey: string;
  n: number;
  columns: readonly DataColumn[];
  texts: readonly string[];
  active: number;
  writing: Begun | null;
  wrong: ReadonlyMap<string, WrongCell> | null;
  onCell: (row: number, column: number) => void;
  onWriteAt: (writing: { key: string; how: Begun }) => void;
  onLeave: (text: string | null, how: Leave) => void;
  onType: (text: string) => void;
}

/** Whether a row would be drawn as it is: what its cells say is compared, and not the list of it. */
function isSameRow({ texts, ...was }: RowProps, { texts: next, ...now }: RowProps): boolean {
  return (
    texts.length === next.length &&
    texts.every((text, at) => text === next[at]) &&
    (Object.keys(was) as (keyof typeof was)[]).every((key) => was[key] === now[key])
  );
}

const GridRow = memo(function GridRow({
  rowKey,
  n,
  columns,
  texts,
  active,
  writing,
  wrong: wrongs,
  onCell,
  onWriteAt,
  onLeave,
  onType,
}: RowProps) {
  return (
    <tr role="row" aria-rowindex={n + 2} className={`border-t border-line ${active >= 0 ? 'bg-sheet' : ''}`}>
      <th scope="row" className="px-1 text-right text-sm font-normal text-soft">
        {n + 1}
      </th>
      {columns.map((column, at) => {
        const isActive = at === active;
        const wrong = wrongs?.get(`${rowKey}.${column.id}`);
        const text = wrong?.typed ?? texts[at] ?? '';
        const label = `${column.label}, ${String(n + 1)}`;
        return (
          <td
            key={column.id}
            role="gridcell"
            aria-invalid={wrong ? true : undefined}
            {...tip(wrong?.message)}
            data-active={isActive}
            tabIndex={isActive ? 0 : -1}
            onMouseDown={(event) => {
              // A cell that has the focus already is written in; the first click only goes there.
              event.currentTarget.dataset.had = String(document.activeElement === event.currentTarget);
            }}
            onClick={(event) => {
              if (isActive && event.currentTarget.dataset.had === 'true') onWriteAt({ key: rowKey, how: 'whole' });
              else onCell(n, at);
            }}
            className={`h-8 border-l pointer-coarse:h-11 border-line px-2 outline-offset-[-2px] ${column.isMain ? 'sticky left-0 z-[1] bg-paper font-medium' : ''} ${
              wrong ? 'bg-straw-soft font-medium text-persimmon' : ''
            } ${isActive ? 'outline-2 outline-pine2' : ''} truncate`}
          >
            {isActive && writing ? (
              <CellInput label={label} text={text} begun={writing} onLeave={onLeave} onType={onType} />
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
}, isSameRow);

interface CellInputProps {
  label: string;
  /** What stands in the cell. */
  text: string;
  begun: Begun;
  onLeave: (text: string | null, how: Leave) => void;
  onType: (text: string) => void;
}

const WAYS: Record<string, Leave> = { ArrowDown: 'down', ArrowUp: 'up', ArrowRight: 'right', ArrowLeft: 'left' };

function CellInput({ label, text: before, begun, onLeave, onType }: CellInputProps) {
  const [text, setText] = useState(typeof begun === 'object' ? begun.start : before);
  const ref = useRef<HTMLInputElement>(null);
  const isLeft = useRef(false);
  useEffect(() => {
    const input = ref.current;
    if (!input) return;
    input.focus();
    if (begun === 'whole') input.select();
    else input.setSelectionRange(input.value.length, input.value.length);
  }, [begun]);
  /** Whether an arrow goes on: up and down from what was typed over it, every way from what is as it was. */
  const goesOn = (key: string, input: HTMLInputElement): Leave | undefined => {
    const way = WAYS[key];
    const isUpOrDown = way === 'up' || way === 'down';
    if (typeof begun === 'object') return isUpOrDown ? way : undefined;
    const isWhole = input.selectionStart === 0 && input.selectionEnd === input.value.length;
    return text === before && (isUpOrDown || (begun === 'whole' && isWhole)) ? way : undefined;
  };
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
        const way = goesOn(event.key, event.currentTarget);
        if (event.key === 'Enter') leave(text, event.shiftKey ? 'up' : 'down');
        else if (event.key === 'Tab') leave(text, event.shiftKey ? 'back' : 'on');
        else if (event.key === 'Escape') leave(null, 'stay');
        else if (way !== undefined) leave(text, way);
        else return;
        event.preventDefault();
      }}
      className="-mx-1 h-7 w-[calc(100%+0.5rem)] min-w-16 bg-sheet px-1 font-normal text-ink outline-none"
    />
  );
}
