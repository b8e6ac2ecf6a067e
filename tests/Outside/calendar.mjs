// Reads iCalendar files with ical.js: what each event says, by its instants.
import ICAL from 'ical.js';
import { given } from './stdin.mjs';

const answers = given().map((text) => {
  const calendar = new ICAL.Component(ICAL.parse(text));
  return {
    version: calendar.getFirstPropertyValue('version'),
    events: calendar.getAllSubcomponents('vevent').map((component) => {
      const event = new ICAL.Event(component);
      const value = (name) => component.getFirstPropertyValue(name);
      return {
        uid: event.uid,
        sequence: event.sequence,
        starts: Math.round(event.startDate.toJSDate().getTime() / 1000),
        ends: Math.round(event.endDate.toJSDate().getTime() / 1000),
        summary: event.summary,
        description: event.description ?? '',
        location: event.location ?? '',
        status: value('status'),
      };
    }),
  };
});
process.stdout.write(JSON.stringify(answers));
