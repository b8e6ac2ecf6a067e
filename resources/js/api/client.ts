import createClient from 'openapi-fetch';
import { t, words } from '../messages';
import { type Said, sentence } from '../messages/say';
import type { Opened, Student, WithStudents } from './cells';
import { hear } from './clock';
import type { components, paths } from './schema';

export type Schemas = components['schemas'];
export type Session = Schemas['SessionData'];
export type Form = Schemas['FormData'];
/** What names its form, with the form itself, which is asked for apart. */
export type WithForm<T extends { form: Schemas['FormRefData'] }> = Omit<T, 'form'> & { form: Form };
export type ImportPreview = Schemas['ImportPreviewData'];
export type Workbench = Schemas['WorkbenchData'];
export type Cut = Schemas['CutData'];
export type Prices = Schemas['PricesData'];
export type HomeWeek = Schemas['HomeWeekData'];
export type StudentSheet = Schemas['StudentSheetData'];
export type SheetPassage = Schemas['SheetPassageData'];
export type HomeFocus = Schemas['HomeFocusData'];
export type HomeNotes = Schemas['HomeNotesData'];
export type StudentHome = Schemas['StudentHomeData'];
export type MadeLink = Schemas['MadeLinkData'];
export type Mine = Schemas['MineData'];
export type MinePassage = Schemas['MinePassageData'];
export type LessonPage = Schemas['LessonPageData'];
export type LessonRow = Schemas['LessonRow'];
export type FormPreview = Schemas['FormPreviewData'];
export type Entry = Schemas['EntryData'];
export type Join = Schemas['JoinData'];
export type Lesson = Schemas['LessonData'];
export type Passage = Schemas['PassageData'];
export type Meeting = Schemas['MeetingRow'];
export type Tick = Schemas['TickData'];
export type MeetingPage = WithStudents<Schemas['MeetingData']>;
export type Attendance = Schemas['AttendanceData'];
/** What is said of who is here; minutes after the start. */
export type AttendanceNote = Pick<Attendance, 'isHere' | 'isCareful' | 'late' | 'left'>;
export type ClassPage = Omit<Schemas['ClassData'], 'stood'> & { stood: Opened<Schemas['StoodData']>[] };
export type Watch = Schemas['WatchData'];
export type Stop = Schemas['StopData'];
export type Book = Schemas['BookData'];
export type BookClass = Schemas['BookRow'];
export type Today = Schemas['TodayData'];
/** One thing that was done in a class, as `gorvan.log/1` says it. */
export type Doing = Schemas['Doing'];
/** What a class did hold, `gorvan.log/1`. */
export type ClassLog = Schemas['ClassLog'];
export type Principle = Schemas['PrincipleData'];
export type PrincipleSet = Schemas['PrincipleSetData'];
export type Bites = Schemas['BitesData'];
export type Focus = Schemas['FocusData'];
export type StudentRow = Schemas['StudentRow'];
export type StudentLine = Schemas['StudentInGroup'];
type StudentFormAnswer = Omit<Schemas['StudentFormData'], 'standing'> & { standing: Student };
export type StudentPage = Omit<Schemas['StudentPageData'], 'forms'> & { forms: StudentFormAnswer[] };
export type StudentForm = WithForm<StudentFormAnswer>;
export type LinePoint = Schemas['LinePointData'];
export type RecallCurve = Schemas['RecallCurveData'];
export type Shown = Schemas['ShownPrincipleData'];
export type GroupPrinciples = Schemas['GroupPrinciplesData'];
export type GroupKeepings = Schemas['GroupKeepingsData'];
export type KeepingCell = Schemas['KeepingData'];
export type Readiness = Schemas['NotReadyData'];
export type StudentCare = Schemas['StudentCareData'];
export type CareNeed = Schemas['CareNeedData'];
export type Consideration = Schemas['ConsiderationData'];
export type WarmUps = Schemas['TonightWarmUps'];
export type WarmUp = Schemas['WarmUpData'];
export type WarmUpList = Schemas['WarmUpListData'];
export type Reliability = Schemas['ReliabilityData'];
export type ReliabilityPage = Schemas['ReliabilityPage'];
export type TonightPage = Schemas['TonightData'];
/** A term as the server answers it, its courses naming their forms. */
export type TermAnswer = Schemas['TermData'];
export type Term = Omit<TermAnswer, 'courses'> & { courses: Course[] };
export type TermSummary = Schemas['TermSummary'];
export type NewTerm = Omit<Schemas['NewTerm'], 'showing'> & { showing?: NonNullable<Schemas['NewTerm']['showing']> };
export type NextTerm = Schemas['NextTermData'];
export type Course = WithForm<Schemas['CourseData']>;
export type MeetingCourse = Schemas['MeetingCourse'];
export type Review = Schemas['ReviewData'];
export type Forecast = Schemas['ForecastData'];
export type Change = Schemas['ChangeData'];
export type ChangePreview = Schemas['ChangePreviewData'];
export type Question = Schemas['QuestionData'];
export type Closure = Schemas['ClosureData'];
/** A group as the server answers it, naming its form. */
export type GroupAnswer = WithStudents<Schemas['GroupData']>;
export type Group = WithForm<GroupAnswer>;
export type { Cell, Student } from './cells';
export type Score = Schemas['ScoreData'];
/** A form after a change: as the editor has it, and as it is cut now. */
export type Edited = Schemas['EditedData'];
export type Finding = Schemas['FindingData'];
export type Audit = Schemas['AuditData'];
/** What would go with something that is taken away. */
export type Removal = Schemas['RemovalData'];
export type Version = Schemas['VersionData'];
export type Difference = Schemas['DifferenceData'];
export type Floor = Schemas['FloorData'];
export type Times = Schemas['TimesData'];
export type Stretch = Schemas['StretchTimes'];
export type Beat = Schemas['BeatData'];
export type CueCard = Schemas['CueCardData'];
export type Kinship = Schemas['KinshipData'];
export type Mark = Schemas['MarkData'];
export type Mail = Schemas['MailData'];
export type Letter = Schemas['LetterData'];
export type TermEnd = Schemas['TermEndData'];
export type TermEndStudent = Schemas['TermEndStudent'];
export type TermEndCourse = Schemas['TermEndCourse'];
export type PartnerDrill = Schemas['PartnerData'];

