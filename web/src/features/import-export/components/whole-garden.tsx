import { useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { ApiError } from '../../../lib/api';
import { useGarden, useLink } from '../../../lib/garden-context';
import { apiOf } from '../../../lib/paths';
import { Panel } from '../../../ui/panel';
import { useSay } from '../../../ui/toast';
import { sendFile } from '../send-file';
import { ChooseFile } from './choose-file';
import { OnItsWay } from './on-its-way';
import { useWayOn } from '../../../ui/use-way-on';

/** Imports a garden file into this empty garden. */
export function WholeGarden() {
  const garden = useGarden();
  const client = useQueryClient();
  const goOn = useWayOn();
  const link = useLink();
  const say = useSay();
  const [share, setShare] = useState<number | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const stop = useRef(new AbortController());
  const bring = async (file: File): Promise<void> => {
    stop.current = new AbortController();
    setTrouble(null);
    setShare(0);
    try {
      const typed = new Blob([file], { type: 'application/zip' });
      await sendFile('PUT', apiOf(garden.id, 'file'), typed, { onProgress: setShare, signal: stop.current.signal });
      await client.invalidateQueries();
      say('Imported. The garden is complete.');
      await goOn(link('garden', {}));
    } catch (error) {
      if (error instanceof DOMException) setTrouble('Cancelled. Nothing was changed.');
      else
        setTrouble(
          error instanceof ApiError ? error.message : 'We can’t reach the server. Check your connection and try again.',
        );
    } finally {
      setShare(null);
    }
  };
  return (
    <Panel title="Import a garden">
      <p className="mt-1 text-soft">
        This garden is empty, so you can import a whole garden here. Its name and settings come with it.
      </p>
      {trouble && (
        <p role="alert" className="mt-2 text-ripe">
          {trouble}
        </p>
      )}
      {share === null ? (
        <ChooseFile label="Choose a garden’s file" accept=".zip,application/zip" onFile={(f) => void bring(f)} />
      ) : (
        <div className="mt-3">
          <OnItsWay share={share} onStop={() => stop.current.abort()} />
        </div>
      )}
    </Panel>
  );
}
