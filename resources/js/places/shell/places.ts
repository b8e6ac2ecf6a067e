import { BookOpenText, Compass, House, Sun, UserRound, UsersRound } from 'lucide-react';

/** On a narrow screen the bar has room for four; the others stand behind More. */
export const places = [
  { to: '/', key: 'today', Icon: Sun, isMore: false },
  { to: '/forms', key: 'forms', Icon: BookOpenText, isMore: false },
  { to: '/principles', key: 'principles', Icon: Compass, isMore: true },
  // A group holds its terms, and they their meetings.
  { to: '/groups', key: 'groups', Icon: UsersRound, isMore: false, holds: ['/terms/', '/meetings/'] },
  { to: '/students', key: 'students', Icon: UserRound, isMore: false },
  { to: '/school', key: 'school', Icon: House, isMore: true },
] as const;
