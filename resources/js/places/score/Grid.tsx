import { type KeyboardEvent, useCallback, useMemo } from 'react';
import { useTranslation } from '../../messages';
import { type DataColumn, DataGrid, type Place } from '../../kit/DataGrid';
import { around, type Column, shown, WIDTHS } from './columns';
import type { Row } from './edits';
import type { Refused } from './useScore';

export type { Place };

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
  /** How high it may be. */
  className: string;
}

/** The entries of a form as a grid. */
export function Grid({ columns, sections, refused, rows, onWrite, onTyping, ...rest }: Props) {
  const { t } = useTranslation();
  const headed = useMemo(
    () =>
      columns.map((id): DataColumn => ({
        id,
        label: t(`score.columns.${id}`),
        hint: t(`score.hints.${id}`),
        width: WIDTHS[id],
        isMain: id === 'title',
      })),
    [columns, t],
  );
  const positions = useMemo(() => new Map(rows.map((row, at) => [row.key, at + 1])), [rows]);
  const read = useCallback(
    (row: Row, column: string) => shown(row, column as Column, around(row, positions, sections)),
    [positions, sections],
  );
  return (
    <DataGrid
      {...rest}
      label={t('score.grid')}
      rowLabel={t('score.position')}
      rows={rows}
      columns={headed}
      read={read}
      wrong={refused}
      onWrite={(row, column, text) => {
        onWrite(row, column as Column, text);
      }}
      onTyping={(row, column, text) => {
        onTyping(row, column as Column, text);
      }}
    />
  );
}
