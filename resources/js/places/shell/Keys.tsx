import { useTranslation } from '../../messages';
import { Dialog } from '../../kit/Dialog';
import { useBound } from '../../kit/shortcuts';
import { KEYS, names, shownKeys, type Where } from './keyList';

const GROUPS = [...new Set(names.map((name) => KEYS[name].where))];

/** Every key and what it does, those of what is open first. */
export function Keys({ onClose }: { onClose: () => void }) {
  const { t } = useTranslation();
  const here = new Set<Where>(useBound().map(({ name }) => KEYS[name].where));
  const groups = [...GROUPS].sort((a, b) => Number(here.has(b)) - Number(here.has(a)));
  return (
    <Dialog onOpenChange={onClose} title={t('keys.title')} wide>
      <div className="gap-x-10 sm:columns-2">
        {groups.map((where) => (
          <section key={where} className="mb-5 break-inside-avoid">
            <h3 className="mb-1 text-lg">{t(`keys.where.${where}`)}</h3>
            <dl className="grid grid-cols-[minmax(5.5rem,auto)_1fr] gap-x-4 gap-y-1 text-[0.95rem]">
              {names
                .filter((name) => KEYS[name].where === where)
                .map((name) => (
                  <div key={name} className="contents">
                    <dt className="font-medium">{shownKeys(name).join(' ')}</dt>
                    <dd>{t(`keys.does.${name}`)}</dd>
                  </div>
                ))}
            </dl>
          </section>
        ))}
      </div>
    </Dialog>
  );
}
