import { MoreHorizontal } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from '../../messages';
import { usePath } from '../../kit/router';
import { useWanted, wantedPart } from '../../kit/wanted';
import { PlaceButton, placeLook } from '../../kit/placeLook';
import { places } from './places';

const menu = wantedPart(async () => (await import('./MoreMenu')).MoreMenu);

/** The way to the places a narrow bar has no room for. */
export function MorePlaces() {
  const { t } = useTranslation();
  const pathname = usePath();
  const [isAsked, setAsked] = useState(false);
  const Menu = useWanted(menu, isAsked);
  const isActive = places.some(({ to, isMore }) => isMore && pathname.startsWith(to));
  const content = (
    <>
      <MoreHorizontal size={20} strokeWidth={1.6} aria-hidden="true" />
      {t('places.more')}
    </>
  );
  return (
    <li className="grow lg:hidden">
      {Menu === null ? (
        <PlaceButton
          isActive={isActive}
          aria-haspopup="menu"
          aria-expanded={false}
          onPointerDown={() => void menu.load().catch(() => undefined)}
          onClick={() => {
            setAsked(true);
          }}
        >
          {content}
        </PlaceButton>
      ) : (
        <Menu look={placeLook(isActive)}>{content}</Menu>
      )}
    </li>
  );
}
