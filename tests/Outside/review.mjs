// Chooses passages with HiGHS: an entry is taken or not, and setting up is paid wherever a taken entry has no taken one
// before it. It takes values and minutes as they are, and rounds the minutes to quarters itself.
import loadHighs from 'highs';
import { given } from './stdin.mjs';

const highs = await loadHighs();
const number = (value) => (value < 0 ? `- ${(-value).toPrecision(17)}` : `+ ${value.toPrecision(17)}`);
const quarters = (minutes) => Math.ceil(Math.round(minutes * 4 * 1e9) / 1e9);

// Beside its price: of an entry two minutes are priced at most, setting up whole.
const worth = (entry, price) => entry.value - (entry.price ?? price) * Math.min(quarters(entry.minutes) / 4, 2);

function model({ entries, budget, setup, most, price = 0 }) {
  const known = entries.flatMap((entry, at) => (entry === null ? [] : [at]));
  if (known.length === 0) return null;
  const rows = [];
  const cost = [];
  for (const at of known) {
    const before = entries[at - 1] == null ? '' : ` - x${at - 1}`;
    rows.push(` s${at}: x${at}${before} - y${at} <= 0`);
    cost.push(`+ ${quarters(entries[at].minutes)} x${at}`, `+ ${quarters(setup)} y${at}`);
  }
  rows.push(` b: ${cost.join(' ')} <= ${Math.floor(Math.round(budget * 4 * 1e9) / 1e9)}`);
  if (most != null) rows.push(` m: ${known.map((at) => `y${at}`).join(' + ')} <= ${most}`);
  return [
    'Maximize',
    ` obj: ${known.map((at) => `${number(worth(entries[at], price))} x${at} ${number((-price * quarters(setup)) / 4)} y${at}`).join(' ')}`,
    'Subject To',
    ...rows,
    'Binary',
    ` ${known.flatMap((at) => [`x${at}`, `y${at}`]).join(' ')}`,
    'End',
  ].join('\n');
}

const answers = given().map((problem) => {
  const text = model(problem);
  if (text === null) return { status: 'Optimal', value: 0, seconds: 0 };
  const start = process.hrtime.bigint();
  const { Status, ObjectiveValue } = highs.solve(text, { mip_rel_gap: 0, mip_abs_gap: 0 });
  return { status: Status, value: ObjectiveValue, seconds: Number(process.hrtime.bigint() - start) / 1e9 };
});
process.stdout.write(JSON.stringify(answers));
