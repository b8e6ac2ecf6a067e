import { queryOptions } from '@tanstack/react-query';
import { opened, withStudents } from './cells';
import { api, ask, type TermSummary } from './client';
import { keys } from './keys';

export const sessionQuery = queryOptions({
  queryKey: keys.session(),
  queryFn: () => ask(api.GET('/api/session')),
  staleTime: 60_000,
});
/** How soon a plan that is being made again is looked at again, in milliseconds. */
const AGAIN = 2000;
const isBeingMade = (...terms: (TermSummary | undefined)[]): number | false =>
  terms.some((term) => term?.isBeingPlanned === true) ? AGAIN : false;

export const todayQuery = queryOptions({
  queryKey: keys.today(),
  queryFn: () => ask(api.GET('/api/today')),
  refetchInterval: ({ state }) => isBeingMade(...(state.data?.meetings.map((meeting) => meeting.term) ?? [])),
});
export const formsQuery = queryOptions({ queryKey: keys.forms(), queryFn: () => ask(api.GET('/api/forms')) });
export const principleSetsQuery = queryOptions({
  queryKey: keys.principleSets(),
  queryFn: () => ask(api.GET('/api/principle-sets')),
});
export const principleSetQuery = (principleSet: string) =>
  queryOptions({
    queryKey: keys.principleSet(principleSet),
    queryFn: () => ask(api.GET('/api/principle-sets/{principleSet}', { params: { path: { principleSet } } })),
  });
export const bitesQuery = (principleSet: string, form: string) =>
  queryOptions({
    queryKey: keys.bites(principleSet, form),
    queryFn: () => ask(api.GET('/api/principle-sets/{principleSet}/forms/{form}', { params: { path: { principleSet, form } } })),
  });
/** What principles the entries of a form show. */
export const shownInQuery = (form: string) =>
  queryOptions({
    queryKey: keys.shownIn(form),
    queryFn: () => ask(api.GET('/api/forms/{form}/principles', { params: { path: { form } } })),
  });
export const studentsQuery = queryOptions({ queryKey: keys.students(), queryFn: () => ask(api.GET('/api/students')) });
export const studentQuery = (student: string, on: string) =>
  queryOptions({
    queryKey: keys.student(student, on),
    queryFn: async () => {
      const page = await ask(api.GET('/api/students/{student}', { params: { path: { student }, query: on ? { on } : {} } }));
      return { ...page, forms: page.forms.map((form) => ({ ...form, standing: opened(form.standing) })) };
    },
  });
export const warmUpsQuery = queryOptions({ queryKey: keys.warmUps(), queryFn: () => ask(api.GET('/api/school/warm-ups')) });
/** Whether the forecasts were true. */
export const reliabilityQuery = queryOptions({
  queryKey: keys.reliability(),
  queryFn: () => ask(api.GET('/api/school/forecast')),
  staleTime: 0,
  refetchInterval: ({ state }) => (state.data?.isBeingMeasured === true ? AGAIN : false),
});
/** Where everyone in a group stands in its principles. */
export const groupPrinciplesQuery = (group: string, on: string) =>
  queryOptions({
    queryKey: keys.groupPrinciples(group, on),
    queryFn: () => ask(api.GET('/api/groups/{group}/principles', { params: { path: { group }, query: on ? { on } : {} } })),
  });
export const groupsQuery = queryOptions({ queryKey: keys.groups(), queryFn: () => ask(api.GET('/api/groups')) });
export const termsQuery = queryOptions({ queryKey: keys.terms(), queryFn: () => ask(api.GET('/api/terms')) });
/** A form; where it is taught as a course, as that course cuts it. */
export const formQuery = (form: string, course: string | null = null) =>
  queryOptions({
    queryKey: keys.form(form, course),
    queryFn: () => ask(api.GET('/api/forms/{form}', { params: { path: { form }, query: course === null ? {} : { course } } })),
  });
const ofCourse = (course: string | null) => (course === null ? {} : { course });
/** Who learns a form in which term. */
export const formCoursesQuery = (form: string) =>
  queryOptions({
    queryKey: keys.formCourses(form),
    queryFn: () => ask(api.GET('/api/forms/{form}/courses', { params: { path: { form } } })),
  });
export const lessonQuery = (form: string, number: string, course: string | null) =>
  queryOptions({
    queryKey: keys.lesson(form, number, course),
    queryFn: () =>
      ask(api.GET('/api/forms/{form}/lessons/{number}', { params: { path: { form, number }, query: ofCourse(course) } })),
  });
