import { type Crop, SEVERITIES, type SignCode, signRow, type SignSeen } from '@candid-leaf/core/records';
import clsx from 'clsx';
import { Check, Minus, Plus, X } from 'lucide-react';
import type { ReactNode } from 'react';
import { SignPicture } from '../../../signs/sign-picture';

interface Props {
  sign: SignCode;
  crop: Crop;
  seen: SignSeen | undefined;
  /** what was seen before, here or nearby: drawn faintly for comparison */
  before?: string | undefined;
  /** it can also be marked as not there, without having been there before */
  askAbsent?: boolean;
  onPut: (seen: SignSeen | null) => void;
  /** lets the user photograph it once seen */
  photo?: ReactNode;
}

/** One sign as a drawing to touch: seen, or looked for and not there. Chosen, how much of it opens in a row below. */
export function SignTile({ sign, crop, seen, before, askAbsent, onPut, photo }: Props) {
  const row = signRow(sign);
  const yes = seen?.present === true;
  const no = seen?.present === false;
  return (
    <>
      <li
        className={clsx(
          'flex flex-col overflow-hidden rounded-xl border-2 bg-card',
          yes ? 'border-leaf' : before ? 'border-dashed border-soft' : 'border-line',
        )}
      >
        <button
          type="button"
          aria-pressed={yes}
          aria-label={row.label}
          onClick={() => onPut(yes ? null : { sign, present: true })}
          className="flex flex-1 flex-col items-center px-1 pt-1.5 pb-1 text-center hover:bg-leafwash"
          title={row.line}
        >
          <SignPicture sign={sign} crop={crop} className="size-20 sm:size-24" />
          <span className={clsx('mt-0.5 text-sm leading-4.5', yes && 'font-semibold')}>
            {yes && <Check aria-hidden size={15} className="mr-1 inline" />}
            {no && !askAbsent && !before && <X aria-label="not there:" size={15} className="mr-1 inline" />}
            {row.label}
          </span>
          {before && <span className="text-sm leading-4 text-soft">{before}</span>}
        </button>
        {!yes && row.kind === 'sign' && (askAbsent || before) && (
          <button
            type="button"
            aria-pressed={no}
            aria-label={`Not there: ${row.label}`}
            onClick={() => onPut(no ? null : { sign, present: false })}
            className={clsx(
              'min-h-11 border-t border-line text-sm',
              no ? 'bg-ink font-semibold text-paper' : 'text-soft hover:bg-leafwash',
            )}
          >
            {no && <X aria-hidden size={15} className="mr-1 inline" />}
            not there
          </button>
        )}
      </li>
      {yes && (row.counted || row.kind === 'sign') && (
        <li className="col-span-full flex flex-wrap items-center gap-x-5 gap-y-1 rounded-xl border-2 border-leaf bg-card px-3 py-1">
          <strong>{row.label}</strong>
          {row.counted && <Count seen={seen} onPut={onPut} label={row.label} />}
          {row.kind === 'sign' && <SeverityChoice seen={seen} onPut={onPut} label={row.label} />}
          {photo}
        </li>
      )}
    </>
  );
}

function Count({ seen, onPut, label }: { seen: SignSeen; onPut: (s: SignSeen) => void; label: string }) {
  const affected = seen.affected ?? 0;
  const of = seen.of ?? 0;
  const put = (a: number, o: number) =>
    onPut({ ...seen, affected: a > 0 ? a : null, of: o > 0 ? Math.max(o, a) : null });
  return (
    <div className="flex flex-wrap items-center gap-x-2">
      <Stepper label={`${label}: how many`} value={affected} onChange={(v) => put(v, of)} />
      <span className="text-soft">of</span>
      <Stepper label={`${label}: of how many`} value={of} onChange={(v) => put(affected, v)} />
    </div>
  );
}

function Stepper({ label, value, onChange }: { label: string; value: number; onChange: (v: number) => void }) {
  return (
    <div className="flex items-center">
      <button
        type="button"
        aria-label={`${label}, one less`}
        className="grid size-11 place-items-center rounded-lg hover:bg-leafwash"
        onClick={() => onChange(Math.max(0, value - 1))}
      >
        <Minus aria-hidden size={16} />
      </button>
      <input
        aria-label={label}
        type="number"
        inputMode="numeric"
        min={0}
        className="h-11 w-14 rounded-lg border border-soft/60 bg-card text-center font-semibold tabular-nums"
        value={value || ''}
        onChange={(e) => onChange(Math.max(0, Math.round(e.target.valueAsNumber || 0)))}
      />
      <button
        type="button"
        aria-label={`${label}, one more`}
        className="grid size-11 place-items-center rounded-lg hover:bg-leafwash"
        onClick={() => onChange(value + 1)}
      >
        <Plus aria-hidden size={16} />
      </button>
    </div>
  );
}

function SeverityChoice({ seen, onPut, label }: { seen: SignSeen; onPut: (s: SignSeen) => void; label: string }) {
  return (
    <div role="group" aria-label={`${label}: how bad`} className="flex text-sm">
      {SEVERITIES.map((s) => (
        <button
          key={s}
          type="button"
          aria-pressed={seen.severity === s}
          onClick={() => onPut({ ...seen, severity: seen.severity === s ? null : s })}
          className={clsx(
            'min-h-11 rounded-lg px-3',
            seen.severity === s ? 'bg-leafwash font-semibold text-leaf' : 'text-soft hover:bg-leafwash',
          )}
        >
          {s}
        </button>
      ))}
    </div>
  );
}
