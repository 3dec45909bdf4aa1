import { MUST_BE_READ, type CookRecord } from '@hervir/contract';
import type { Forecast } from '@hervir/core';
import { App, Button, Modal } from 'antd';
import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { newId, request } from '../api/client';
import { keys, queryClient } from '../api/queries';
import { receiveCooks } from '../state/cooks-store';
import { flush } from '../state/bench-store';
import { armBell } from './bell';

/** Begins a cook from the plan on the bench; what nobody may cook over unread is asked first. */
export function StartButton({
  braiseId,
  forecast,
}: {
  readonly braiseId: string;
  readonly forecast: Forecast | null;
}): ReactNode {
  const navigate = useNavigate();
  const { message } = App.useApp();
  const [asking, setAsking] = useState(false);
  const [busy, setBusy] = useState(false);
  const warnings = (forecast?.cautions ?? []).filter(({ code }) => (MUST_BE_READ as readonly string[]).includes(code));
  const start = async (acknowledged: readonly string[]): Promise<void> => {
    setBusy(true);
    try {
      // The press that begins it may also make a sound later; and the newest edit is what is cooked.
      void armBell();
      await flush();
      const record = await request<CookRecord>('POST', '/cooks', {
        id: newId(),
        startedEventId: newId(),
        braiseId,
        acknowledged,
      });
      receiveCooks([record]);
      void queryClient.invalidateQueries({ queryKey: keys.running });
      void navigate(`/cook/${record.id}`);
    } catch (error) {
      void message.error(`Not begun: ${error instanceof Error ? error.message : String(error)}`);
      setBusy(false);
    }
  };
  return (
    <>
      <Button
        type="primary"
        className="start-cooking"
        loading={busy}
        disabled={forecast === null}
        onClick={() => (warnings.length > 0 ? setAsking(true) : void start([]))}
      >
        Start cooking
      </Button>
      <Modal
        title="Read this first"
        open={asking}
        okText="I have read it: start"
        cancelText="Change the plan"
        onCancel={() => setAsking(false)}
        onOk={() => {
          setAsking(false);
          void start(warnings.map(({ code }) => code));
        }}
      >
        <ul className="reasons">
          {warnings.map(({ code, text }) => (
            <li key={code}>
              <span aria-hidden>■ </span>
              {text}
            </li>
          ))}
        </ul>
      </Modal>
    </>
  );
}
