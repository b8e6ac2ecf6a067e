import type { ComponentProps } from 'react';
import { Link, useLocation } from 'wouter';

export { Link, Route, Router, Switch, useParams, useRoute, useSearch, useSearchParams } from 'wouter';

/** The path that is open, without what is said after it. */
export const usePath = (): string => useLocation()[0];

/** Goes to an address of this application. */
export const useNavigate = () => useLocation()[1];

type LinkProps = Omit<ComponentProps<typeof Link>, 'className' | 'href' | 'to' | 'asChild'>;

interface Props extends LinkProps {
  to: string;
  /** Only where the very address is open, and not one below it. */
  end?: boolean;
  /** How addresses of what is in that place begin, where they do not begin with its own. */
  holds?: readonly string[];
  className: string | ((at: { isActive: boolean }) => string);
}

/** A link to a place that says whether one is there. */
export function NavLink({ to, end = false, holds = [], className, ...rest }: Props) {
  const path = usePath();
  const isActive = path === to || (!end && path.startsWith(`${to}/`)) || holds.some((one) => path.startsWith(one));
  return (
    <Link
      {...(rest as object)}
      href={to}
      aria-current={isActive ? 'page' : undefined}
      className={typeof className === 'string' ? className : className({ isActive })}
    />
  );
}
