// Unrolls the events of iCalendar files with ical.js, within some days; an end is the first day that is no longer part of it.
import ICAL from 'ical.js';
import { given } from './stdin.mjs';

const dayOf = (time) => time.toString().slice(0, 10);

const answers = given().map(({ text, from, to }) => {
  const calendar = new ICAL.Component(ICAL.parse(text));
  const days = [];
  for (const component of calendar.getAllSubcomponents('vevent')) {
    const event = new ICAL.Event(component);
    const iterator = event.iterator();
    for (let turn = 0, next = iterator.next(); next && turn < 4000 && dayOf(next) <= to; turn++, next = iterator.next()) {
      const end = next.clone();
      end.addDuration(event.duration);
      if (event.duration.toSeconds() > 0) end.addDuration(ICAL.Duration.fromSeconds(next.isDate ? -86400 : -1));
      const [first, last] = [dayOf(next), dayOf(end) < dayOf(next) ? dayOf(next) : dayOf(end)];
      if (last >= from && first <= to) days.push([first < from ? from : first, last > to ? to : last]);
    }
  }
  return days.sort((a, b) => (a[0] + a[1]).localeCompare(b[0] + b[1]));
});
process.stdout.write(JSON.stringify(answers));
