/** Every sentence and word of the pages, in English, a file a place. Another language is another folder of this shape. */
import book from './en/book.json';
import cards from './en/cards.json';
import floorClass from './en/class.json';
import difference from './en/difference.json';
import entry from './en/entry.json';
import fields from './en/fields.json';
import files from './en/files.json';
import find from './en/find.json';
import floor from './en/floor.json';
import forms from './en/forms.json';
import groups from './en/groups.json';
import keeping from './en/keeping.json';
import keepingSeen from './en/keepingSeen.json';
import keys from './en/keys.json';
import lessons from './en/lessons.json';
import letters from './en/letters.json';
import log from './en/log.json';
import meeting from './en/meeting.json';
import mine from './en/mine.json';
import practice from './en/practice.json';
import principles from './en/principles.json';
import recall from './en/recall.json';
import removing from './en/removing.json';
import school from './en/school.json';
import score from './en/score.json';
import signOut from './en/signOut.json';
import stop from './en/stop.json';
import waiting from './en/waiting.json';
import students from './en/students.json';
import support from './en/support.json';
import supportSeen from './en/supportSeen.json';
import terms from './en/terms.json';
import time from './en/time.json';
import versions from './en/versions.json';
import watch from './en/watch.json';
import { first } from './en/first';
import told from './en/told.json';

/** What is loaded with the places that say it. */
const later = {
  book,
  cards,
  class: floorClass,
  difference,
  entry,
  fields,
  files,
  find,
  floor,
  forms,
  groups,
  keeping,
  keepingSeen,
  keys,
  lessons,
  letters,
  log,
  meeting,
  mine,
  practice,
  principles,
  recall,
  removing,
  school,
  score,
  signOut,
  stop,
  waiting,
  students,
  support,
  supportSeen,
  terms,
  time,
  versions,
  watch,
};

export const en = { ...first, ...later, told: { ...first.told, ...told } };
/** A part of the catalogue that is loaded when a place is opened. `told` is what the server says by code. */
export type Part = keyof typeof later | 'told';
