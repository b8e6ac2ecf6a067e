// Replays histories with ts-fsrs 5.4.2, the open reference of FSRS-6, at its defaults. Evidence between remembered and
// not is mixed in ln S as the design says; everything else is the reference's own next_state and forgetting_curve.
import { FSRSAlgorithm, generatorParameters } from 'ts-fsrs';
import { given } from './stdin.mjs';

const algorithm = new FSRSAlgorithm(generatorParameters());
const EVIDENCE = {
  Following: { grade: 1, first: 0, later: 0 },
  Cued: { grade: 2, first: 0.5, later: 0.5 },
  Alone: { grade: 3, first: 1, later: 1 },
  Flowing: { grade: 4, first: 1, later: 1 },
  Leading: { grade: 4, first: 1, later: 1 },
  taught: { grade: 2, first: 0.5, later: null },
  practice: { grade: 2, first: 0, later: null },
};
const mix = (share, a, b) => (share === 1 ? a : share === 0 ? b : Math.exp(share * Math.log(a) + (1 - share) * Math.log(b)));

function step(state, days, seen) {
  const { grade, first, later } = EVIDENCE[seen];
  if (state === null) {
    const [good, bad] = [algorithm.next_state(null, 0, grade), algorithm.next_state(null, 0, 1)];
    return { stability: mix(first, good.stability, bad.stability), difficulty: first > 0 ? good.difficulty : bad.difficulty };
  }
  const recall = algorithm.forgetting_curve(days, state.stability);
  const [good, bad] = [algorithm.next_state(state, days, grade), algorithm.next_state(state, days, 1)];
  const share = later ?? recall;
  return {
    stability: mix(share, good.stability, bad.stability),
    difficulty: later === null ? state.difficulty : good.difficulty,
  };
}

const answers = given().map((history) => {
  let state = null;
  return history.map(({ days, seen, ahead }) => {
    state = step(state, days, seen);
    return { ...state, recall: algorithm.forgetting_curve(ahead, state.stability) };
  });
});
process.stdout.write(JSON.stringify(answers));
