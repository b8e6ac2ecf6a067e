// Reads CSV texts, and writes rows as CSV, with papaparse.
import Papa from 'papaparse';
import { given } from './stdin.mjs';

const { texts, rows } = given();
process.stdout.write(
  JSON.stringify({
    read: texts.map((text) => Papa.parse(text.replace(/^\uFEFF/, ''), { skipEmptyLines: true }).data),
    written: rows.map(({ cells, ...options }) => Papa.unparse(cells, { newline: '\r\n', ...options })),
  }),
);
