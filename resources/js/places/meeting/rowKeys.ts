import type { KeyboardEvent } from 'react';
import type { Student } from '../../api/client';

interface Hands<Level> {
  students: Student[];
  /** In the order of the keys from 1. */
  levels: readonly Level[];
  mark: (student: Student, level: Level) => void;
  takeBack: (student: Student) => void;
}

/** The keys of a list of students that are marked: numbers mark the row one is in, 0 takes back, arrows go from row to row. */
export function rowKeys<Level>({ students, levels, mark, takeBack }: Hands<Level>) {
  return (event: KeyboardEvent<HTMLUListElement>) => {
    const row = (event.target as HTMLElement).closest<HTMLElement>('[data-student]');
    const student = students.find((one) => one.id === row?.dataset.student);
    if (!row || !student || event.ctrlKey || event.metaKey || event.altKey) return;
    const level = levels[Number(event.key) - 1];
    if (level !== undefined) mark(student, level);
    else if (event.key === '0' || event.key.toLowerCase() === 'z') takeBack(student);
    else if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
      const next = event.key === 'ArrowDown' ? row.nextElementSibling : row.previousElementSibling;
      const column = [...row.querySelectorAll('button')].indexOf(event.target as HTMLButtonElement);
      next?.querySelectorAll('button')[Math.max(column, 0)]?.focus();
    } else return;
    event.preventDefault();
  };
}
