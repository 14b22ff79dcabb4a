import { CAUTIONS } from '@candid-leaf/core/records';
import { chanceWord, type DisorderRow, DRIVERS, remedyRow, disorderRow } from '@candid-leaf/core/diagnosis';
import { type Crop, DISORDER_CODES, type DisorderCode, signRow } from '@candid-leaf/core/records';
import { ArrowLeft } from 'lucide-react';
import { Fragment } from 'react';
import { Link, Navigate, useParams, useSearchParams } from 'react-router';
import type { Formatter } from '@candid-leaf/core/units';
import { useFormat, useLink } from '../../../lib/garden-context';
import { linkTo } from '../../../lib/paths';
import { sentence, wordOf } from '../../../lib/words';
import { buttonLook } from '../../../ui/button';
import { SignPicture } from '../../../signs/sign-picture';
import { Counsel } from '../../../ui/counsel';
import { GardenPage } from '../../../frame/garden-page';
import { ownDrawing } from '../../../signs/own-drawing';
import { Unfold } from '../../../ui/unfold';
import { Scroller } from '../../../ui/scroller';
import { cautionsOnce } from '../../../lib/cautions';
import { Precautions } from '../../../ui/precautions';

/** One problem: what it looks like, look-alikes, causes, what to do and what not. */
export function DisorderPage() {
  const { gardenId = '', disorder = '' } = useParams();
  const [params] = useSearchParams();
  if (!DISORDER_CODES.includes(disorder as DisorderCode))
    return <Navigate to={linkTo('handbook', { gardenId })} replace />;
  const d = disorderRow(disorder as DisorderCode);
  const crop = d.crop ?? (params.get('crop') === 'pepper' ? 'pepper' : 'tomato');
  return (
    <GardenPage narrow title={() => d.label}>
      {() => (
        <article className="max-w-5xl">
          <p className="-mt-2 mb-4 max-w-prose">
            {d.line}
            {d.harmless && ' Nothing needs doing.'}
          </p>
          <Looks d={d} crop={crop} />
          <LookAlikes d={d} crop={crop} />
          <div className="mt-7 grid gap-x-10 gap-y-6 lg:grid-cols-[3fr_2fr]">
            <WhatToDo d={d} />
            <div>
              <Causes d={d} />
              <Counsel doNot={d.doNot} goodToKnow={d.goodToKnow ?? []} />
            </div>
          </div>
          <More d={d} />
          <Link className={`${buttonLook('quiet')} mt-4 -ml-4 print:hidden`} to={linkTo('handbook', { gardenId })}>
            <ArrowLeft aria-hidden size={18} /> All problems
          </Link>
        </article>
      )}
    </GardenPage>
  );
}

