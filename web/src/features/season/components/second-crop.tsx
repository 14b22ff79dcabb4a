import type { SeasonView } from '@candid-leaf/contract';
import { useFormat } from '../../../lib/garden-context';
import { Panel } from '../../../ui/panel';

/** Where a second bush crop fits, while it can be sown. */
export function SecondCrop({ second }: { second: NonNullable<SeasonView['second']> }) {
  const f = useFormat();
  const fit = second.places.filter((p) => p.fits);
  return (
    <Panel title="A second crop">
      <p className="mt-1">
        {fit.length > 0
          ? `A bush variety sown by ${f.day(second.by)} still ripens before frost. Plan it below for autumn.`
          : `You could still sow until ${f.day(second.by)}, but no bed is free.`}
      </p>
      <ul className="mt-1">
        {second.places.map((p) => (
          <li key={p.placeId}>
            <strong>{p.place}:</strong> <span className={p.fits ? undefined : 'text-soft'}>{p.text}</span>
          </li>
        ))}
      </ul>
    </Panel>
  );
}
