/** Every sentence and word of the pages, in English, a file a place. Another language is another folder of this shape. */
import app from './en/app.json';
import book from './en/book.json';
import floorClass from './en/class.json';
import log from './en/log.json';
import outbox from './en/outbox.json';
import stop from './en/stop.json';
import watch from './en/watch.json';
import boxes from './en/boxes.json';
import cards from './en/cards.json';
import care from './en/care.json';
import difference from './en/difference.json';
import entry from './en/entry.json';
import files from './en/files.json';
import floor from './en/floor.json';
import forms from './en/forms.json';
import groups from './en/groups.json';
import keys from './en/keys.json';
import lessons from './en/lessons.json';
import letters from './en/letters.json';
import kind from './en/kind.json';
import meeting from './en/meeting.json';
import mine from './en/mine.json';
import places from './en/places.json';
import keeping from './en/keeping.json';
import keepingSeen from './en/keepingSeen.json';
import plan from './en/plan.json';
import practice from './en/practice.json';
import principles from './en/principles.json';
import recall from './en/recall.json';
import school from './en/school.json';
import score from './en/score.json';
import students from './en/students.json';
import support from './en/support.json';
import supportSeen from './en/supportSeen.json';
import terms from './en/terms.json';
import time from './en/time.json';
import today from './en/today.json';
import told from './en/told.json';
import versions from './en/versions.json';

export const en = {
  app,
  book,
  class: floorClass,
  log,
  outbox,
  stop,
  watch,
  boxes,
  cards,
  care,
  difference,
  entry,
  files,
  floor,
  forms,
  groups,
  keys,
  lessons,
  letters,
  kind,
  meeting,
  mine,
  places,
  keeping,
  keepingSeen,
  plan,
  practice,
  principles,
  recall,
  school,
  score,
  students,
  support,
  supportSeen,
  terms,
  time,
  today,
  told,
  versions,
};
