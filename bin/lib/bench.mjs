// The reference side of bin/bench: the same updates by ts-fsrs, the same form cut by HiGHS, timed in this process.
import { readFileSync } from 'node:fs';
import loadHighs from 'highs';
import { FSRSAlgorithm, generatorParameters } from 'ts-fsrs';

const { updates, form } = JSON.parse(readFileSync(0, 'utf8'));
const algorithm = new FSRSAlgorithm(generatorParameters());

let state = null;
const started = performance.now();
for (let at = 0; at < updates; at++) {
  state = at % 50 === 0 ? algorithm.next_state(null, 0, 3) : algorithm.next_state(state, 7, 3);
}
const update = (performance.now() - started) / 1000 / updates;

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
