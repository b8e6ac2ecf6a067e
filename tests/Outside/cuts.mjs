// Solves the cutting of forms as a set partitioning over candidate passages with a row for their number, with HiGHS.
// It takes loads, rests and pins as they are and builds caps, pins, bars and the objective anew.
import loadHighs from 'highs';
import { given } from './stdin.mjs';

const highs = await loadHighs();
const number = (value) => value.toPrecision(17);

function model({ loads, rests, pins, target, lambda, lessons }) {
  const n = loads.length;
  const columns = [];
  for (let from = 0; from < n; from++) {
    let load = 0;
    for (let to = from; to < n; to++) {
      load += loads[to];
      if (to > from && (load > 1.5 * target + 1e-9 || pins[to - 1] === 'always')) break;
      if (to < n - 1 && pins[to] === 'never') continue;
      columns.push({ from, to, cost: ((load - target) / target) ** 2 + (to < n - 1 ? lambda * (1 - rests[to]) : 0) });
    }
  }
  const row = (name, chosen, right) => ` ${name}: ${chosen.map((at) => `x${at}`).join(' + ')} = ${right}`;
  const rows = [];
  for (let entry = 0; entry < n; entry++) {
    const covering = columns.flatMap((column, at) => (column.from <= entry && entry <= column.to ? [at] : []));
    if (covering.length === 0) return null;
    rows.push(row(`c${entry}`, covering, 1));
  }
  rows.push(
    row(
      'k',
      columns.map((_, at) => at),
      lessons,
    ),
  );
  return [
    'Minimize',
    ` obj: ${columns.map((column, at) => `${number(column.cost)} x${at}`).join(' + ')}`,
    'Subject To',
    ...rows,
    'Binary',
    ` ${columns.map((_, at) => `x${at}`).join(' ')}`,
    'End',
  ].join('\n');
}

const answers = given().map((form) => {
  const text = model(form);
  if (text === null) return { status: 'Infeasible' };
  const { Status, ObjectiveValue } = highs.solve(text, { mip_rel_gap: 0, mip_abs_gap: 0 });
  return { status: Status, objective: ObjectiveValue };
});
process.stdout.write(JSON.stringify(answers));
