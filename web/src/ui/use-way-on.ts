import { useLocation, useNavigate } from 'react-router';

/** Opens another page once something is done, unless the user has left already. */
export function useWayOn(): (to: string) => Promise<void> {
  const navigate = useNavigate();
  const { pathname } = useLocation();
  return async (to) => {
    // going where one is would only cancel a link that is being followed
    if (window.location.pathname === pathname && to !== pathname) await navigate(to);
  };
}
