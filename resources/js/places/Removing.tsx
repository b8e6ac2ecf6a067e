import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from '../messages';
import { useNavigate } from '../kit/router';
import { api, ask, type Removal } from '../api/client';
import { keys } from '../api/keys';
import { readAgain, type Touched } from '../api/touched';
import { Button, RefusalLine } from '../kit/controls';
import { Dialog } from '../kit/Dialog';
import { Asked } from '../kit/page';
import { useTell } from '../kit/toasts';
import { useProblem } from '../kit/useProblem';
import { type Said, sentence } from '../messages/say';

/** What can be taken away: how it is asked what goes with it, how it is removed, and what is out of date then. */
const removable = {
  form: {
    look: (form: string) => api.GET('/api/forms/{form}/removal', { params: { path: { form } } }),
    remove: (form: string) => api.DELETE('/api/forms/{form}', { params: { path: { form } } }),
    touches: 'form',
  },
  group: {
    look: (group: string) => api.GET('/api/groups/{group}/removal', { params: { path: { group } } }),
    remove: (group: string) => api.DELETE('/api/groups/{group}', { params: { path: { group } } }),
    touches: 'group',
  },
  term: {
    look: (term: string) => api.GET('/api/terms/{term}/removal', { params: { path: { term } } }),
    remove: (term: string) => api.DELETE('/api/terms/{term}', { params: { path: { term } } }),
    touches: 'term',
  },
  principleSet: {
    look: (principleSet: string) => api.GET('/api/principle-sets/{principleSet}/removal', { params: { path: { principleSet } } }),
    remove: (principleSet: string) => api.DELETE('/api/principle-sets/{principleSet}', { params: { path: { principleSet } } }),
    touches: 'principles',
  },
} as const satisfies Record<string, { look: unknown; remove: unknown; touches: Touched }>;

interface Props {
  what: keyof typeof removable;
  id: string;
  label: string;
  to: string;
}

/** Takes away what was made by mistake: it says first what goes with it, counted, or why it stays. */
export function Removing({ what, id, label, to }: Props) {
  const { t } = useTranslation();
  const tell = useTell();
  const navigate = useNavigate();
  const [isOpen, setOpen] = useState(false);
  const [refusal, setProblem] = useProblem();
  const { look, remove, touches } = removable[what];
  const query = useQuery({ queryKey: keys.removal(what, id), queryFn: () => ask(look(id)), enabled: isOpen, staleTime: 0 });
  const removing = useMutation({
    mutationFn: async () => {
      await ask<unknown>(remove(id));
    },
    onSuccess: async () => {
      await navigate(to);
      await readAgain(touches);
      tell(t('app.removed'));
    },
    onError: setProblem,
  });
  return (
    <>
      <Button
        look="quiet"
        onClick={() => {
          setProblem(null);
          setOpen(true);
        }}
      >
        {label}
      </Button>
      <Dialog open={isOpen} onOpenChange={setOpen} title={label}>
        <Asked query={query}>
          {(removal) =>
            removal.refused !== null ? (
              <p>{sentence(removal.refused as Said)}</p>
            ) : (
              <>
                <Goes removal={removal} />
                <RefusalLine refusal={refusal} />
                <Button
                  look="primary"
                  className="mt-4"
                  disabled={removing.isPending}
                  onClick={() => {
                    removing.mutate();
                  }}
                >
                  {t('app.remove')}
                </Button>
              </>
            )
          }
        </Asked>
      </Dialog>
    </>
  );
}

function Goes({ removal }: { removal: Removal }) {
  const { t } = useTranslation();
  const parts = [
    ['removing.goes', removal.goes],
    ['removing.stays', removal.stays],
  ] as const;
  return (
    <>
      {removal.goes.length === 0 ? <p>{t('removing.alone')}</p> : null}
      {parts.map(([title, lines]) =>
        lines.length === 0 ? null : (
          <div key={title}>
            <p className="mt-2">{t(title)}</p>
            <ul className="m-0 list-disc pl-6">
              {lines.map((line) => (
                <li key={line.code}>{sentence(line as Said)}</li>
              ))}
            </ul>
          </div>
        ),
      )}
    </>
  );
}