/** A name that was given and is there already: who bears it. */
export interface Known {
  name: string;
  students: { id: string; groups: string[] }[];
}

/** What the server says is wrong: a sentence, and the place it is about when there is one. */
export class Problem extends Error {
  constructor(
    message: string,
    readonly status: number,
    readonly place: string,
    readonly fields: Record<string, string[]> = {},
    readonly problems: string[] = [],
    /** Names that are there already, and whose they are. */
    readonly known: Known[] = [],
    /** What it is called among programs. */
    readonly code: string = '',
  ) {
    super(message);
  }
}

/** The network did not answer; nothing is known to have arrived. */
export class Unreachable extends Error {}

/** Whether it was not refused for what it is: without a network, signed out, asked too often or a server in trouble, it may be sent again. */
export function isPassing(error: unknown): boolean {
  return !(error instanceof Problem) || error.status >= 500 || [401, 419, 429].includes(error.status);
}

/** So long what is not there, or not allowed, is asked again; milliseconds. */
export const PATIENCE_MS = 24 * 3_600_000;

/**
 * What was there and allowed when it was done may be there again: a server that lost its database for a moment, a right given
 * back. Since when it is asked, ms since 1970; null where it was refused for what it is, or has been asked long enough.
 */
export function askedSince(error: unknown, since: number | undefined, now: number): number | null {
  if (!(error instanceof Problem) || (error.status !== 404 && error.status !== 403)) return null;
  const first = Math.min(since ?? now, now);
  return now - first < PATIENCE_MS ? first : null;
}

/** The session's token was lost or is an old one; the server gives a new one to whoever asks. */
const STALE = 419;

/** Sends a request with the session's token, and once more with a new one where the token was stale. */
async function withToken(request: Request): Promise<Response> {
  const marked = (one: Request): Request => {
    const token = /(?:^|; )XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1];
    if (token) one.headers.set('X-XSRF-TOKEN', decodeURIComponent(token));
    return one;
  };
  const again = request.clone();
  const response = await fetch(marked(request));
  hear(response);
  if (response.status !== STALE) return response;
  await fetch('/sanctum/csrf-cookie');
  return fetch(marked(again));
}

export const api = createClient<paths>({
  baseUrl: window.location.origin,
  headers: { Accept: 'application/json' },
  fetch: withToken,
});

api.use({
  onError() {
    return new Unreachable();
  },
});

type Answer<T> = { data?: T; error?: unknown; response: Response };

const list = (value: unknown): unknown[] => (Array.isArray(value) ? value : []);

/** What a server that refused something says of it, in words: those are fetched when they are needed first. */
async function asProblem(error: unknown, status: number): Promise<Problem> {
  await words('told').catch(() => undefined);
  const told = typeof error === 'object' && error !== null ? (error as Record<string, unknown>) : {};
  const said = (all: unknown): string[] => list(all).map((one) => sentence(one as Said));
  return new Problem(
    typeof told.code === 'string'
      ? sentence({ code: told.code, with: (told.with ?? {}) as Said['with'] })
      : t('app.answered', { status }),
    status,
    typeof told.place === 'string' ? told.place : '',
    Object.fromEntries(Object.entries(told.fields ?? {}).map(([field, all]) => [field, said(all)])),
    said(told.problems),
    list(told.known) as Known[],
    typeof told.code === 'string' ? told.code : '',
  );
}

/** The data of an answer, or the problem it tells, thrown. */
export async function ask<T>(answer: Promise<Answer<T>>): Promise<T> {
  const { data, error, response } = await answer;
  if (!response.ok) throw await asProblem(error, response.status);
  return data as T;
}

/** Says whose command it is: a device where somebody else has signed in meanwhile must not send it as theirs. */
const PERSON = 'X-Gorvan-Person';

/**
 * Sends prepared JSON, for requests that are kept until they arrive.
 *
 * @throws Unreachable where nothing is known to have arrived, also after `timeout` milliseconds
 */
export async function send(
  method: string,
  url: string,
  body: unknown,
  { person, timeout }: { person: string; timeout: number },
): Promise<unknown> {
  let failed: Problem | undefined;
  let response: Response;
  try {
    response = await withToken(
      new Request(new URL(url, window.location.origin), {
        method,
        headers: { Accept: 'application/json', 'Content-Type': 'application/json', [PERSON]: person },
        body: JSON.stringify(body),
        signal: AbortSignal.timeout(timeout),
      }),
    );
    if (response.status === 204) return null;
    const told: unknown = await response.json();
    if (response.ok) return told;
    failed = await asProblem(told, response.status);
  } catch {
    throw new Unreachable();
  }
  throw failed;
}
