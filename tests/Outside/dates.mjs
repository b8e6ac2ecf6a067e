// The meetings of terms by rrule (recurrences of local days) and luxon (zones), both from npm. Where a local time
// exists twice the first is taken, where it does not exist luxon moves it forward by the gap: RFC 5545, 3.3.5.
import { DateTime } from 'luxon';
import rrule from 'rrule';
import { given } from './stdin.mjs';

const { RRule, RRuleSet } = rrule;
const WEEKDAYS = { Mon: RRule.MO, Tue: RRule.TU, Wed: RRule.WE, Thu: RRule.TH, Fri: RRule.FR, Sat: RRule.SA, Sun: RRule.SU };
const utc = (day, at = '00:00') => new Date(`${day}T${at}:00Z`);

const answers = given().map(({ from, to, timezone, pattern, closures }) => {
  const meetings = pattern.flatMap(({ weekday, at, minutes }) => {
    const set = new RRuleSet();
    const options = { freq: RRule.WEEKLY, byweekday: [WEEKDAYS[weekday]], dtstart: utc(from, at), until: utc(to, '23:59') };
    set.rrule(new RRule(options));
    for (const closure of closures)
      set.exrule(new RRule({ freq: RRule.DAILY, dtstart: utc(closure.from, at), until: utc(closure.to, '23:59') }));
    return set.all().map((local) => {
      const naive = {
        year: local.getUTCFullYear(),
        month: local.getUTCMonth() + 1,
        day: local.getUTCDate(),
        hour: local.getUTCHours(),
        minute: local.getUTCMinutes(),
      };
      const [first] = DateTime.fromObject(naive, { zone: timezone })
        .getPossibleOffsets()
        .sort((a, b) => a.toMillis() - b.toMillis());
      return { on: local.toISOString().slice(0, 10), instant: first.toMillis() / 1000, minutes };
    });
  });
  return meetings.sort((a, b) => a.instant - b.instant);
});
process.stdout.write(JSON.stringify(answers));
