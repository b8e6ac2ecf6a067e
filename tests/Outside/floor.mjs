// Walks turns and steps with the affine transformations of transformation-matrix.
import { applyToPoint, compose, identity, rotateDEG, translate } from 'transformation-matrix';
import { given } from './stdin.mjs';

const answers = given().map((entries) => {
  let frame = identity();
  const places = [];
  for (const { travel, turn } of entries) {
    // y runs forward, so that a clockwise turn is a negative rotation.
    frame = compose(frame, translate(travel[1], travel[0]), rotateDEG(-turn));
    places.push(applyToPoint(frame, [0, 0]));
  }
  return places;
});
process.stdout.write(JSON.stringify(answers));
