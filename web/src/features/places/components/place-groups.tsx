import type { PlaceInput } from '@candid-leaf/contract';
import { RULES_IN_WORDS } from '@candid-leaf/core/prevented';
import { coverOf, COVERS, IRRIGATIONS, isPotted, SLOPES, VENTS } from '@candid-leaf/core/records';
import { useFormContext } from 'react-hook-form';
import { useFormat, useGarden } from '../../../lib/garden-context';
import { wordOf, wordsOrUnknown } from '../../../lib/words';
import { Button } from '../../../ui/button';
import { CheckField } from '../../../ui/check-field';
import { FormGroup } from '../../../ui/form-group';
import { fieldsOf } from '../../../ui/form-kit';
import { COVER_WORDS } from '../../../ui/water-left';

const F = fieldsOf<PlaceInput>();
const useWatch = () => useFormContext<PlaceInput>().watch;

/** Words of what is set, or that nothing is. */
const list = (...words: readonly (string | false | null | undefined)[]): string =>
  words.filter(Boolean).join(', ') || 'not told yet';

/** Everything about a bed or pot that is seldom changed, in closed groups. */
export function PlaceGroups() {
  return (
    <div className="flex flex-col gap-2">
      <Watered />
      <MulchAndShade />
      <Overhead />
      <Position />
      <Looking />
      <Rules />
    </div>
  );
}

/** Cover and room temperature. */
function Overhead() {
  const watch = useWatch();
  const { setValue } = useFormContext<PlaceInput>();
  const cover = coverOf({ kind: watch('kind'), cover: watch('cover') ?? null });
  return (
    <FormGroup
      title="Overhead"
      says={list(COVER_WORDS[cover].toLowerCase(), watch('hollow') && 'in a hollow')}
      fields={['cover', 'vents', 'roomTMinC', 'roomTMaxC', 'hollow']}
    >
      {watch('kind') !== 'indoors' && (
        <F.Maybe
          label="Where it is"
          options={[['', 'usual for its type'], ...COVERS.map((c): [string, string] => [c, COVER_WORDS[c]])]}
          name="cover"
        />
      )}
      {(cover === 'tunnel' || cover === 'glasshouse') && (
        <F.Maybe label="Doors and vents by day" options={wordsOrUnknown(VENTS)} name="vents" />
      )}
      {cover === 'indoors' && (
        <>
          <F.Amount name="roomTMinC" label="Lowest room temperature" quantity="celsius" hint="18 °C (64 °F) if empty" />
          <F.Amount
            name="roomTMaxC"
            label="Highest room temperature"
            quantity="celsius"
            hint="22 °C (72 °F) if empty"
          />
        </>
      )}
      {cover !== 'indoors' && (
        <CheckField checked={watch('hollow') ?? false} onChange={(hollow) => setValue('hollow', hollow)}>
          In a hollow where cold air collects
        </CheckField>
      )}
    </FormGroup>
  );
}

/** Depth of the test hole, and limits of slow and fast drainage. */
const HOLE_CM = 30;
const SLOW_MM = 25;
const FAST_MM = 100;

function Watered() {
  const watch = useWatch();
  const format = useFormat();
  const [by, flow] = [watch('irrigation'), watch('flowLPerH')];
  return (
    <FormGroup
      title="Water"
      says={list(by && wordOf(by).toLowerCase(), flow != null && `${format.litres(flow)} an hour`)}
      fields={['irrigation', 'flowLPerH', 'drainageMmPerH']}
    >
      <F.Maybe label="Watered by" options={wordsOrUnknown(IRRIGATIONS)} name="irrigation" />
      <F.Amount
        name="flowLPerH"
        label="Flow for the whole bed or pot"
        quantity="litresPerHour"
        hint="With the flow you can record minutes instead of litres."
      />
      {!isPotted({ kind: watch('kind') }) && (
        <F.Amount
          name="drainageMmPerH"
          label="Drainage test: fall per hour"
          quantity="millimetresPerHour"
          hint={`Dig a hole ${format.centimetres(HOLE_CM)} deep, fill it twice and measure the second fall in an hour. Under ${format.rain(SLOW_MM)} is slow: mound and add compost. Over ${format.rain(FAST_MM)} is fast: water less, more often. Leave empty if not tested.`}
        />
      )}
    </FormGroup>
  );
}

