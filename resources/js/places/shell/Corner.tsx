import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation, words } from '../../messages';
import { api, ask } from '../../api/client';
import { endSession, tellSessionEnd } from '../../api/kept';
import { closeOutbox, flush, waiting } from '../../api/outbox';
import { Button, RefusalLine } from '../../kit/controls';
import { dropDrafts } from '../../kit/draft';
import { useProblem } from '../../kit/useProblem';
import { chooseTheme, useTheme } from '../../kit/theme';
import { useWanted, wantedPart } from '../../kit/wanted';

const unsentDialog = wantedPart(async () => (await Promise.all([import('./UnsentDialog'), words('signOut')]))[0].UnsentDialog);

interface Props {
  onHelp: () => void;
  onFind: () => void;
  onLeave: () => void;
}

/** Finding anything, the keys, light or dark, and the way out. */
export function Corner({ onHelp, onFind, onLeave }: Props) {
  const { t } = useTranslation();
  const client = useQueryClient();
  const theme = useTheme();
  const [unsent, setUnsent] = useState<number | null>(null);
  const [refusal, setProblem] = useProblem();
  const signOut = useMutation({
    mutationFn: async (isAnyway: boolean) => {
      // What waits goes first; where it cannot, a person says whether it is to stay on this device.
      await flush();
      const waits = waiting().length;
      if (waits > 0 && !isAnyway) {
        setUnsent(waits);
        return null;
      }
      return ask(api.DELETE('/api/session'));
    },
    onSuccess: async (session) => {
      if (session === null) return;
      setUnsent(null);
      dropDrafts();
      closeOutbox();
      tellSessionEnd(session);
      onLeave();
      await endSession(client, session);
    },
    onError: setProblem,
  });
  const Unsent = useWanted(unsentDialog, unsent !== null);
  return (
    <div className="mt-2 flex flex-wrap lg:flex-col">
      <Button look="corner" onClick={onFind}>
        {t('app.find')}
      </Button>
      <Button
        look="corner"
        onClick={() => {
          chooseTheme(theme === 'day' ? 'hall' : 'day');
        }}
      >
        {t(theme === 'day' ? 'app.hall' : 'app.day')}
      </Button>
      <Button look="corner" onClick={onHelp}>
        {t('app.shortcuts')}
      </Button>
      <Button
        look="corner"
        onClick={() => {
          setProblem(null);
          signOut.mutate(false);
        }}
      >
        {t(signOut.isPending ? 'outbox.signingOut' : 'app.signOut')}
      </Button>
      <RefusalLine refusal={refusal} className="text-sm" />
      {Unsent === null ? null : (
        <Unsent
          count={unsent ?? 0}
          isLeaving={signOut.isPending}
          onStay={() => {
            setUnsent(null);
          }}
          onLeave={() => {
            signOut.mutate(true);
          }}
        />
      )}
    </div>
  );
}
