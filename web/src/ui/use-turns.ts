import { startTransition, useEffect, useState } from 'react';
import { NavigationType, useNavigationType } from 'react-router';

/**
 * A long page is drawn in turns, each after the one before was painted, so that a slow phone answers a touch meanwhile. Whoever
 * comes back to a page finds it whole at once, as long as it was left.
 * @returns how many of the turns may be drawn
 */
export function useTurns(all: number): number {
  const back = useNavigationType() === NavigationType.Pop;
  const [turn, setTurn] = useState(back ? all : 1);
  useEffect(() => {
    if (turn >= all) return;
    let soon: ReturnType<typeof setTimeout> | undefined;
    const frame = requestAnimationFrame(() => {
      soon = setTimeout(() => startTransition(() => setTurn(turn + 1)));
    });
    return () => {
      cancelAnimationFrame(frame);
      clearTimeout(soon);
    };
  }, [turn, all]);
  return turn;
}
