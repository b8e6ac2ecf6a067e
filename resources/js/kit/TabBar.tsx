import { NavigationMenu } from 'radix-ui';
import { NavLink, usePath } from './router';

interface Props {
  label: string;
  of: { to: string; text: string; isExact?: boolean }[];
  /** Many: on a phone they stand in one row that is scrolled, with where one is in sight. */
  isOneRow?: boolean;
}

/** Brings where one is into sight in its row, without moving the page. */
function showIn(row: HTMLElement | null): void {
  const at = row?.querySelector<HTMLElement>('[aria-current=page]');
  if (!row || !at) return;
  const [left, right] = [at.offsetLeft - row.offsetLeft, at.offsetLeft - row.offsetLeft + at.offsetWidth];
  if (right > row.scrollLeft + row.clientWidth || left < row.scrollLeft)
    row.scrollLeft = left - (row.clientWidth - at.offsetWidth) / 2;
}

/** The parts of a place that have addresses of their own. */
export function TabBar({ label, of, isOneRow = false }: Props) {
  const path = usePath();
  return (
    <NavigationMenu.Root
      // Another tab, another row to look at.
      key={isOneRow ? path : undefined}
      ref={isOneRow ? showIn : undefined}
      aria-label={label}
      className={`no-print mb-4 border-b border-line ${isOneRow ? 'overflow-x-auto' : ''}`}
    >
      <NavigationMenu.List className={`m-0 flex list-none p-0 ${isOneRow ? '' : 'flex-wrap'}`}>
        {of.map(({ to, text, isExact = false }) => (
          <NavigationMenu.Item key={to}>
            <NavigationMenu.Link asChild>
              <NavLink
                to={to}
                end={isExact}
                className="inline-flex min-h-11 items-center border-b-4 border-transparent px-3 whitespace-nowrap text-soft no-underline hover:border-line aria-[current=page]:border-pine aria-[current=page]:font-semibold aria-[current=page]:text-ink sm:px-4"
              >
                {text}
              </NavLink>
            </NavigationMenu.Link>
          </NavigationMenu.Item>
        ))}
      </NavigationMenu.List>
    </NavigationMenu.Root>
  );
}
