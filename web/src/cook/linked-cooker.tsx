import type { CookLink, RehearsalMessages } from '@hervir/contract';
import type { CookerCommand, Frame } from '@hervir/core';
import { useQuery } from '@tanstack/react-query';
import { Suspense, useEffect, useState, type ReactNode } from 'react';
import { request, streamOf } from '../api/client';
import { queryClient } from '../api/queries';
import { usePreferences } from '../state/preferences';
import type { LiveCook } from './use-cook';
import styles from './cook.module.css';
import { t } from '../language/t';
import { later } from '../shared/later';
import { whyOf } from '../language/why-of';

/** Fetched only where a cook is linked. */
const CookerPanel = later(() => import('../rehearse/cooker-panel').then((module) => module.CookerPanel));

/** The last frame of a linked cooker; null while it is not linked, or has told nothing yet. */
function useTelemetry(id: string, linked: boolean): Frame | null {
  const [frame, setFrame] = useState<Frame | null>(null);
  useEffect(() => {
    if (!linked) return;
    const source = streamOf(`/cooks/${id}/link/telemetry`);
    source.addEventListener('frames', ({ data }: MessageEvent<string>) => {
      const { frames } = JSON.parse(data) as Pick<RehearsalMessages['frames'], 'frames'>;
      setFrame((before) => frames.at(-1) ?? before);
    });
    return () => {
      source.close();
      setFrame(null);
    };
  }, [id, linked]);
  return frame;
}

/** Links a cook to the simulated cooker: pin, count and end then come by themselves, and its controls stand here. */
export function LinkedCooker({ cook }: { readonly cook: LiveCook }): ReactNode {
  const { id, plan, guide } = cook.record;
  const key = ['cook-link', id];
  const link = useQuery({ queryKey: key, queryFn: () => request<CookLink>('GET', `/cooks/${id}/link`) });
  const [said, setSaid] = useState<string | null>(null);
  const linked = link.data?.cooker === 'simulated';
  const offered = usePreferences((store) => store.offersCooker);
  const frame = useTelemetry(id, linked);
  const change = async (): Promise<void> => {
    try {
      // An answer from before the press, still on its way, would undo it on the page.
      await queryClient.cancelQueries({ queryKey: key });
      queryClient.setQueryData(key, await request<CookLink>(linked ? 'DELETE' : 'PUT', `/cooks/${id}/link`));
      setSaid(null);
    } catch (error) {
      setSaid(whyOf(error));
    }
  };
  const send = async (command: CookerCommand): Promise<void> => {
    const { refused } = await request<{ refused: string | null }>('POST', `/cooks/${id}/link/commands`, command);
    setSaid(refused);
  };
  const minutes = Math.round(guide.steps.find(({ done }) => done === 'heaterOff')?.minutes ?? 30);
  // It stands where somebody has asked for it, and nowhere else.
  if (!linked && !offered) return null;
  return (
    <div className={styles['linked-cooker']}>
      <div className={styles['linked-row']}>
        <button type="button" className="pot-button" onClick={() => void change()}>
          {linked ? t('cook.unlink-the-simulated-cooker') : t('cook.link-the-simulated-cooker')}
        </button>
        <span className="dim" role="status">
          {said ??
            (linked
              ? plan.cooker.kind === 'electric'
                ? t('cook.pin-count-and-end-come')
                : t('cook.it-follows-what-you-press')
              : t('cook.no-real-cooker-is-linked'))}
        </span>
      </div>
      {frame && (
        <Suspense fallback={null}>
          <CookerPanel
            frame={frame}
            cooker={plan.cooker}
            minutes={minutes}
            onCommand={(command) => void send(command)}
          />
        </Suspense>
      )}
    </div>
  );
}
