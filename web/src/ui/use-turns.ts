import { startTransition, useEffect, useState } from 'react';
import { NavigationType, useNavigationType } from 'react-router';

/**
 * Draws a long page in turns, each after the previous was painted, so a slow phone stays responsive. Going back shows
 * it complete at once.
 * @returns how many turns may be drawn
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
