import { useQuery } from '@tanstack/react-query';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { formsQuery } from '../../api/queries';
import { ButtonLink } from '../../kit/controls';
import { number } from '../../kit/format';
import { Asked, Empty, Page } from '../../kit/page';

/** The forms of the school. */
export function FormsPlace() {
  const { t } = useTranslation();
  const query = useQuery(formsQuery);
  const add = (
    <ButtonLink look="primary" to="/forms/new">
      {t('forms.new')}
    </ButtonLink>
  );
  return (
    <Page title={t('forms.title')} actions={add}>
      <Asked query={query}>
        {(forms) =>
          forms.length === 0 ? (
            <Empty title={t('forms.empty')} hint={t('forms.emptyHint')}>
              {add}
            </Empty>
          ) : (
            <ul className="m-0 list-none border-t border-line p-0">
              {forms.map((form) => (
                <li key={form.id} className="border-b border-line">
                  <Link
                    to={`/forms/${form.id}`}
                    className="flex flex-wrap items-baseline gap-x-6 gap-y-1 py-4 no-underline hover:text-pine"
                  >
                    <h2 className="min-w-64 grow text-xl break-words">{form.title}</h2>
                    <span className="text-soft">
                      {t('forms.entries', { count: form.entries })} · {t('forms.lessons', { count: form.lessons })} ·{' '}
                      {t('forms.load', { load: number(form.load, 1) })}
                      {form.groups.length > 0 ? ` · ${t('forms.groups', { groups: form.groups.join(', ') })}` : ''}
                    </span>
                  </Link>
                </li>
              ))}
            </ul>
          )
        }
      </Asked>
    </Page>
  );
}
