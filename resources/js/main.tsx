import { QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, RouterProvider } from 'react-router';
import './messages';
import { keepAnswers, restoreAnswers } from './api/kept';
import { queryClient } from './api/queries';
import { startWorker } from './api/worker';
import { Toasts } from './kit/toasts';
import { applyTheme } from './kit/theme';
import { Broken } from './places/Broken';
import { Shell } from './places/Shell';
import { FilesPlace } from './places/files/FilesPlace';
import { VersionsPlace } from './places/files/VersionsPlace';
import { FormPlace } from './places/forms/FormPlace';
import { FormsPlace } from './places/forms/FormsPlace';
import { NewFormPlace } from './places/forms/NewFormPlace';
import { GroupPeoplePlace, GroupPlace } from './places/groups/GroupPlace';
import { GroupsPlace } from './places/groups/GroupsPlace';
import { ClassPlace } from './places/class/ClassPlace';
import { LogPlace } from './places/log/LogPlace';
import { MeetingPlace } from './places/meeting/MeetingPlace';
import { OutboxPlace } from './places/outbox/OutboxPlace';
import { NotFound } from './places/NotFound';
import { CardsPlace } from './places/run/CardsPlace';
import { FloorPlace } from './places/run/FloorPlace';
import { TimePlace } from './places/run/TimePlace';
import { ScorePlace } from './places/score/ScorePlace';
import { NewTermPlace } from './places/terms/NewTermPlace';
import { TermsPlace } from './places/terms/TermsPlace';
import { TodayPlace } from './places/today/TodayPlace';

applyTheme();

const router = createBrowserRouter([
  {
    path: '/',
    Component: Shell,
    ErrorBoundary: Broken,
    children: [
      { index: true, Component: TodayPlace },
      { path: 'forms', Component: FormsPlace },
      { path: 'forms/new', Component: NewFormPlace },
      { path: 'forms/:form', Component: FormPlace },
      {
        path: 'forms/:form/cut',
        lazy: async () => ({ Component: (await import('./places/lessons/WorkbenchPlace')).WorkbenchPlace }),
      },
      {
        path: 'forms/:form/lessons/:number',
        lazy: async () => ({ Component: (await import('./places/lessons/LessonPlace')).LessonPlace }),
      },
      { path: 'forms/:form/score', Component: ScorePlace },
      { path: 'forms/:form/floor', Component: FloorPlace },
      { path: 'forms/:form/time', Component: TimePlace },
      { path: 'forms/:form/cards', Component: CardsPlace },
      { path: 'forms/:form/versions', Component: VersionsPlace },
      { path: 'forms/:form/files', Component: FilesPlace },
      {
        path: 'principles',
        lazy: async () => ({ Component: (await import('./places/principles/PrinciplesPlace')).PrinciplesPlace }),
      },
      {
        path: 'principles/:set',
        lazy: async () => ({ Component: (await import('./places/principles/SetPlace')).SetPlace }),
      },
      {
        path: 'principles/:set/joins',
        lazy: async () => ({ Component: (await import('./places/principles/JoinsPlace')).JoinsPlace }),
      },
      {
        path: 'principles/:set/versions',
        lazy: async () => ({ Component: (await import('./places/principles/SetVersionsPlace')).SetVersionsPlace }),
      },
      { path: 'terms', Component: TermsPlace },
      { path: 'terms/new', Component: NewTermPlace },
      { path: 'terms/:term', lazy: async () => ({ Component: (await import('./places/terms/TermPlace')).TermPlace }) },
      {
        path: 'terms/:term/compare',
        lazy: async () => ({ Component: (await import('./places/terms/ComparePlace')).ComparePlace }),
      },
      { path: 'terms/:term/focus', lazy: async () => ({ Component: (await import('./places/terms/FocusPlace')).FocusPlace }) },
      { path: 'terms/:term/wall', lazy: async () => ({ Component: (await import('./places/terms/WallPlace')).WallPlace }) },
      {
        path: 'terms/:term/letters',
        lazy: async () => ({ Component: (await import('./places/letters/LettersPlace')).LettersPlace }),
      },
      {
        path: 'students',
        lazy: async () => ({ Component: (await import('./places/students/StudentsPlace')).StudentsPlace }),
      },
      {
        path: 'students/:student',
        lazy: async () => ({ Component: (await import('./places/students/StudentPlace')).StudentPlace }),
      },
      {
        path: 'school',
        lazy: async () => ({ Component: (await import('./places/school/WarmUpsPlace')).WarmUpsPlace }),
      },
      {
        path: 'school/forecast',
        lazy: async () => ({ Component: (await import('./places/school/ReliabilityPlace')).ReliabilityPlace }),
      },
      {
        path: 'school/mailbox',
        lazy: async () => ({ Component: (await import('./places/school/MailboxPlace')).MailboxPlace }),
      },
      { path: 'groups', Component: GroupsPlace },
      { path: 'groups/:group', Component: GroupPlace },
      {
        path: 'groups/:group/principles',
        lazy: async () => ({ Component: (await import('./places/groups/GroupPrinciplesPlace')).GroupPrinciplesPlace }),
      },
      { path: 'groups/:group/people', Component: GroupPeoplePlace },
      {
        path: 'groups/:group/book',
        lazy: async () => ({ Component: (await import('./places/groups/BookPlace')).BookPlace }),
      },
      {
        path: 'groups/:group/practice',
        lazy: async () => ({ Component: (await import('./places/practice/PracticePlace')).PracticePlace }),
      },
      {
        path: 'groups/:group/terms',
        lazy: async () => ({ Component: (await import('./places/groups/GroupTermsPlace')).GroupTermsPlace }),
      },
      { path: 'meetings/:meeting', Component: MeetingPlace },
      { path: 'meetings/:meeting/floor', Component: ClassPlace },
      { path: 'meetings/:meeting/log', Component: LogPlace },
      { path: 'waiting', Component: OutboxPlace },
      {
        path: 'meetings/:meeting/sheet',
        lazy: async () => ({ Component: (await import('./places/meeting/SheetPlace')).SheetPlace }),
      },
      { path: '*', Component: NotFound },
    ],
  },
]);

const root = document.getElementById('app');

/** What this browser keeps is there before the first page is drawn, so that a reload without a network shows it. */
async function begin(at: HTMLElement): Promise<void> {
  await restoreAnswers(queryClient);
  keepAnswers(queryClient);
  createRoot(at).render(
    <StrictMode>
      <QueryClientProvider client={queryClient}>
        <Toasts>
          <RouterProvider router={router} />
        </Toasts>
      </QueryClientProvider>
    </StrictMode>,
  );
}
if (root) void begin(root);
if (import.meta.env.PROD) void startWorker().catch(() => undefined); // without it a reload needs the network