function Position() {
  const watch = useWatch();
  const hours = watch('sunHours');
  return (
    <FormGroup
      title="Position"
      says={list(
        hours != null && `${hours} h of sun`,
        watch('lowEnd') && 'wet end',
        watch('windy') && 'windy',
        watch('pondNear') && 'near open water',
      )}
      fields={['sunHours', 'slope', 'lowEnd', 'windy', 'footpath', 'pondNear']}
    >
      <F.Amount
        name="sunHours"
        label="Hours of sun on a clear summer day"
        quantity="count"
        hint="Tomatoes need 6 or more, peppers 6 to 8."
      />
      <F.Maybe label="Slope" options={wordsOrUnknown(SLOPES)} name="slope" />
      <F.YesNo label="Low end, stays wet" name="lowEnd" />
      <F.YesNo label="Exposed to wind" name="windy" />
      <F.YesNo label="A footpath close by" name="footpath" />
      <F.YesNo label="A pond or a stream" hint="Nothing is sprayed beside open water." name="pondNear" />
    </FormGroup>
  );
}

const LOOKING = {
  '': 'once a week',
  weekly: 'once a week',
  daily: 'a glance every day',
  off: 'only after events',
} as const;

/** How often Today asks to check it. */
function Looking() {
  const watch = useWatch();
  return (
    <FormGroup title="How you check it" says={LOOKING[watch('looking') ?? '']} fields={['looking']}>
      <F.Maybe
        label="Check it"
        options={[
          ['', 'once a week, turning leaves over'],
          ['daily', 'a glance every day, turning leaves over once a week'],
          ['off', 'only after rain, heat, frost or absence'],
        ]}
        name="looking"
      />
    </FormGroup>
  );
}

function MulchAndShade() {
  const garden = useGarden();
  const format = useFormat();
  const watch = useWatch();
  const depth = watch('mulch')?.at(-1)?.depthMm ?? -1;
  const block = watch('shade')?.at(-1)?.blockPct ?? 0;
  return (
    <FormGroup
      title="Mulch and shade"
      says={
        depth > 0 || block > 0
          ? list(depth > 0 && `mulch ${format.centimetres(depth / 10)}`, block > 0 && `shade ${block} %`)
          : 'none'
      }
      fields={['mulch', 'shade']}
    >
      <F.Amount name="mulch.0.depthMm" label="Mulch" quantity="depthMillimetres" hint="0 for none" />
      <F.Date name="mulch.0.from" label="Mulched since" max={garden.today} disabled={depth < 0} />
      <F.Amount name="shade.0.blockPct" label="Shade cloth blocks" quantity="percent" hint="0 for none" />
      <F.Date name="shade.0.from" label="Shaded since" max={garden.today} disabled={!block} />
    </FormGroup>
  );
}

/** What is done differently here since a problem; none is added by hand, each can go. */
function Rules() {
  const format = useFormat();
  const watch = useWatch();
  const { setValue } = useFormContext<PlaceInput>();
  const rules = watch('rules') ?? [];
  if (rules.length === 0) return null;
  const without = (rule: string) =>
    setValue(
      'rules',
      rules.filter((r) => r.rule !== rule),
      { shouldDirty: true },
    );
  return (
    <FormGroup title="Rules" says={list(...rules.map((r) => RULES_IN_WORDS[r.rule].toLowerCase()))} fields={['rules']}>
      <ul className="divide-y divide-line">
        {rules.map(({ rule, since }) => (
          <li key={rule} className="flex items-center justify-between gap-3">
            <span>
              {RULES_IN_WORDS[rule]} <span className="block text-sm text-soft">since {format.day(since)}</span>
            </span>
            <Button look="quiet" aria-label={`Remove: ${RULES_IN_WORDS[rule]}`} onClick={() => without(rule)}>
              Remove
            </Button>
          </li>
        ))}
      </ul>
    </FormGroup>
  );
}
