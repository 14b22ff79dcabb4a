import { type CheckCode, checkRow } from '@candid-leaf/core/diagnosis';
import { CHECK_MINUTES } from '@candid-leaf/core/practice';
import { Unfold } from '../../../ui/unfold';
import { Panel } from '../../../ui/panel';
import type { PracticeShown } from '../../../workers/practice.worker';
import { checkLabel, showedInWords } from '../words';

interface Props {
  shown: PracticeShown;
  /** null once answered */
  onCheck: ((check: CheckCode) => void) | null;
}

/** Checks that show at once. */
const FIRST_SHOWN = 4;

/** Possible checks with their time, and their results. */
export function CloserLook({ shown, onCheck }: Props) {
  const spent = shown.showed.reduce((sum, s) => sum + CHECK_MINUTES[s.check], 0);
  return (
    <Panel title="Look closer">
      <p className="text-sm text-soft">
        {spent > 0 ? `So far ${spent} min.` : 'Each check takes time. Skip them if you are certain.'}
      </p>
      {shown.showed.length > 0 && (
        <ul className="mt-2 flex flex-col gap-1.5" aria-label="What the checks showed" aria-live="polite">
          {shown.showed.map(({ check, present }) => (
            <li key={check} className="rounded-lg bg-leafwash px-3 py-1.5">
              <strong>{checkLabel(check)}:</strong> {showedInWords(present)}
            </li>
          ))}
        </ul>
      )}
      {onCheck && (
        <>
          <Checks list={shown.choices.checks.slice(0, FIRST_SHOWN)} onCheck={onCheck} />
          {shown.choices.checks.length > FIRST_SHOWN && (
            <Unfold look="act" title="More checks">
              {() => <Checks list={shown.choices.checks.slice(FIRST_SHOWN)} onCheck={onCheck} />}
            </Unfold>
          )}
        </>
      )}
    </Panel>
  );
}

function Checks({ list, onCheck }: { list: readonly CheckCode[]; onCheck: (check: CheckCode) => void }) {
  return (
    <ul className="mt-2 grid gap-1 sm:grid-cols-2 lg:grid-cols-1">
      {list.map((check) => (
        <li key={check}>
          <button
            type="button"
            title={checkRow(check).how}
            onClick={() => onCheck(check)}
            className="flex min-h-11 w-full items-center justify-between gap-3 rounded-lg border border-line px-3 py-1.5 text-left leading-snug hover:border-leaf"
          >
            <span>{checkLabel(check)}</span>
            <span className="shrink-0 text-sm text-soft tabular-nums">{CHECK_MINUTES[check]} min</span>
          </button>
        </li>
      ))}
    </ul>
  );
}
