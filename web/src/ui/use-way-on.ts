import { useLocation, useNavigate } from 'react-router';

/** Goes on to another page once something is done. Whoever went elsewhere meanwhile is left where they are. */
export function useWayOn(): (to: string) => Promise<void> {
  const navigate = useNavigate();
  const { pathname } = useLocation();
  return async (to) => {
    if (window.location.pathname === pathname) await navigate(to);
  };
}
