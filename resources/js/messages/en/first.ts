/** The words that the shell and Today need: they are there before the first page is drawn. */
import app from './first/app.json';
import boxes from './first/boxes.json';
import care from './first/care.json';
import focus from './first/focus.json';
import fromHome from './first/fromHome.json';
import kind from './first/kind.json';
import outbox from './first/outbox.json';
import places from './first/places.json';
import plan from './first/plan.json';
import ribbon from './first/ribbon.json';
import season from './first/season.json';
import side from './first/side.json';
import today from './first/today.json';
import told from './first/told.json';
import warmUps from './first/warmUps.json';
import whyReview from './first/whyReview.json';

export const first = {
  app,
  boxes,
  care,
  focus,
  fromHome,
  kind,
  outbox,
  places,
  plan,
  ribbon,
  season,
  side,
  today,
  told,
  warmUps,
  whyReview,
};
