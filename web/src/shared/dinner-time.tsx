import { Button, Input } from 'antd';
import { useState, type ReactNode } from 'react';
import { TimeInput } from './time-input';
import { USUAL_TIME, usualDay } from './usual-dinner';
import { timeOf, wallClockOn } from './words';
import { t } from '../language/t';

interface Props {
  readonly now: Date;
  /** What stands in it at first; where nothing was said, the next seven o'clock. */
  readonly serveAt?: string | null;
  readonly onServeAt: (serveAt: string) => void;
  readonly busy?: boolean;
}

/** When we eat, to be said or changed: a day and a time. */
export function DinnerTime({ now, serveAt = null, onServeAt, busy = false }: Props): ReactNode {
  const [day, setDay] = useState(serveAt?.slice(0, 10) ?? usualDay(now));
  const [time, setTime] = useState(serveAt === null ? USUAL_TIME : timeOf(serveAt));
  const ready = day !== '' && time !== '';
  return (
    <form
      className="dinner-time"
      onSubmit={(event) => {
        event.preventDefault();
        if (ready) onServeAt(wallClockOn(day, time));
      }}
    >
      <TimeInput label={t('shared.when-we-eat')} value={time} onChange={setTime} width="5.625rem" />
      <Input
        type="date"
        aria-label={t('shared.which-day')}
        value={day}
        onChange={(event) => setDay(event.target.value)}
        style={{ width: '10rem' }}
      />
      <Button htmlType="submit" disabled={!ready} loading={busy}>
        {t('shared.eat-then')}
      </Button>
    </form>
  );
}
