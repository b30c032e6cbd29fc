import type { DutyStatus } from '@nodo/core';
import { isReason, lowerFirst } from '@nodo/kernel';
import type { FamilyModel } from '@nodo/knowledge';
import { memo, useState } from 'react';
import { m, write } from '../../messages/index.ts';
import { later } from '../../messages/later.ts';
import { useTicket } from '../../ticket/TicketContext.tsx';
import { requirementWords, symptomName } from '../../ticket/words.ts';
import { Button } from '../../ui/Button.tsx';
import { TextArea } from '../../ui/Field.tsx';
import { Modal } from '../../ui/Modal.tsx';

/** What must still be done before the ticket may be closed. */
export const Duties = memo(function Duties({
  mayWork,
  onChooseCheck,
  onChooseClose,
  onChooseDebt,
  lowersRisk,
  closed,
}: {
  readonly mayWork: boolean;
  readonly onChooseCheck: (check: string) => void;
  readonly onChooseClose: () => void;
  /** A symptom or a fault that is still owed. */
  readonly onChooseDebt: (symptom: string) => void;
  /** The check that lowers the comeback risk most, if any does. */
  readonly lowersRisk: string | undefined;
  /** The ticket is closed: its risk is the one of the closing snapshot. */
  readonly closed: boolean;
}) {
  const { assessment, model, record } = useTicket();
  const [waiving, setWaiving] = useState<string>();
  const words = later.bench.duties;
  const owed = assessment.duties.filter(({ state }) => state === 'owed');
  const unsettled = assessment.debts.filter(({ settled }) => settled === undefined);
  const contested = new Set(closed ? [] : assessment.contested.map(({ check }) => check));
  const isReported = assessment.debts.some(({ kind }) => kind === 'symptom');
  return (
    <section aria-labelledby="duties-title" className="mt-6">
      <h2 id="duties-title" className="mb-2 text-sm font-semibold text-quiet">
        {words.title}
      </h2>
      {owed.length + unsettled.length + contested.size === 0 && <p>{words.none}</p>}
      <ul className="flex flex-col gap-1">
        {[...contested].map((check) => (
          <li key={check} className="border-l-3 border-dashed border-ink pl-3">
            <button
              type="button"
              onClick={() => onChooseCheck(check)}
              className="min-h-11 text-left font-semibold underline underline-offset-4"
            >
              {model.checks.get(check)?.title ?? check}
            </button>
            <p className="text-sm text-quiet">{words.contested}</p>
          </li>
        ))}
        {owed.map((duty) => (
          <li key={duty.duty} className="border-l-3 border-dashed border-ink pl-3">
            <Duty
              duty={duty}
              model={model}
              onChooseCheck={onChooseCheck}
              onWaive={mayWork ? () => setWaiving(duty.duty) : undefined}
            />
          </li>
        ))}
      </ul>
      {unsettled.length > 0 && (
        <div className="mt-3 border-l-3 border-dashed border-ink pl-3">
          <p className="text-sm text-quiet">{words.symptoms}</p>
          <ul className="font-semibold">
            {unsettled.map(({ symptom }) => (
              <li key={symptom}>
                <button
                  type="button"
                  disabled={!mayWork}
                  onClick={() => onChooseDebt(symptom)}
                  className="min-h-11 text-left underline-offset-4 enabled:underline"
                >
                  {symptomName(model, symptom)}
                </button>
              </li>
            ))}
          </ul>
        </div>
      )}
      {!closed && (
        <p className="mt-4 text-sm text-quiet">
          {isReported ? `${words.risk} ` : words.riskUnknown}
          {isReported && (
            <strong className="text-base text-ink">{write.percent(assessment.risk)}</strong>
          )}
        </p>
      )}
      {mayWork && lowersRisk !== undefined && (
        <button
          type="button"
          onClick={() => onChooseCheck(lowersRisk)}
          className="min-h-11 text-left text-sm leading-tight underline underline-offset-4"
        >
          {words.lowers(lowerFirst(model.checks.get(lowersRisk)?.title ?? lowersRisk))}
        </button>
      )}
      {mayWork && owed.length + unsettled.length === 0 && (
        <Button className="mt-2" onClick={onChooseClose}>
          {words.toKnot}
        </Button>
      )}
      {waiving !== undefined && (
        <WaiveSheet
          text={model.duties.get(waiving)?.text ?? waiving}
          onWaive={(reason) => {
            if (record('duty-waived', { duty: waiving, reason })) setWaiving(undefined);
          }}
          onLeave={() => setWaiving(undefined)}
        />
      )}
    </section>
  );
});

function Duty({
  duty,
  model,
  onChooseCheck,
  onWaive,
}: {
  readonly duty: DutyStatus;
  readonly model: FamilyModel;
  readonly onChooseCheck: (check: string) => void;
  readonly onWaive: (() => void) | undefined;
}) {
  const known = model.duties.get(duty.duty);
  const { all, any } = duty.missing;
  const missing = [...all, ...any];
  const link = 'min-h-11 text-left underline underline-offset-4';
  const check = missing.find(({ kind }) => kind === 'check')?.id;
  const needed = missing.map((requirement) => lowerFirst(requirementWords(model, requirement)));
  return (
    <>
      {check === undefined ? (
        <p className="flex min-h-11 items-center font-semibold" title={known?.text}>
          {known?.title}
        </p>
      ) : (
        <button
          type="button"
          className={`${link} leading-tight font-semibold`}
          title={known?.text}
          onClick={() => onChooseCheck(check)}
        >
          {known?.title}
        </button>
      )}
      <div className="flex items-start justify-between gap-2 text-sm leading-snug text-quiet">
        <p className="-mt-1 pb-1">
          {any.length > 0 ? later.bench.duties.oneOf(needed) : needed.join(', ')}
        </p>
        {onWaive && (
          <button type="button" onClick={onWaive} className={`${link} -mt-3 shrink-0`}>
            {later.bench.duties.waive}
          </button>
        )}
      </div>
    </>
  );
}

function WaiveSheet({
  text,
  onWaive,
  onLeave,
}: {
  readonly text: string;
  readonly onWaive: (reason: string) => void;
  readonly onLeave: () => void;
}) {
  const [reason, setReason] = useState('');
  const words = later.bench.duties;
  return (
    <Modal
      open
      onOpenChange={(open) => !open && onLeave()}
      title={words.waiveTitle}
      closeLabel={words.cancel}
    >
      <p className="mb-3 border-l-3 border-dashed border-ink pl-3">{text}</p>
      <TextArea
        label={words.waiveWhy}
        hint={words.waiveNote}
        rows={3}
        maxLength={500}
        value={reason}
        onText={setReason}
      />
      <div className="mt-4 flex gap-3">
        <Button
          look="hazard"
          lacks={!isReason(reason) && m.shell.lacks.reason}
          onClick={() => onWaive(reason.trim())}
        >
          {words.waive}
        </Button>
        <Button look="quiet" onClick={onLeave}>
          {words.cancel}
        </Button>
      </div>
    </Modal>
  );
}
