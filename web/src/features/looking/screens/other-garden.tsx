import type { Fault } from '@candid-leaf/core/records';
import { FileUp } from 'lucide-react';
import { useRef, useState } from 'react';
import { GardenContext, useGarden } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { Waiting } from '../../../ui/states';
import type { CaseRead } from '../../../workers/case.worker';
import { GardenPage } from '../../../frame/garden-page';
import { PlantStory } from '../components/plant-story';
import { viewOfCase } from '../../../data/view-of-case';
import { useCaseReading } from '../use-case-reading';

/** The last file read survives a reload, in this tab only; nothing is sent or stored with the garden. */
const KEPT = 'candid-leaf:neighbour';

/** A plant from another garden's case file: the same page, read-only. */
export function NeighbourScreen() {
  return (
    <GardenPage narrow title={() => 'A plant from another garden'}>
      {() => <Neighbour />}
    </GardenPage>
  );
}

const keep = (text: string): void => sessionStorage.setItem(KEPT, text);

function Neighbour() {
  const garden = useGarden();
  const [text, setText] = useState<string | null>(() => sessionStorage.getItem(KEPT));
  const read = useCaseReading(text, garden, keep);
  const file = useRef<HTMLInputElement>(null);
  const open = async (list: FileList | null) => {
    const chosen = list?.[0];
    if (chosen) setText(await chosen.text());
  };
  return (
    <>
      <div className="mb-4 flex flex-wrap items-center gap-3 print:hidden">
        <input
          ref={file}
          type="file"
          accept=".json,application/json"
          aria-label="Case file"
          className="sr-only"
          tabIndex={-1}
          onChange={(e) => void open(e.target.files)}
        />
        <Button look={text ? 'plain' : 'main'} onClick={() => file.current?.click()}>
          <FileUp aria-hidden size={18} /> {text ? 'Open another case file' : 'Open a case file'}
        </Button>
        <p className="max-w-prose text-soft">
          A case file holds the story of one plant. You can view it here; nothing is added to your garden.
        </p>
      </div>
      {text && !read && <Waiting what="Reading the file" here />}
      {read && !read.ok && <Refused faults={read.faults} />}
      {read?.ok && <NeighbourPlant read={read} />}
    </>
  );
}

function NeighbourPlant({ read }: { read: Extract<CaseRead, { ok: true }> }) {
  const garden = useGarden();
  const view = viewOfCase(read.plantCase, read, garden);
  return (
    <GardenContext.Provider value={view.garden}>
      <PlantStory view={view} fromOther />
    </GardenContext.Provider>
  );
}

function Refused({ faults }: { faults: readonly Fault[] }) {
  return (
    <div role="alert" className="max-w-3xl rounded-xl border border-ripe bg-card p-4">
      <p className="font-semibold">This is not a case file we can read. Nothing was saved.</p>
      <ul className="mt-2 list-disc pl-5">
        {faults.slice(0, 12).map((f) => (
          <li key={`${f.path} ${f.reason}`}>
            <code className="font-semibold">{f.path}</code>: {f.reason}
          </li>
        ))}
      </ul>
      {faults.length > 12 && <p className="mt-1 text-soft">And {faults.length - 12} more.</p>}
    </div>
  );
}
