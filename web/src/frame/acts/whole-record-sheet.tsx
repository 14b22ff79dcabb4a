import { ClaimText } from '../../ui/claim-text';
import { claimOf } from '@candid-leaf/core/claims';
import { typesOfferedOn, RECORD_TYPES, type RecordType } from '@candid-leaf/core/records';
import { useState } from 'react';
import { Button } from '../../ui/button';
import { Sheet } from '../../ui/sheet';
import { RECORD_FORMS } from './record-forms';
import { RecordForm } from './record-form';
import type { RecordSheetProps } from './record-target';

/** Records something done, or edits it. */
export function WholeRecordSheet({ open, onClose, target, day, kinds, record, filled }: RecordSheetProps) {
  const offered = kinds ?? typesOfferedOn(target.plantId ? 'plant' : 'place');
  const only = offered.length === 1 ? offered[0] : undefined;
  const [claim, setClaim] = useState<string | undefined>();
  // told once nothing more is added
  const [claimLater, setClaimLater] = useState<string | undefined>();
  const [chosen, setChosen] = useState<RecordType | undefined>();
  const kind = record?.type ?? chosen ?? only;
  const close = () => {
    setChosen(undefined);
    setClaim(undefined);
    setClaimLater(undefined);
    onClose();
  };
  const saved = (named: string | undefined, more = false) => {
    const toTell = named ?? claimLater;
    if (more) setClaimLater(toTell);
    else if (toTell) setClaim(toTell);
    else close();
  };
  // after saving anyway, the claim's verdict is shown once
  if (claim && claimOf(claim))
    return (
      <Sheet open={open} onClose={close} title="About this product or method">
        <ClaimText claim={claimOf(claim)!} />
        <p className="mt-2 text-soft">You can record it anyway.</p>
        <Button look="main" className="mt-3" onClick={close}>
          Good to know
        </Button>
      </Sheet>
    );
  const title = record
    ? 'Edit record'
    : kind
      ? `${RECORD_TYPES[kind].label}: ${target.name}`
      : `What did you do? ${target.name}`;
  return (
    <Sheet open={open} onClose={() => saved(undefined)} title={title}>
      {kind ? (
        <RecordForm
          key={record?.id ?? kind}
          kind={kind}
          target={target}
          day={day}
          record={record}
          filled={filled}
          onDone={saved}
        />
      ) : (
        <Chooser offered={offered} onChoose={setChosen} />
      )}
    </Sheet>
  );
}

/** What is done most often stands first and large. */
const USUAL: readonly RecordType[] = ['watering', 'feeding', 'pruning', 'picking'];

function Chooser({ offered, onChoose }: { offered: readonly RecordType[]; onChoose: (kind: RecordType) => void }) {
  const usual = USUAL.filter((k) => offered.includes(k));
  const button = (kind: RecordType, large: boolean) => {
    const { icon: Icon } = RECORD_FORMS[kind];
    return (
      <li key={kind}>
        <Button
          look={large ? 'plain' : 'quiet'}
          className={large ? 'h-16 w-full' : 'w-full justify-start'}
          onClick={() => onChoose(kind)}
        >
          <Icon aria-hidden size={large ? 22 : 18} className="shrink-0" />
          <span className="text-left">{RECORD_TYPES[kind].label}</span>
        </Button>
      </li>
    );
  };
  return (
    <>
      <ul className="grid grid-cols-2 gap-2 sm:grid-cols-4">{usual.map((k) => button(k, true))}</ul>
      <ul className="mt-2 grid grid-cols-2 gap-x-2 sm:grid-cols-3">
        {offered.filter((k) => !usual.includes(k)).map((k) => button(k, false))}
      </ul>
    </>
  );
}