/** What the size of lessons is tried as; what is not said is left out. */
export interface TriedSize {
  load?: number;
  count?: number;
  minutes?: number;
  minutesPerLoad?: number;
  movements?: number;
  lambda?: number;
}
export const sizeAsked = (course: string | null, size: TriedSize) => ({ ...ofCourse(course), ...size });
/** The lessons as they are and as they would be. */
export const workbenchQuery = (form: string, course: string | null, size: TriedSize) =>
  queryOptions({
    queryKey: keys.workbench(form, course, size),
    queryFn: () => ask(api.GET('/api/forms/{form}/workbench', { params: { path: { form }, query: sizeAsked(course, size) } })),
    placeholderData: (before) => before,
  });
export const scoreQuery = (form: string) =>
  queryOptions({
    queryKey: keys.score(form),
    queryFn: () => ask(api.GET('/api/forms/{form}/score', { params: { path: { form } } })),
  });
export const versionsQuery = (form: string) =>
  queryOptions({
    queryKey: keys.versions(form),
    queryFn: () => ask(api.GET('/api/forms/{form}/versions', { params: { path: { form } } })),
    staleTime: 0,
  });
export const startersQuery = queryOptions({
  queryKey: keys.starters(),
  queryFn: () => ask(api.GET('/api/starters')),
  staleTime: Infinity,
});
export const termQuery = (term: string) =>
  queryOptions({
    queryKey: keys.term(term),
    queryFn: () => ask(api.GET('/api/terms/{term}', { params: { path: { term } } })),
    refetchInterval: ({ state }) => isBeingMade(state.data?.term),
  });
/** What was asked about a plan; looked at again while an answer is being worked out. */
export const questionsQuery = (term: string) =>
  queryOptions({
    queryKey: keys.questions(term),
    queryFn: () => ask(api.GET('/api/terms/{term}/questions', { params: { path: { term } } })),
    refetchInterval: ({ state }) =>
      state.data?.some((one) => one.state === 'waiting' || one.state === 'running') ? 1000 : false,
  });
export const groupQuery = (group: string, on: string) =>
  queryOptions({
    queryKey: keys.group(group, on),
    queryFn: async () =>
      withStudents(await ask(api.GET('/api/groups/{group}', { params: { path: { group }, query: on ? { on } : {} } }))),
  });
export const meetingQuery = (meeting: string) =>
  queryOptions({
    queryKey: keys.meeting(meeting),
    queryFn: async () => withStudents(await ask(api.GET('/api/meetings/{meeting}', { params: { path: { meeting } } }))),
    refetchInterval: ({ state }) => isBeingMade(state.data?.term),
  });

/** What a device needs to run a class: cues, whom to look at, where to stop. */
export const classQuery = (meeting: string) =>
  queryOptions({
    queryKey: keys.class(meeting),
    queryFn: async () => {
      const tonight = await ask(api.GET('/api/meetings/{meeting}/class', { params: { path: { meeting } } }));
      return { ...tonight, stood: tonight.stood.map(opened) };
    },
    // It rests on the plan and on everyone's marks: it is asked for anew whenever a class is opened.
    staleTime: 0,
  });

/** What everyone in a group takes home from the last class. */
export const groupPracticeQuery = (group: string) =>
  queryOptions({
    queryKey: keys.groupPractice(group),
    queryFn: () => ask(api.GET('/api/groups/{group}/practice', { params: { path: { group } } })),
  });
/** What came back from the homes of a group lately. */
export const groupHomeQuery = (group: string) =>
  queryOptions({
    queryKey: keys.groupHome(group),
    queryFn: () => ask(api.GET('/api/groups/{group}/home', { params: { path: { group } } })),
    // It comes from elsewhere at any time: it is asked for anew whenever it is looked at.
    staleTime: 0,
  });

/** What was sent by the mail of this installation. */
export const mailboxQuery = queryOptions({ queryKey: keys.mailbox(), queryFn: () => ask(api.GET('/api/mails')), staleTime: 0 });
/** What a term came to, and the letters about it. */
export const termEndQuery = (term: string) =>
  queryOptions({
    queryKey: keys.termEnd(term),
    queryFn: () => ask(api.GET('/api/terms/{term}/end', { params: { path: { term } } })),
    // It rests on everything that was marked and logged.
    staleTime: 0,
  });

/** What is called so, or is on that day. */
export const findQuery = (find: string, on: string | null) =>
  queryOptions({
    queryKey: keys.find(find, on),
    queryFn: ({ signal }) => ask(api.GET('/api/find', { params: { query: on === null ? { find } : { find, on } }, signal })),
  });
export const changesQuery = (term: string) =>
  queryOptions({
    queryKey: keys.changes(term),
    queryFn: () => ask(api.GET('/api/terms/{term}/changes', { params: { path: { term } } })),
  });
