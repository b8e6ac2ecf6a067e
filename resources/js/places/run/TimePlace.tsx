import { Pace } from '../../api/enums';
import { useQuery } from '@tanstack/react-query';
import { useTranslation } from '../../messages';
import { useParams } from '../../kit/router';
import { api, ask, type Form, type Stretch, type Times } from '../../api/client';
import { formQuery } from '../../api/queries';
import { keys } from '../../api/keys';
import { duration, number } from '../../kit/format';
import { Asked, Heading } from '../../kit/page';
import { useAddressed } from '../../kit/useAddressed';
import { FormPages } from '../forms/FormPages';
import { Pacer } from './Pacer';
import { passageIn } from './passageIn';

/** How long a form takes, by section and pace, and a pacer that walks it. */
export function TimePlace() {
  const { form = '' } = useParams();
  const query = useQuery(formQuery(form));
  return <Asked query={query}>{(data) => <Run key={data.id} form={data} />}</Asked>;
}

function Run({ form }: { form: Form }) {
  const { t } = useTranslation();
  const [passage, setPassage] = passageIn(useAddressed(), form, { from: 1, to: form.entries.length });
  const query = useQuery({
    queryKey: keys.times(form.id),
    queryFn: () => ask(api.GET('/api/forms/{form}/times', { params: { path: { form: form.id } } })),
  });
  return (
    <FormPages id={form.id} title={form.title}>
      <Asked query={query}>{(times) => <Table times={times} />}</Asked>
      <Heading>{t('time.pacer')}</Heading>
      <Pacer form={form} passage={passage} onPassage={setPassage} />
    </FormPages>
  );
}

const PACES = Pace;

function Table({ times }: { times: Times }) {
  const { t } = useTranslation();
  const notes = [
    t(times.isBreathAssumed ? 'time.breathAssumed' : 'time.breathStated', { seconds: number(times.breathSeconds, 1) }),
    times.whole.assumed > 0 ? t('time.assumed', { count: times.whole.assumed }) : null,
    times.whole.untilTold > 0 ? t('time.untilTold', { count: times.whole.untilTold }) : null,
    t('time.showingPace', { pace: number(times.showingPace) }),
  ].filter((note) => note !== null);
  const cells = (stretch: Stretch) =>
    PACES.map((pace) => (
      <td key={pace} className="pr-4 text-right">
        {duration(Math.round(stretch.seconds[pace]))}
      </td>
    ));
  return (
    <div className="relative max-w-3xl overflow-x-auto">
      <table className="w-full border-collapse">
        <caption className="mb-2 text-left text-sm text-soft">
          {t('time.table')} · {notes.join(' · ')}
        </caption>
        <thead>
          <tr className="text-left text-sm text-soft">
            <th scope="col" className="py-1 pr-4 font-normal">
              {t('time.section')}
            </th>
            {PACES.map((pace) => (
              <th key={pace} scope="col" className="pr-4 text-right font-normal">
                {t(`time.${pace}`)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {times.stretches.map((stretch) => (
            <tr key={stretch.from} className="border-t border-line">
              <th scope="row" className="py-1.5 pr-4 text-left font-medium">
                {stretch.title ?? <span className="font-normal text-soft">{t('time.between')}</span>}
              </th>
              {cells(stretch)}
            </tr>
          ))}
          <tr className="border-t-2 border-ink font-medium">
            <th scope="row" className="py-1.5 pr-4 text-left font-semibold">
              {t('time.whole')}
            </th>
            {cells(times.whole)}
          </tr>
        </tbody>
      </table>
    </div>
  );
}
