import type { ReactNode } from 'react';
import { useTranslation } from '../../messages';
import { Menu, MenuItem } from '../../kit/Menu';
import { Link } from '../../kit/router';
import { places } from './places';

/** The places a narrow bar has no room for, opened. */
export function MoreMenu({ look, children }: { look: string; children: ReactNode }) {
  const { t } = useTranslation();
  return (
    <Menu isOpenAtOnce opener={children} openerLook={look}>
      {places
        .filter((one) => one.isMore)
        .map(({ to, key, Icon }) => (
          <MenuItem key={to} asChild>
            <Link to={to}>
              <Icon size={20} strokeWidth={1.6} aria-hidden="true" />
              {t(`places.${key}`)}
            </Link>
          </MenuItem>
        ))}
    </Menu>
  );
}