function Looks({ d, crop }: { d: DisorderRow; crop: Crop }) {
  const shown = d.signs.filter(([sign, chance]) => chance >= 0.2 && (signRow(sign).crop ?? crop) === crop);
  return (
    <section aria-label="What it looks like">
      <h2 className="mb-2 text-xl">What it looks like</h2>
      <ul className="grid grid-cols-2 gap-2 sm:grid-cols-4 lg:grid-cols-6">
        {shown.map(([sign, chance]) => (
          <li key={sign} className="rounded-xl border border-line bg-card p-2 text-center leading-5">
            <SignPicture sign={sign} crop={crop} className="mx-auto size-24" />
            {signRow(sign).label}
            <span className="block text-sm text-soft">{chanceWord(chance)}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}

function LookAlikes({ d, crop }: { d: DisorderRow; crop: Crop }) {
  const link = useLink();
  const others = Object.entries(d.lookAlikes) as [DisorderCode, string][];
  if (others.length === 0) return null;
  return (
    <section aria-label="Easily confused with" className="mt-7">
      <h2 className="mb-2 text-xl">Easily confused with</h2>
      <ul className="grid gap-3 md:grid-cols-2">
        {others.map(([code, words]) => {
          const other = disorderRow(code);
          return (
            <li key={code} className="rounded-xl border border-line bg-card p-3">
              <div className="grid grid-cols-2 text-center">
                <figure>
                  <SignPicture sign={ownDrawing(d)} crop={crop} className="mx-auto size-24" />
                  <figcaption className="text-sm">{d.label}</figcaption>
                </figure>
                <figure className="border-l border-line">
                  <SignPicture sign={ownDrawing(other)} crop={other.crop ?? crop} className="mx-auto size-24" />
                  <figcaption className="text-sm">
                    <Link
                      className="inline-block py-1 font-semibold text-leaf underline"
                      to={link('disorder', { disorder: code })}
                    >
                      {other.label}
                    </Link>
                  </figcaption>
                </figure>
              </div>
              <p className="mt-2">{sentence(words)}</p>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

function Causes({ d }: { d: DisorderRow }) {
  return (
    <section aria-label="What causes it">
      <h2 className="mb-2 text-xl">What causes it</h2>
      {d.drivers.length === 0 ? (
        <p className="text-soft">It comes by itself; nothing in the records explains it.</p>
      ) : (
        <ul className="list-disc pl-5">
          {[...d.drivers]
            .sort((a, b) => b.weight - a.weight)
            .map((l) => (
              <li key={l.driver}>
                {wordOf(DRIVERS[l.driver])}
                {l.why && <span className="text-soft"> ({l.why})</span>}
              </li>
            ))}
        </ul>
      )}
    </section>
  );
}

/** Steps by the causes they are for; those for any cause come first, under an empty name. */
function byCause(remedies: DisorderRow['remedies']): Map<string, DisorderRow['remedies'][number][]> {
  const groups = new Map<string, DisorderRow['remedies'][number][]>([['', []]]);
  for (const r of remedies) {
    const cause = (r.drivers ?? []).map((x) => DRIVERS[x]).join(' or ');
    groups.set(cause, [...(groups.get(cause) ?? []), r]);
  }
  if (groups.get('')!.length === 0) groups.delete('');
  return groups;
}

function WhatToDo({ d }: { d: DisorderRow }) {
  const remedies = [...new Map(d.remedies.map((l) => [l.remedy, l])).values()].sort(
    (a, b) => remedyRow(a.remedy).rung - remedyRow(b.remedy).rung,
  );
  const groups = [...byCause(remedies)];
  const firstCause = groups.findIndex(([cause]) => cause !== '');
  const precautions = cautionsOnce(
    remedies.map(({ remedy, cautions = [] }) => {
      const r = remedyRow(remedy);
      return { label: r.label, cautions: [...r.cautions, ...cautions] };
    }),
  );
  return (
    <section aria-label="What to do">
      <h2 className="mb-2 text-xl">What to do, gentlest first</h2>
      {groups.map(([cause, own], i) => (
        <Fragment key={cause}>
          {cause && i === firstCause && <h3 className="mt-4 font-body font-semibold">Where the records show</h3>}
          {cause && <h4 className="mt-2 font-body font-semibold text-soft">{sentence(cause).slice(0, -1)}</h4>}
          <ol className="flex flex-col divide-y divide-line">
            {own.map(({ remedy }) => {
              const r = remedyRow(remedy);
              return (
                <li key={remedy} className="py-2">
                  <strong>{r.label}.</strong> {r.how}
                  <Precautions
                    {...precautions[remedies.findIndex((x) => x.remedy === remedy)]!}
                    text={(c) => CAUTIONS[c]}
                  />
                </li>
              );
            })}
          </ol>
        </Fragment>
      ))}
      <p className="mt-2">
        <strong>Sign of success:</strong> {d.successIs}. Look again after {d.followUpDays} days.
      </p>
      <p className="mt-1 text-sm text-soft">
        Advice only. Always follow the product label and local rules; a licensed adviser knows more.
      </p>
    </section>
  );
}

/** The table row, so a person can disagree with it. */
function More({ d }: { d: DisorderRow }) {
  const format = useFormat();
  return (
    <Unfold className="mt-6" look="quiet" title="More: how the answer is calculated">
      {() => (
        <>
          <Scroller label="Signs, and how often they are seen">
            <table className="w-full max-w-3xl text-left">
              <caption className="sr-only">Signs of {d.label} and how often they are seen</caption>
              <thead>
                <tr className="border-b border-line text-sm text-soft">
                  <th className="py-1 pr-4 font-normal">Sign</th>
                  <th className="py-1 pr-4 font-normal">Seen with it</th>
                  <th className="py-1 font-normal">Why</th>
                </tr>
              </thead>
              <tbody>
                {d.signs.map(([sign, chance, why]) => (
                  <tr key={sign} className="border-b border-line align-top">
                    <td className="py-1 pr-4">{signRow(sign).label}</td>
                    <td className="py-1 pr-4 tabular-nums">
                      {chanceWord(chance)}, {Math.round(chance * 100)} %
                    </td>
                    <td className="py-1 text-soft">{why}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </Scroller>
          <ul className="mt-3 text-soft">
            {d.setting.map(([fact, factor, why]) => (
              <li key={fact}>
                {factor >= 1 ? `${factor} times as likely` : `${Math.round(factor * 100)} % as likely`}: {why}
              </li>
            ))}
            {d.drivers.map((l) => (
              <li key={l.driver}>
                {l.oddsFactor} times as likely with {DRIVERS[l.driver]}
                {l.params && ` (${limits(l.params, format)})`}
              </li>
            ))}
          </ul>
          <p className="mt-2 text-sm text-soft">
            Code {d.code}. Before any sign: {(d.prior * 100).toFixed(1)} % of plants people worry about. Source:{' '}
            {d.source}.
          </p>
        </>
      )}
    </Unfold>
  );
}

function limits(
  { atC, days, within, pct, pH }: NonNullable<DisorderRow['drivers'][number]['params']>,
  format: Formatter,
): string {
  return [
    days !== undefined && `${days} days`,
    atC !== undefined && `at ${format.temperature(atC)}`,
    pct !== undefined && `${pct} %`,
    pH !== undefined && `pH ${pH}`,
    within !== undefined && `within ${within} days`,
  ]
    .filter(Boolean)
    .join(', ');
}
