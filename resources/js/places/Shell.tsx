import { useCallback, useEffect, useState } from 'react';
import type { ReactNode } from 'react';
import { useRoute } from '../kit/router';
import type { Session } from '../api/client';
import { forgetAnswers } from '../api/kept';
import { keys } from '../api/keys';
import { openOutbox } from '../api/outbox';
import { queryClient } from '../api/queryClient';
import { useOutbox } from '../api/useOutbox';
import { writeAs } from '../kit/format';
import { Asked, Waiting } from '../kit/page';
import { useShortcut } from '../kit/shortcuts';
import { useWanted, wantedPart } from '../kit/wanted';
import { words } from '../messages';
import { Rail } from './shell/Rail';
import { SignIn } from './shell/signIn';
import { useRoom } from './shell/useRoom';
import { useArrival } from './useArrival';
import { useClassAhead } from './useClassAhead';
import { useOutboxNews } from './useOutboxNews';

const keyList = wantedPart(async () => (await Promise.all([import('./shell/Keys'), words('keys')]))[0].Keys);
const finder = wantedPart(async () => (await Promise.all([import('./shell/Finder'), words('find', 'keys')]))[0].Finder);
const entry = wantedPart(async () => (await Promise.all([import('./entry/EntryPlace'), words('entry', 'fields')]))[0].EntryPlace);
const tips = wantedPart(async () => (await import('../kit/Tips')).Tips);
const again = wantedPart(
  async () => (await Promise.all([import('./entry/SignInAgain'), words('entry', 'fields')]))[0].SignInAgain,
);

/** The rail or bar of places round whatever is open; or, for who is not signed in, the way in. */
export function Shell({ children }: { children: ReactNode }) {
  const { query, inside, isOver, leave } = useRoom();
  const isOut = inside === null && query.data !== undefined;
  const Entry = useWanted(entry, isOut);
  // Before anything of the school is drawn, and all of it anew where that was changed.
  if (inside !== null) writeAs(inside.school.locale);
  if (inside !== null)
    return (
      <Rooms key={`${inside.person.id} ${inside.school.locale}`} session={inside} isOver={isOver} onLeave={leave}>
        {children}
      </Rooms>
    );
  return <Asked query={query}>{(data) => (Entry === null ? <Waiting /> : <Entry needsFounding={data.needsFounding} />)}</Asked>;
}

/** Whether anybody has pointed at, pressed or gone along the page yet. */
function useTouched(): boolean {
  const [isTouched, setTouched] = useState(false);
  useEffect(() => {
    const kinds = ['pointermove', 'pointerdown', 'keydown'];
    const hear = () => {
      setTouched(true);
    };
    for (const kind of kinds) addEventListener(kind, hear, { once: true });
    return () => {
      for (const kind of kinds) removeEventListener(kind, hear);
    };
  }, []);
  return isTouched;
}

interface RoomsProps {
  session: Session & { person: NonNullable<Session['person']> };
  /** The session has ended since. */
  isOver: boolean;
  onLeave: () => void;
  children: ReactNode;
}

function Rooms({ session, isOver, onLeave, children }: RoomsProps) {
  const person = session.person.id;
  const { link } = useOutbox();
  const isOnFloor = useRoute('/meetings/:meeting/floor')[0];
  const [asksToSignIn, setAsksToSignIn] = useState(false);
  useOutboxNews();
  useArrival();
  useClassAhead();
  useEffect(() => {
    void forgetAnswers(person);
    void openOutbox(person);
  }, [person]);
  useEffect(() => {
    if (link === 'signedOut') void queryClient.invalidateQueries({ queryKey: keys.session() });
  }, [link]);
  const [open, setOpen] = useState<'keys' | 'find' | null>(null);
  const close = () => {
    setOpen(null);
  };
  const showKeys = () => {
    setOpen('keys');
  };
  const showFinder = () => {
    setOpen('find');
  };
  useShortcut('help', showKeys, open === null);
  useShortcut('find', showFinder, open === null && !isOnFloor);
  const Tips = useWanted(tips, useTouched());
  const Keys = useWanted(keyList, open === 'keys');
  const Finder = useWanted(finder, open === 'find');
  // A class that runs is not stopped by it: what is marked waits, and a line says so.
  const SignInAgain = useWanted(again, isOver && (!isOnFloor || asksToSignIn));
  const signIn = useCallback(() => {
    setAsksToSignIn(true);
    void queryClient.invalidateQueries({ queryKey: keys.session() });
  }, []);
  return (
    <SignIn value={signIn}>
      {isOnFloor ? (
        children
      ) : (
        <Rail session={session} onHelp={showKeys} onFind={showFinder} onLeave={onLeave}>
          {children}
        </Rail>
      )}
      {Tips === null ? null : <Tips />}
      {Keys === null ? null : <Keys onClose={close} />}
      {Finder === null ? null : <Finder today={session.school?.today ?? ''} onClose={close} />}
      {SignInAgain === null ? null : <SignInAgain was={session.person} onLeave={onLeave} />}
    </SignIn>
  );
}
