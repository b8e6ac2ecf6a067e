import { NavigationMenu } from 'radix-ui';
import { NavLink } from './router';

interface Props {
  label: string;
  of: { to: string; text: string; isExact?: boolean }[];
}

/** The parts of a place that have addresses of their own. */
export function TabBar({ label, of }: Props) {
  return (
    <NavigationMenu.Root aria-label={label} className="no-print mb-4 border-b border-line">
      <NavigationMenu.List className="m-0 flex list-none flex-wrap p-0">
        {of.map(({ to, text, isExact = false }) => (
          <NavigationMenu.Item key={to}>
            <NavigationMenu.Link asChild>
              <NavLink
                to={to}
                end={isExact}
                className="inline-flex min-h-11 items-center border-b-4 border-transparent px-4 text-soft no-underline hover:border-line aria-[current=page]:border-pine aria-[current=page]:font-semibold aria-[current=page]:text-ink"
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
