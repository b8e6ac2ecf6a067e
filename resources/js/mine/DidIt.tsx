import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from '../messages';
import type { HomeNotes } from '../api/client';
import { Button, RefusalLine, TextField } from '../kit/controls';
import { Form } from '../kit/Form';
import { day } from '../kit/format';
import { Segmented } from '../kit/Segmented';
import { useProblem } from '../kit/useProblem';
import { note } from './sending';
import { store } from './store';

type How = 'memory' | 'sheet';

/** The day where this device is. */
const deviceDay = (now: Date) =>
  `${String(now.getFullYear())}-${String(now.getMonth() + 1).padStart(2, '0')}-${String(now.getDate()).padStart(2, '0')}`;

/** Notes that it was practised: kept on this device first, and sent when it can be. */
export function DidIt({ entries, notes }: { entries: string[]; notes: HomeNotes }) {
  const { t } = useTranslation();
  const client = useQueryClient();
  const [minutes, setMinutes] = useState('');
  const [how, setHow] = useState<How>('memory');
  const [id, setId] = useState(() => crypto.randomUUID());
  const [said, setSaid] = useState<{ id: string; text: string } | null>(null);
  const [isBusy, setBusy] = useState(false);
  const [isTried, setTried] = useState(false);
  const [refusal, setProblem] = useProblem();
  const count = minutes.trim() === '' ? null : Number(minutes);
  const isRight = count === null || (Number.isInteger(count) && count >= 1 && count <= 240);
  async function send() {
    setBusy(true);
    const now = new Date();
    try {
      const waits = await note('practice', id, {
        on: deviceDay(now),
        at: now.toISOString(),
        minutes: count,
        fromMemory: how === 'memory',
        entries,
      });
      setSaid({ id, text: t(waits ? 'mine.notedWaits' : 'mine.noted') });
      setId(crypto.randomUUID());
      setMinutes('');
      setProblem(null);
    } catch (error) {
      setProblem(error);
    }
    setBusy(false);
    void client.invalidateQueries({ queryKey: ['mine'] });
  }
  async function takeBack(of: string) {
    try {
      // What has not left this device yet never leaves it.
      const isHere = (await store.waiting.get(of).catch(() => undefined)) !== undefined;
      if (isHere) await store.waiting.delete(of);
      else await note('takeBack', crypto.randomUUID(), { practice: of });
      setSaid(null);
      setProblem(null);
    } catch (error) {
      setProblem(error);
    }
    void client.invalidateQueries({ queryKey: ['mine'] });
  }
  return (
    <Form
      className="mt-5 border-t-2 border-ink pt-3"
      onSend={() => {
        setTried(true);
        if (!isBusy && isRight) void send();
      }}
    >
      <h2 className="text-xl">{t('mine.did')}</h2>
      <p className="text-sm text-soft">{t('mine.didHint')}</p>
      <div className="mt-2 flex flex-wrap items-end gap-3">
        <div className="w-28">
          <TextField
            label={t('mine.minutes')}
            inputMode="numeric"
            value={minutes}
            error={isTried && !isRight ? t('mine.minutesWrong') : undefined}
            onChange={(event) => {
              setMinutes(event.target.value);
            }}
          />
        </div>
        <Segmented<How>
          label={t('mine.how')}
          value={how}
          onValue={setHow}
          of={(['memory', 'sheet'] as const).map((value) => ({ value, text: t(`mine.${value}`) }))}
        />
        <Button look="primary" type="submit" className="min-h-14 grow" disabled={isBusy}>
          {t('mine.note')}
        </Button>
      </div>
      <RefusalLine refusal={refusal} />
      {said ? (
        <p role="status" className="mt-2">
          {said.text}{' '}
          <Button look="quiet" onClick={() => void takeBack(said.id)}>
            {t('mine.takeBack')}
          </Button>
        </p>
      ) : null}
      <h3 className="mt-4 text-lg">{t('mine.history')}</h3>
      {notes.practices.length === 0 ? <p className="text-soft">{t('mine.historyNone')}</p> : null}
      <ul className="m-0 list-none p-0">
        {notes.practices.slice(0, 10).map((one) => (
          <li key={one.id} className="flex flex-wrap items-center gap-x-3 border-b border-line">
            {day(one.on, 'weekday')}
            <span className="text-soft">
              {[
                one.minutes === null ? null : t('practice.back.minutes', { count: one.minutes }),
                one.fromMemory === null ? null : t(one.fromMemory ? 'mine.memory' : 'mine.sheet'),
              ]
                .filter((part) => part !== null)
                .join(' · ')}
            </span>
            <Button look="quiet" className="ml-auto" onClick={() => void takeBack(one.id)}>
              {t('mine.takeBack')}
            </Button>
          </li>
        ))}
      </ul>
    </Form>
  );
}
