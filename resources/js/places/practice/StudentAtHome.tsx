import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from '../../messages';
import { api, ask, type MadeLink } from '../../api/client';
import { studentHomeQuery } from './queries';
import { readAgain } from '../../api/touched';
import { Button, RefusalLine } from '../../kit/controls';
import { day } from '../../kit/format';
import { Asked, Heading } from '../../kit/page';
import { useMay } from '../../kit/useMay';
import { useTell } from '../../kit/toasts';
import { useOnce } from '../../kit/useOnce';
import { useProblem } from '../../kit/useProblem';
import { CameBack } from './CameBack';
import { MadeLinks } from './MadeLinks';

/** A student at home: their link, what they noted and what they asked. */
export function StudentAtHome({ student, hasAddress }: { student: string; hasAddress: boolean }) {
  const { t } = useTranslation();
  const tell = useTell();
  const may = useMay();
  const query = useQuery(studentHomeQuery(student));
  const [made, setMade] = useState<MadeLink | null>(null);
  const [refusal, setProblem] = useProblem();
  const path = { params: { path: { student } } };
  const make = useMutation({
    mutationFn: (byMail: boolean) => ask(api.POST('/api/students/{student}/link', { ...path, body: { byMail } })),
    onSuccess: async (link) => {
      setProblem(null);
      setMade(link);
      await readAgain('home');
    },
    onError: setProblem,
  });
  const revoke = useMutation({
    mutationFn: () => ask(api.DELETE('/api/students/{student}/link', path)),
    onSuccess: async () => {
      setMade(null);
      await readAgain('home');
      tell(t('practice.student.revoked'));
    },
    onError: setProblem,
  });
  const send = useOnce(make);
  const end = useOnce(revoke);
  return (
    <section className="no-print" aria-label={t('practice.student.title')}>
      <Heading>{t('practice.student.title')}</Heading>
      <Asked query={query}>
        {({ link, notes }) => (
          <>
            <p>
              {link === null
                ? t('practice.student.linkNone')
                : t('practice.student.link', {
                    count: link.devices,
                    made: day(link.madeAt.slice(0, 10), 'numbered'),
                    until: day(link.expiresAt.slice(0, 10), 'numbered'),
                  })}
              {link !== null && link.devices > 1 ? ` ${t('practice.student.two')}` : ''}
            </p>
            {may('plan') ? (
              <div className="my-2 flex flex-wrap gap-2">
                <Button
                  disabled={make.isPending}
                  onClick={() => {
                    send(false);
                  }}
                >
                  {t(link === null ? 'practice.student.make' : 'practice.student.renew')}
                </Button>
                {hasAddress ? (
                  <Button
                    disabled={make.isPending}
                    onClick={() => {
                      send(true);
                    }}
                  >
                    {t('practice.student.mail')}
                  </Button>
                ) : null}
                {link === null ? null : (
                  <Button
                    look="quiet"
                    disabled={revoke.isPending}
                    onClick={() => {
                      end(undefined);
                    }}
                  >
                    {t('practice.student.revoke')}
                  </Button>
                )}
              </div>
            ) : null}
            {made === null ? null : (
              <>
                {made.address === null ? null : <p className="font-medium">{t('practice.student.made')}</p>}
                <MadeLinks links={[made]} />
              </>
            )}
            <RefusalLine refusal={refusal} />
            {notes.practices.length + notes.questions.length === 0 ? (
              <p className="text-soft">{t('practice.student.none')}</p>
            ) : (
              <CameBack notes={notes} hasNames={false} />
            )}
          </>
        )}
      </Asked>
    </section>
  );
}
