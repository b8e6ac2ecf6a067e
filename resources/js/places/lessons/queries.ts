import { queryOptions } from '@tanstack/react-query';
import { api, ask } from '../../api/client';
import { keys } from '../../api/keys';
import { sizeAsked, type TriedSize } from '../../api/queries';

/** What a notch in the hand costs at each join. */
export const pricesQuery = (form: string, course: string | null, size: TriedSize, moving: number) =>
  queryOptions({
    queryKey: keys.prices(form, course, size, moving),
    queryFn: () =>
      ask(api.GET('/api/forms/{form}/prices', { params: { path: { form }, query: { ...sizeAsked(course, size), moving } } })),
  });
