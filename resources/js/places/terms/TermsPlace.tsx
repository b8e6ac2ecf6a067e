import { useQuery } from '@tanstack/react-query';
import { useTranslation } from '../../messages';
import { termsQuery } from '../../api/queries';
import { ButtonLink } from '../../kit/controls';
import { day } from '../../kit/format';
import { Asked, Listing, Page } from '../../kit/page';

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
        {(terms) => (
          <Listing
            rows={terms.map((term) => ({
              to: `/terms/${term.id}`,
              title: `${term.groupName} · ${term.title}`,
              detail: [
                term.formTitle,
                `${day(term.startsOn)} – ${day(term.endsOn)}`,
                t('terms.held', { held: term.held, of: term.meetings }),
              ].join(' · '),
            }))}
            empty={t('terms.empty')}
            hint={t('terms.emptyHint')}
            first={add}
          />
        )}
      </Asked>
    </Page>
  );
}
