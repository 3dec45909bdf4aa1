import { MUST_BE_READ } from '@hervir/contract';
import { partAhead, type Forecast } from '@hervir/core';
import { Button, Modal } from 'antd';
import { useState, type ReactNode } from 'react';
import { useStartCook } from './use-start-cook';
import { t, textOf } from '../language/t';

/**
 * Begins a cook from the plan on the bench; what nobody may cook over unread is asked first. What was cooked ahead begins
 * with its day.
 */
export function StartButton({
  braiseId,
  forecast,
}: {
  readonly braiseId: string;
  readonly forecast: Forecast | null;
}): ReactNode {
  const { start, busy } = useStartCook();
  const [asking, setAsking] = useState(false);
  const part = forecast === null ? 'evening' : partAhead(forecast.plan);
  const warnings =
    part === 'day'
      ? []
      : (forecast?.cautions ?? []).filter(({ code }) => (MUST_BE_READ as readonly string[]).includes(code));
  return (
    <>
      <Button
        type="primary"
        className="start-cooking"
        loading={busy}
        disabled={forecast === null}
        onClick={() => (warnings.length > 0 ? setAsking(true) : void start(braiseId, part))}
      >
        {part === 'day' ? t('cook.start-warming') : t('cook.start-cooking')}
      </Button>
      <Modal
        title={t('cook.read-this-first')}
        open={asking}
        okText={t('cook.i-have-read-it-start')}
        cancelText={t('cook.change-the-plan')}
        onCancel={() => setAsking(false)}
        onOk={() => {
          setAsking(false);
          void start(
            braiseId,
            part,
            warnings.map(({ code }) => code),
          );
        }}
      >
        <ul className="reasons">
          {warnings.map(({ code, text }) => (
            <li key={code}>
              <span aria-hidden>■ </span>
              {textOf(text)}
            </li>
          ))}
        </ul>
      </Modal>
    </>
  );
}
