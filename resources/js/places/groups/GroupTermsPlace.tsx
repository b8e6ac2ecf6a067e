import { useQuery } from '@tanstack/react-query';
import { useTranslation } from '../../messages';
import { useParams } from '../../kit/router';
import { groupQuery, termsQuery } from '../../api/queries';
import { ButtonLink } from '../../kit/controls';
import { day } from '../../kit/format';
import { Asked, Listing, Page } from '../../kit/page';
import { CalendarPanel } from './CalendarPanel';
import { GroupTabs } from './GroupTabs';

/** The terms of a group, the newest first, and its calendar. */
export function GroupTermsPlace() {
  const { t } = useTranslation();
  const { group = '' } = useParams();
  const own = useQuery(groupQuery(group, ''));
  const terms = useQuery(termsQuery);
  const add = (
    <ButtonLink look="primary" to={`/terms/new?group=${group}`}>
      {t('terms.new')}
    </ButtonLink>
  );
  return (
    <Asked query={own}>
      {(data) => (
        <Page title={data.group.name} kicker={data.group.formTitle} actions={add}>
          <GroupTabs group={group} />
          <Asked query={terms}>
            {(all) => (
              <Listing
                rows={all
                  .filter((term) => term.groupId === group)
                  .map((term) => ({
                    to: `/terms/${term.id}`,
                    title: term.title,
                    detail: [
                      term.formTitle,
                      `${day(term.startsOn)} – ${day(term.endsOn)}`,
                      t('terms.held', { held: term.held, of: term.meetings }),
                    ].join(' · '),
                  }))}
                empty={t('terms.noTerm')}
                hint={t('terms.emptyHint')}
                first={add}
              />
            )}
          </Asked>
          <CalendarPanel group={group} hasFeed={data.group.hasFeed} />
        </Page>
      )}
    </Asked>
  );
}
