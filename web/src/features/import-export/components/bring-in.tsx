import type { ImportReport } from '@candid-leaf/contract';
import { columnsOf, TABLES, TABLE_NAMES, type TableName } from '@candid-leaf/core/tables';
import { FileUp } from 'lucide-react';
import { useGarden } from '../../../lib/garden-context';
import { Button } from '../../../ui/button';
import { Scroller } from '../../../ui/scroller';
import { SelectField } from '../../../ui/select-field';
import { Panel } from '../../../ui/panel';
import { useImport, type ImportState } from '../use-import';
import { ChooseFile } from './choose-file';
import { Mapping } from './mapping';
import { OnItsWay } from './on-its-way';

const TABLE_OPTIONS = TABLE_NAMES.map((t) => [t, TABLES[t].label] as const);

/** Imports a table: choose, preview, check, import. */
export function BringIn() {
  const garden = useGarden();
  const state = useImport(garden.id);
  const { step, preview, trouble, underWay, name } = state;
  return (
    <Panel title="Import a table">
      <p className="mt-1 text-soft">
        A CSV file of records, weather, plants or soil tests. You see a preview first, and can undo the whole import.
      </p>
      {trouble && (
        <p role="alert" className="mt-2 text-ripe">
          {trouble}
        </p>
      )}
      {step === 'choose' && !underWay && (
        <ChooseFile label="Choose a CSV file" accept=".csv,.tsv,.txt,text/csv" onFile={(f) => void state.look(f)} />
      )}
      {(step !== 'choose' || underWay) && (
        <div className="mt-3 flex flex-col gap-4">
          <p>
            <strong>{name}</strong>
            {preview && `, ${preview.heads.length} columns`}
          </p>
          {preview && step !== 'done' && (
            <>
              <SelectField
                label="Contents"
                options={TABLE_OPTIONS}
                value={preview.table}
                onChange={(chosen) => void state.become(chosen as TableName)}
              />
              <Mapping preview={preview} onChange={state.change} />
            </>
          )}
          {underWay ? <OnItsWay {...underWay} onStop={state.breakOff} /> : <Next state={state} />}
        </div>
      )}
    </Panel>
  );
}

/** The result so far, and the next step. */
function Next({ state }: { state: ImportState }) {
  const { step, report, preview, table } = state;
  if (step === 'map')
    return (
      <div className="flex flex-wrap gap-2">
        <Button look="main" disabled={preview?.unclearDay != null} onClick={() => void state.attempt()}>
          Check file
        </Button>
        <Button look="quiet" onClick={state.begin}>
          Another file
        </Button>
      </div>
    );
  if (!report || !table) return null;
  if (step === 'done')
    return (
      <div>
        <p role="status">
          {rows(report.good)} imported{report.faulty > 0 && `, ${rows(report.faulty)} with errors skipped`}
          {report.known > 0 && `, ${report.known} ${report.known === 1 ? 'day was' : 'days were'} already here`}.
        </p>
        <Button className="mt-2" onClick={state.begin}>
          Another file
        </Button>
      </div>
    );
  return (
    <div>
      <p role="status">
        {rows(report.rows)} read: {report.good} to import
        {report.known > 0 && `, ${report.known} ${report.known === 1 ? 'day is' : 'days are'} already here`}
        {report.faulty > 0 && `, ${report.faulty} with errors`}.
      </p>
      {report.faults.length > 0 && <Faults report={report} table={table} />}
      <div className="mt-3 flex flex-wrap gap-2">
        {report.good > 0 && state.hasFile && (
          <Button look="main" onClick={() => void state.bring(report.faulty > 0)}>
            <FileUp aria-hidden size={17} />{' '}
            {report.faulty > 0
              ? `Import ${rows(report.good)} and skip the ones with errors`
              : `Import ${rows(report.good)}`}
          </Button>
        )}
        <Button look="quiet" onClick={state.begin}>
          {state.hasFile ? 'Another file' : 'Choose the file again'}
        </Button>
      </div>
    </div>
  );
}
const rows = (n: number): string => `${n} ${n === 1 ? 'row' : 'rows'}`;

function Faults({ report, table }: { report: ImportReport; table: TableName }) {
  const labelOf = (field: string): string => columnsOf(table).find((c) => c.field === field)?.label ?? field;
  return (
    <Scroller label="Rows with errors" tall="mt-2 max-h-72">
      <ul aria-label="Error" className="divide-y divide-line text-sm">
        {report.faults.map((f, i) => (
          <li key={i} className="py-1">
            <strong>Line {f.line}</strong>
            {f.field && `, ${labelOf(f.field)}`}: {f.reason}
          </li>
        ))}
        {report.faulty > report.faults.length && <li className="py-1 text-soft">and more</li>}
      </ul>
    </Scroller>
  );
}
