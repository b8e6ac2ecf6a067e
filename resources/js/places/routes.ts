import type { ComponentType } from 'react';
import type { Part } from '../messages/en';
import { queryClient } from '../api/queryClient';
import {
  bitesQuery,
  classQuery,
  formCoursesQuery,
  formQuery,
  formsQuery,
  groupHomeQuery,
  groupPracticeQuery,
  groupPrinciplesQuery,
  groupQuery,
  groupsQuery,
  lessonQuery,
  mailboxQuery,
  meetingQuery,
  principleSetQuery,
  principleSetsQuery,
  questionsQuery,
  reliabilityQuery,
  scoreQuery,
  shownInQuery,
  startersQuery,
  studentQuery,
  studentsQuery,
  termEndQuery,
  termQuery,
  termsQuery,
  todayQuery,
  versionsQuery,
  warmUpsQuery,
  workbenchQuery,
} from '../api/queries';
import { TodayPlace } from './today/TodayPlace';

/** What a query is asked with; of what it answers, no place that leads there needs to know. */
export interface Asking {
  queryKey: readonly unknown[];
}

export interface PlaceRoute {
  path: string;
  /** The place, where it is there from the start. */
  Place?: ComponentType;
  /** Else, how it is loaded. */
  load?: () => Promise<ComponentType>;
  /** Which parts of the catalogue it says, beside what the server may refuse anywhere. */
  words: Part[];
  /** What it asks first, so that this can be asked while it is loaded. */
  asks?: (address: Record<string, string>, search: URLSearchParams) => Asking[];
}

const of = (address: Record<string, string>, name: string): string => address[name] ?? '';

/** The form of a group, where it is known already which it is: the group's own answer would name it later. */
function formOfGroup(group: string): Asking[] {
  const known = queryClient.getQueryData(groupsQuery.queryKey)?.find((one) => one.id === group);
  return known === undefined ? [] : [formQuery(known.formId)];
}

/** What a group and its people say: one program has both. */
const GROUP: Part[] = [
  'book',
  'fields',
  'groups',
  'meeting',
  'practice',
  'principles',
  'recall',
  'removing',
  'support',
  'supportSeen',
  'terms',
];

