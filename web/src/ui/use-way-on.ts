import { useLocation, useNavigate } from 'react-router';

/** Opens another page once something is done, unless the user has left already. */
export function useWayOn(): (to: string) => Promise<void> {
  const navigate = useNavigate();
  const { pathname } = useLocation();
  return async (to) => {
    if (window.location.pathname === pathname) await navigate(to);
  };
}
