import { useQuery } from '@tanstack/react-query';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import { termsQuery } from '../../api/queries';
import { ButtonLink } from '../../kit/controls';
import { day } from '../../kit/format';
import { Asked, Empty, Page } from '../../kit/page';

/** The terms of the school, newest first. */
export function TermsPlace() {
  const { t } = useTranslation();
  const query = useQuery(termsQuery);
  const add = (
    <ButtonLink look="primary" to="/terms/new">
      {t('terms.new')}
    </ButtonLink>
  );
  return (
    <Page title={t('terms.title')} actions={add}>
      <Asked query={query}>
        {(terms) =>
          terms.length === 0 ? (
            <Empty title={t('terms.empty')} hint={t('terms.emptyHint')}>
              {add}
            </Empty>
          ) : (
            <ul className="m-0 list-none border-t border-line p-0">
              {terms.map((term) => (
                <li key={term.id} className="border-b border-line">
                  <Link
                    to={`/terms/${term.id}`}
                    className="flex flex-wrap items-baseline gap-x-6 gap-y-1 py-4 no-underline hover:text-pine"
                  >
                    <h2 className="min-w-64 grow text-xl">
                      {term.groupName} · {term.title}
                    </h2>
                    <span className="text-soft">
                      {term.formTitle} · {day(term.startsOn)} – {day(term.endsOn)} ·{' '}
                      {t('terms.held', { held: term.held, of: term.meetings })}
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
