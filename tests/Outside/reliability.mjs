// A second computation of the scores of forecasts, written from their textbook formulas (Brier 1950; log loss as the mean
// negative log likelihood), and of the best factor by trying every one of a grid.
import { given } from './stdin.mjs';

const W20 = 0.1542;
const F = Math.pow(0.9, -1 / W20) - 1;
const recall = (age, k) => Math.pow(1 + (F * age) / k, -W20);
const predicted = ({ ages }, k) => ages.reduce((sum, age) => sum + recall(age, k), 0) / ages.length;
const loss = (p, o) => {
  const q = Math.min(Math.max(p, 1e-9), 1 - 1e-9);
  return -(o * Math.log(q) + (1 - o) * Math.log(1 - q));
};
const mean = (all, of) => all.reduce((sum, one) => sum + of(one), 0) / all.length;

process.stdout.write(
  JSON.stringify(
    given().map((tests) => {
      const logLoss = (k) => mean(tests, (one) => loss(predicted(one, k), one.observed));
      // A grid over the whole range, and a finer one about the best of it.
      let [factor, least] = [1, Infinity];
      const look = (from, to, step) => {
        for (let k = from; k <= to + 1e-12; k += step) {
          const now = logLoss(k);
          if (now < least) [factor, least] = [k, now];
        }
      };
      look(0.25, 4, 0.005);
      look(Math.max(0.25, factor - 0.005), Math.min(4, factor + 0.005), 0.0005);
      const tenths = Array.from({ length: 10 }, () => []);
      for (const one of tests) tenths[Math.min(9, Math.floor(10 * predicted(one, 1)))].push(one);
      return {
        logLoss: logLoss(1),
        brier: mean(tests, (one) => (predicted(one, 1) - one.observed) ** 2),
        factor,
        least,
        tenths: tenths.flatMap((own, tenth) =>
          own.length === 0 ? [] : [{ tenth, tests: own.length, observed: mean(own, (one) => one.observed) }],
        ),
      };
    }),
  ),
);
