import { useQuery } from '@tanstack/react-query';
import { useTranslation } from '../../messages';
import { formsQuery } from '../../api/queries';
import { ButtonLink } from '../../kit/controls';
import { Asked, Listing, Page } from '../../kit/page';

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
        {(forms) => (
          <Listing
            rows={forms.map((form) => ({
              to: `/forms/${form.id}`,
              title: form.title,
              detail: [
                t('forms.entries', { count: form.entries }),
                t('forms.lessons', { count: form.lessons }),
                ...(form.groups.length > 0 ? [t('forms.groups', { groups: form.groups.join(', ') })] : []),
              ].join(' · '),
            }))}
            empty={t('forms.empty')}
            hint={t('forms.emptyHint')}
            first={add}
          />
        )}
      </Asked>
    </Page>
  );
}
