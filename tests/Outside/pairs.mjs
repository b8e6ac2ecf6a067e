// Pairs people with HiGHS: every pair, and of an odd number every three, is taken or not; each is in exactly one, and there is
// one three at most. What is least is the sum of the squared difference of the outer two.
import loadHighs from 'highs';
import { given } from './stdin.mjs';

const highs = await loadHighs();

function model(numbers) {
  const groups = [];
  for (let a = 0; a < numbers.length; a++) {
    for (let b = a + 1; b < numbers.length; b++) {
      groups.push([a, b]);
      if (numbers.length % 2 === 1) for (let c = b + 1; c < numbers.length; c++) groups.push([a, b, c]);
    }
  }
  const cost = groups.map((group) => {
    const own = group.map((at) => numbers[at]);
    return (Math.max(...own) - Math.min(...own)) ** 2;
  });
  const sum = (named) => named.map((at) => `g${at}`).join(' + ');
  const rows = numbers.map((_, one) => ` s${one}: ${sum(groups.flatMap((group, at) => (group.includes(one) ? [at] : [])))} = 1`);
  if (numbers.length % 2 === 1) rows.push(` t: ${sum(groups.flatMap((group, at) => (group.length === 3 ? [at] : [])))} = 1`);
  return [
    'Minimize',
    ` obj: ${groups.map((_, at) => `+ ${cost[at]} g${at}`).join(' ')}`,
    'Subject To',
    ...rows,
    'Binary',
    ` ${groups.map((_, at) => `g${at}`).join(' ')}`,
    'End',
  ].join('\n');
}

const answers = given().map((numbers) => {
  const { Status, ObjectiveValue } = highs.solve(model(numbers), { mip_rel_gap: 0, mip_abs_gap: 0 });
  return { status: Status, value: ObjectiveValue };
});
process.stdout.write(JSON.stringify(answers));
