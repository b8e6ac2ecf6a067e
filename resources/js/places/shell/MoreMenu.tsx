import { DropdownMenu } from 'radix-ui';
import type { ReactNode } from 'react';
import { useTranslation } from '../../messages';
import { Link } from '../../kit/router';
import { places } from './places';

/** The places a narrow bar has no room for, opened. */
export function MoreMenu({ look, children }: { look: string; children: ReactNode }) {
  const { t } = useTranslation();
  return (
    <DropdownMenu.Root defaultOpen>
      <DropdownMenu.Trigger className={look}>{children}</DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          sideOffset={6}
          collisionPadding={8}
          className="z-30 min-w-48 rounded border border-line bg-sheet py-1"
          style={{ boxShadow: 'var(--float)' }}
        >
          {places
            .filter((one) => one.isMore)
            .map(({ to, key, Icon }) => (
              <DropdownMenu.Item key={to} asChild>
                <Link
                  to={to}
                  className="flex min-h-14 items-center gap-3 px-4 no-underline outline-none data-highlighted:bg-river2"
                >
                  <Icon size={20} strokeWidth={1.6} aria-hidden="true" />
                  {t(`places.${key}`)}
                </Link>
              </DropdownMenu.Item>
            ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
