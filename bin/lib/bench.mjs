// The reference side of bin/bench: the same updates by ts-fsrs, the same form cut by HiGHS, timed in this process.
import { readFileSync } from 'node:fs';
import loadHighs from 'highs';
import { FSRSAlgorithm, generatorParameters } from 'ts-fsrs';

const { histories, warm, form } = JSON.parse(readFileSync(0, 'utf8'));
const algorithm = new FSRSAlgorithm(generatorParameters());

function run(some) {
  for (const history of some) {
    let state = null;
    for (const [days, grade] of history) state = algorithm.next_state(state, state === null ? 0 : days, grade);
  }
}
const length = histories[0].length;
run(histories.slice(0, warm / length));
const started = performance.now();
run(histories);
const update = (performance.now() - started) / 1000 / (histories.length * length);

function model({ loads, rests, target, lambda, lessons }) {
  const n = loads.length;
  const costs = [];
  const covering = loads.map(() => []);
  for (let from = 0; from < n; from++) {
    let load = 0;
    for (let to = from; to < n; to++) {
      load += loads[to];
      if (to > from && load > 1.5 * target + 1e-9) break;
      for (let entry = from; entry <= to; entry++) covering[entry].push(`x${costs.length}`);
      costs.push(((load - target) / target) ** 2 + (to < n - 1 ? lambda * (1 - rests[to]) : 0));
    }
  }
  const names = costs.map((_, at) => `x${at}`);
  return [
    'Minimize',
    ` obj: ${costs.map((cost, at) => `${cost.toPrecision(17)} x${at}`).join(' + ')}`,
    'Subject To',
    ...covering.map((of, entry) => ` c${entry}: ${of.join(' + ')} = 1`),
    ` k: ${names.join(' + ')} = ${lessons}`,
    'Binary',
    ` ${names.join(' ')}`,
    'End',
  ].join('\n');
}

const highs = await loadHighs();
const text = model(form);
const solving = performance.now();
const { ObjectiveValue } = highs.solve(text, { mip_rel_gap: 0, mip_abs_gap: 0 });
const cut = (performance.now() - solving) / 1000;
process.stdout.write(JSON.stringify({ update, cut, objective: ObjectiveValue }));