/** Every address of the application, with what it needs to be shown; what is written out goes before what stands for anything. */
export const routes: PlaceRoute[] = [
  { path: '/', Place: TodayPlace, words: [], asks: () => [todayQuery] },
  {
    path: '/forms',
    load: async () => (await import('./forms/FormsPlace')).FormsPlace,
    words: ['forms'],
    asks: () => [formsQuery],
  },
  {
    path: '/forms/new',
    load: async () => (await import('./forms/NewFormPlace')).NewFormPlace,
    words: ['fields', 'forms', 'score'],
    asks: () => [startersQuery],
  },
  {
    path: '/forms/:form',
    load: async () => (await import('./forms/FormPlace')).FormPlace,
    words: ['forms', 'lessons', 'principles', 'removing', 'score'],
    asks: (at) => [formQuery(of(at, 'form')), scoreQuery(of(at, 'form')), shownInQuery(of(at, 'form'))],
  },
  {
    path: '/forms/:form/cut',
    load: async () => (await import('./lessons/WorkbenchPlace')).WorkbenchPlace,
    words: ['forms', 'lessons'],
    asks: (at, search) => [
      formQuery(of(at, 'form'), search.get('course')),
      workbenchQuery(of(at, 'form'), search.get('course'), {}),
      formCoursesQuery(of(at, 'form')),
    ],
  },
  {
    path: '/forms/:form/lessons/:number',
    load: async () => (await import('./lessons/LessonPlace')).LessonPlace,
    words: ['fields', 'lessons'],
    asks: (at, search) => [
      formQuery(of(at, 'form'), search.get('course')),
      lessonQuery(of(at, 'form'), of(at, 'number'), search.get('course')),
    ],
  },
  {
    path: '/forms/:form/score',
    load: async () => (await import('./score/ScorePlace')).ScorePlace,
    words: ['forms', 'score'],
    asks: (at) => [scoreQuery(of(at, 'form')), formQuery(of(at, 'form'))],
  },
  {
    path: '/forms/:form/floor',
    load: async () => (await import('./run/FloorPlace')).FloorPlace,
    words: ['floor', 'forms', 'score'],
    asks: (at) => [formQuery(of(at, 'form'))],
  },
  {
    path: '/forms/:form/time',
    load: async () => (await import('./run/TimePlace')).TimePlace,
    words: ['cards', 'forms', 'time'],
    asks: (at) => [formQuery(of(at, 'form'))],
  },
  {
    path: '/forms/:form/cards',
    load: async () => (await import('./run/CardsPlace')).CardsPlace,
    words: ['cards', 'forms', 'lessons', 'time'],
    asks: (at) => [formQuery(of(at, 'form'))],
  },
  {
    path: '/forms/:form/versions',
    load: async () => (await import('./files/VersionsPlace')).VersionsPlace,
    words: ['difference', 'forms', 'versions'],
    asks: (at) => [formQuery(of(at, 'form')), versionsQuery(of(at, 'form'))],
  },
  {
    path: '/forms/:form/files',
    load: async () => (await import('./files/FilesPlace')).FilesPlace,
    words: ['fields', 'difference', 'files', 'forms', 'score'],
    asks: (at) => [formQuery(of(at, 'form'))],
  },
  {
    path: '/principles',
    load: async () => (await import('./principles/PrinciplesPlace')).PrinciplesPlace,
    words: ['fields', 'principles'],
    asks: () => [principleSetsQuery],
  },
  {
    path: '/principles/:set',
    load: async () => (await import('./principles/SetPlace')).SetPlace,
    words: ['fields', 'principles', 'removing'],
    asks: (at) => [principleSetQuery(of(at, 'set'))],
  },
  {
    path: '/principles/:set/joins',
    load: async () => (await import('./principles/JoinsPlace')).JoinsPlace,
    words: ['principles'],
    asks: (at, search) => {
      const form = search.get('form');
      return [principleSetQuery(of(at, 'set')), ...(form === null ? [] : [formQuery(form), bitesQuery(of(at, 'set'), form)])];
    },
  },
  {
    path: '/principles/:set/versions',
    load: async () => (await import('./principles/SetVersionsPlace')).SetVersionsPlace,
    words: ['principles'],
    asks: (at) => [principleSetQuery(of(at, 'set'))],
  },
  {
    path: '/terms',
    load: async () => (await import('./terms/TermsPlace')).TermsPlace,
    words: ['terms'],
    asks: () => [termsQuery],
  },
  {
    path: '/terms/new',
    load: async () => (await import('./terms/NewTermPlace')).NewTermPlace,
    words: ['fields', 'groups', 'letters', 'terms'],
    asks: () => [groupsQuery, formsQuery],
  },
  {
    path: '/terms/:term',
    load: async () => (await import('./terms/TermPlace')).TermPlace,
    words: ['book', 'fields', 'groups', 'lessons', 'letters', 'practice', 'principles', 'removing', 'terms'],
    asks: (at) => [termQuery(of(at, 'term'))],
  },
  {
    path: '/terms/:term/compare',
    load: async () => (await import('./terms/ComparePlace')).ComparePlace,
    words: ['fields', 'groups', 'terms'],
    asks: (at) => [termQuery(of(at, 'term')), questionsQuery(of(at, 'term'))],
  },
  {
    path: '/terms/:term/focus',
    load: async () => (await import('./terms/FocusPlace')).FocusPlace,
    words: ['book', 'groups', 'practice', 'principles', 'terms'],
    asks: (at) => [termQuery(of(at, 'term'))],
  },
  {
    path: '/terms/:term/wall',
    load: async () => (await import('./terms/WallPlace')).WallPlace,
    words: ['groups', 'terms'],
    asks: (at) => [termQuery(of(at, 'term'))],
  },
  {
    path: '/terms/:term/letters',
    load: async () => (await import('./letters/LettersPlace')).LettersPlace,
    words: ['fields', 'book', 'groups', 'letters', 'practice', 'principles'],
    asks: (at) => [termEndQuery(of(at, 'term'))],
  },
  {
    path: '/students',
    load: async () => (await import('./students/StudentsPlace')).StudentsPlace,
    words: ['students'],
    asks: () => [studentsQuery],
  },
  {
    path: '/students/:student',
    load: async () => (await import('./students/StudentPlace')).StudentPlace,
    words: ['fields', 'groups', 'keeping', 'practice', 'principles', 'recall', 'students', 'support', 'supportSeen'],
    asks: (at) => [studentQuery(of(at, 'student'), '')],
  },
  {
    path: '/school',
    load: async () => (await import('./school/WarmUpsPlace')).WarmUpsPlace,
    words: ['fields', 'school'],
    asks: () => [warmUpsQuery],
  },
  {
    path: '/school/forecast',
    load: async () => (await import('./school/ReliabilityPlace')).ReliabilityPlace,
    words: ['school'],
    asks: () => [reliabilityQuery],
  },
  {
    path: '/school/details',
    load: async () => (await import('./school/DetailsPlace')).DetailsPlace,
    words: ['fields', 'school'],
  },
  {
    path: '/school/mailbox',
    load: async () => (await import('./school/MailboxPlace')).MailboxPlace,
    words: ['school'],
    asks: () => [mailboxQuery],
  },
  {
    path: '/groups',
    load: async () => (await import('./groups/GroupsPlace')).GroupsPlace,
    words: ['fields', 'forms', 'groups'],
    asks: () => [groupsQuery, formsQuery],
  },
  {
    path: '/groups/:group',
    load: async () => (await import('./groups/GroupPlace')).GroupPlace,
    words: GROUP,
    asks: (at) => [groupQuery(of(at, 'group'), ''), ...formOfGroup(of(at, 'group'))],
  },
  {
    path: '/groups/:group/principles',
    load: async () => (await import('./groups/GroupPrinciplesPlace')).GroupPrinciplesPlace,
    words: ['book', 'fields', 'groups', 'keeping', 'keepingSeen', 'meeting', 'practice', 'principles', 'recall'],
    asks: (at) => [groupPrinciplesQuery(of(at, 'group'), ''), groupQuery(of(at, 'group'), ''), principleSetsQuery],
  },
  {
    path: '/groups/:group/people',
    load: async () => (await import('./groups/GroupPlace')).GroupPeoplePlace,
    words: GROUP,
    asks: (at) => [groupQuery(of(at, 'group'), '')],
  },
  {
    path: '/groups/:group/book',
    load: async () => (await import('./groups/BookPlace')).BookPlace,
    words: ['book', 'groups', 'log', 'practice', 'principles'],
    asks: (at) => [groupQuery(of(at, 'group'), '')],
  },
  {
    path: '/groups/:group/practice',
    load: async () => (await import('./practice/PracticePlace')).PracticePlace,
    words: ['fields', 'book', 'groups', 'practice', 'principles'],
    asks: (at) => [groupsQuery, groupPracticeQuery(of(at, 'group')), groupHomeQuery(of(at, 'group'))],
  },
  {
    path: '/groups/:group/terms',
    load: async () => (await import('./groups/GroupTermsPlace')).GroupTermsPlace,
    words: ['book', 'groups', 'practice', 'principles', 'terms'],
    asks: (at) => [groupQuery(of(at, 'group'), ''), termsQuery],
  },
  {
    path: '/meetings/:meeting',
    load: async () => (await import('./meeting/MeetingPlace')).MeetingPlace,
    words: [
      'class',
      'keeping',
      'keepingSeen',
      'lessons',
      'log',
      'meeting',
      'principles',
      'recall',
      'stop',
      'students',
      'support',
      'supportSeen',
      'terms',
      'watch',
    ],
    asks: (at) => [meetingQuery(of(at, 'meeting')), classQuery(of(at, 'meeting'))],
  },
  {
    path: '/meetings/:meeting/floor',
    load: async () => (await import('./class/ClassPlace')).ClassPlace,
    words: [
      'class',
      'keeping',
      'keepingSeen',
      'lessons',
      'log',
      'meeting',
      'principles',
      'recall',
      'stop',
      'support',
      'supportSeen',
      'terms',
      'watch',
    ],
    asks: (at) => [meetingQuery(of(at, 'meeting')), classQuery(of(at, 'meeting'))],
  },
  {
    path: '/meetings/:meeting/log',
    load: async () => (await import('./log/LogPlace')).LogPlace,
    words: ['log', 'meeting'],
    asks: (at) => [meetingQuery(of(at, 'meeting'))],
  },
  {
    path: '/meetings/:meeting/sheet',
    load: async () => (await import('./meeting/SheetPlace')).SheetPlace,
    words: ['meeting', 'terms'],
    asks: (at) => [meetingQuery(of(at, 'meeting'))],
  },
  {
    path: '/waiting',
    load: async () => (await import('./outbox/OutboxPlace')).OutboxPlace,
    words: ['log', 'support', 'waiting'],
  },
];
