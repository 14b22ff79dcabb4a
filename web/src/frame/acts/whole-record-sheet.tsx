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
        <ul className="grid grid-cols-2 gap-2 sm:grid-cols-3">
          {offered.map((k) => {
            const { icon: Icon } = RECORD_FORMS[k];
            return (
              <li key={k}>
                <Button className="w-full justify-start" onClick={() => setChosen(k)}>
                  <Icon aria-hidden size={18} className="shrink-0" />
                  <span className="text-left">{RECORD_TYPES[k].label}</span>
                </Button>
              </li>
            );
          })}
        </ul>
      )}
    </Sheet>
  );
}
